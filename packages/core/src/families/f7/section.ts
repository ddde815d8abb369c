import { t } from '../../text/text';
import { specOf, type Lettering, type SectionSpec } from '../../section/spec';
import { type TyreSurvey } from './survey';

type Damage = TyreSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec =>
  specOf({
    named: d.shape === 'cut' ? t('Cut') : t('Crack'),
    acrossMm: d.widthMm,
    across: text(d.widthMm, 'widthMm'),
    depthMm: d.depthMm,
    depth: text(d.depthMm, 'depthMm'),
    bite: 'vee',
    cover: { lapMm: 30, thickMm: 4, plies: 1 },
    notes: [`${text(d.lengthMm, 'lengthMm')} long`],
  });
