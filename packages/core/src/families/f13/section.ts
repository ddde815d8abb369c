import { t } from '../../text/text';
import { throughSpec, size } from '../../section/parts';
import { type Lettering, type SectionSpec } from '../../section/spec';
import { type SumpSurvey } from './survey';

type Damage = SumpSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec => {
  const wall = text(d.wallMm, 'wallMm');
  return d.shape === 'fitting'
    ? throughSpec(t('Fitting'), {
        acrossMm: d.diameterMm * 0.6,
        across: text(d.diameterMm, 'diameterMm'),
        thickMm: d.wallMm,
        thick: wall,
        more: {
          cover: { lapMm: d.diameterMm * 0.2, thickMm: d.gapMm, plies: 1 },
        },
      })
    : throughSpec(t('Patch'), {
        acrossMm: d.lengthMm,
        across: size(text, d),
        thickMm: d.wallMm,
        thick: wall,
        more: {
          cover: { lapMm: 50, thickMm: 4, plies: 2 },
        },
      });
};
