import { m } from '../../message/message';
import { crackNeeds, isMortar } from '../../methods/crack';
import { heldNeeds } from '../../methods/gate';
import { waterMl } from '../../methods/mix';
import { degreaserNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import type { Rounds } from './rounds';

/** What the job takes besides its rounds. */
export const needs = ({ work, survey, rounds, stone }: Rounds): Need[] => [
  degreaserNeed(work, m('the band along the crack')),
  ...crackNeeds(work, survey.damages),
  ...(isMortar(work)
    ? [
        {
          kind: 'plain' as const,
          id: 'water',
          name: 'Clean water',
          for: m('mixing'),
          amount: waterMl(rounds),
          quantity: 'volume' as const,
        },
      ]
    : []),
  ...(stone > 0
    ? [
        {
          kind: 'plain' as const,
          id: 'aggregate',
          name: 'Clean dry aggregate',
          for: m('extending the deep fill'),
          amount: stone,
          quantity: 'mass' as const,
        },
      ]
    : []),
  ...heldNeeds(work),
];
