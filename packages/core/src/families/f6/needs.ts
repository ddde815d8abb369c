import { t } from '../../text/text';
import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import { degreaserNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import type { Rounds } from './rounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ work, holes, sheet, slopeDeg, survey }: Rounds): Need[] => [
  degreaserNeed(work, m('the belt round the hole')),
  ...(holes > 0 && !sheet
    ? [
        {
          kind: 'plain' as const,
          id: 'backing',
          name: t('Backing plate and film'),
          for: m('behind the hole'),
          amount: holes,
          quantity: 'count' as const,
        },
      ]
    : []),
  ...(slopeDeg > 0 && !sheet
    ? [
        {
          kind: 'plain' as const,
          id: 'dam',
          name: t('Dam putty'),
          for: m('the low side'),
          amount: survey.damages.length,
          quantity: 'count' as const,
        },
      ]
    : []),
  ...heldNeeds(work),
];
