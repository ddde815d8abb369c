import { t } from '../../text/text';
import { groundSpec, size } from '../../section/parts';
import type { Lettering, SectionSpec } from '../../section/spec';
import type { StairSurvey } from './survey';

type Damage = StairSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec =>
  groundSpec(t('Nosing'), { d, text, more: { across: size(text, d), bite: 'dished' } });
