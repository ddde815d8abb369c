import { t } from '../../text/text';
import { diameter, throughSpec, wrapCover } from '../../section/parts';
import { type Lettering, type SectionSpec } from '../../section/spec';
import { type PipeLeakSurvey } from './survey';

type Damage = PipeLeakSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec => {
  const wall = text(d.wallMm, 'wallMm');
  const more = {
    cover: wrapCover(100),
    axis: true,
    notes: [diameter(text, d.outsideDiameterMm)],
  };
  return d.shape === 'pinhole'
    ? throughSpec(t('Pinhole'), {
        acrossMm: d.diameterMm,
        across: text(d.diameterMm, 'diameterMm'),
        thickMm: d.wallMm,
        thick: wall,
        more,
      })
    : throughSpec(t('Crack'), {
        acrossMm: d.widthMm,
        across: text(d.widthMm, 'widthMm'),
        thickMm: d.wallMm,
        thick: wall,
        more: {
          ...more,
          bite: 'crack',
        },
      });
};
