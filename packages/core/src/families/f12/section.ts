import { t } from '../../text/text';
import { throughSpec } from '../../section/parts';
import { type Lettering, type SectionSpec } from '../../section/spec';
import { type TankSurvey } from './survey';

type Damage = TankSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec => {
  const wall = text(d.wallMm, 'wallMm');
  const cover = { lapMm: Math.max(15, d.wallMm * 3), thickMm: d.wallMm / 2, plies: 1 };
  return d.shape === 'hole'
    ? throughSpec(t('Hole'), {
        acrossMm: d.diameterMm,
        across: text(d.diameterMm, 'diameterMm'),
        thickMm: d.wallMm,
        thick: wall,
        more: {
          cover,
        },
      })
    : throughSpec(t('Crack'), {
        acrossMm: d.widthMm,
        across: text(d.widthMm, 'widthMm'),
        thickMm: d.wallMm,
        thick: wall,
        more: {
          bite: 'vee',
          cover,
        },
      });
};
