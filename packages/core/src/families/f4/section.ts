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
    ? throughSpec(
        t('Pinhole'),
        d.diameterMm,
        text(d.diameterMm, 'diameterMm'),
        d.wallMm,
        wall,
        more,
      )
    : throughSpec(t('Crack'), d.widthMm, text(d.widthMm, 'widthMm'), d.wallMm, wall, {
        ...more,
        bite: 'crack',
      });
};
