import { t } from '../../text/text';
import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import type { Need } from '../../work/supplies';
import { pins, type Rounds } from './rounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ demand, burns, work }: Rounds): Need[] => [
  {
    kind: 'aid',
    use: 'wipe',
    for: m('the milled place'),
    areaMm2: demand.prepMm2 * work.trade.board.wipeTimes,
  },
  {
    kind: 'plain',
    id: 'tape',
    name: t('Heat-proof tape'),
    for: m('the dam'),
    amount: burns,
    quantity: 'count',
  },
  ...(pins(work) > 0
    ? [
        {
          kind: 'plain' as const,
          id: 'legs',
          name: t('Spare component legs'),
          for: m('forming the holes'),
          amount: pins(work),
          quantity: 'count' as const,
        },
      ]
    : []),
  ...heldNeeds(work),
];
