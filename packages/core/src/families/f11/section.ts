import { t } from '../../text/text';
import { throughSpec } from '../../section/parts';
import { type Lettering, type SectionSpec } from '../../section/spec';
import { type WallCrackSurvey } from './survey';

type Damage = WallCrackSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec =>
  throughSpec(t('Wall crack'), {
    acrossMm: d.widthMm,
    across: text(d.widthMm, 'widthMm'),
    thickMm: d.wallMm,
    thick: text(d.wallMm, 'wallMm'),
    more: {
      bite: 'crack',
      cover: { lapMm: 25, thickMm: 3, plies: 1 },
      ports: true,
      notes: [d.shape === 'through' ? t('seen from above') : t('one face only')],
    },
  });
