import { t } from '../../text/text';
import { SAND_FROM_MM, groundSpec } from '../../section/parts';
import { type Lettering, type SectionSpec } from '../../section/spec';
import { type FloorCrackSurvey } from './survey';

type Damage = FloorCrackSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec =>
  groundSpec(d.shape === 'stepped' ? t('Stepped crack') : t('Floor crack'), {
    d,
    text,
    more: {
      sandFromMm: d.shape === 'bottomless' ? Math.min(SAND_FROM_MM, d.depthMm * 0.7) : null,
      notes: d.shape === 'stepped' ? [`step ${text(d.stepMm, 'stepMm')}`] : [],
    },
  });
