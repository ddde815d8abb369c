import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import { waterMl } from '../../methods/mix';
import { degreaserNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import { floorMm2, isPowder } from './coats';
import { ETCH_PARTS, type Rounds } from './rounds';

/** What the job takes besides its coatRounds. */
export const needs = ({ work, coatRounds, stone }: Rounds): Need[] => [
  degreaserNeed(work, m('the floor')),
  {
    kind: 'aid',
    use: 'etch',
    for: m('the floor, 1 in {n}', { n: ETCH_PARTS + 1 }),
    areaMm2: floorMm2(work) / (ETCH_PARTS + 1),
  },
  ...(isPowder(work)
    ? [
        {
          kind: 'plain' as const,
          id: 'water',
          name: 'Clean water',
          for: m('mixing'),
          amount: waterMl(coatRounds),
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
