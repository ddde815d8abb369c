import { t } from '../../text/text';
import { SAND_FROM_MM, groundSpec } from '../../section/parts';
import { type Lettering, type SectionSpec } from '../../section/spec';
import { type YardCrackSurvey } from './survey';

type Damage = YardCrackSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec =>
  groundSpec(t('Wide crack'), {
    d,
    text,
    more: {
      sandFromMm: d.depthMm > SAND_FROM_MM ? SAND_FROM_MM : null,
    },
  });
