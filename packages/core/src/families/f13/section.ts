import { t } from '../../text/text';
import { throughSpec, size } from '../../section/parts';
import { type Lettering, type SectionSpec } from '../../section/spec';
import { type SumpSurvey } from './survey';

type Damage = SumpSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec => {
  const wall = text(d.wallMm, 'wallMm');
  return d.shape === 'fitting'
    ? throughSpec(
        t('Fitting'),
        d.diameterMm * 0.6,
        text(d.diameterMm, 'diameterMm'),
        d.wallMm,
        wall,
        {
          cover: { lapMm: d.diameterMm * 0.2, thickMm: d.gapMm, plies: 1 },
        },
      )
    : throughSpec(t('Patch'), d.lengthMm, size(text, d), d.wallMm, wall, {
        cover: { lapMm: 50, thickMm: 4, plies: 2 },
      });
};
