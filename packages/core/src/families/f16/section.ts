import { t } from '../../text/text';
import { size } from '../../section/parts';
import { specOf, type Lettering, type SectionSpec } from '../../section/spec';
import { type MattingSurvey } from './survey';

type Damage = MattingSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec =>
  specOf({
    named: d.shape === 'bed' ? t('Bed') : t('Torn spot'),
    acrossMm: d.lengthMm,
    across: size(text, d),
    depthMm: d.depthMm,
    depth: text(d.depthMm, 'depthMm'),
  });
