import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import { degreaserNeed, wipeNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import type { Rounds } from './rounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ work, demand }: Rounds): Need[] => [
  degreaserNeed(work, m('the damage and round it')),
  {
    kind: 'aid',
    use: 'release',
    for: m('what must come apart'),
    areaMm2: demand.prepMm2 / 2,
    coats: 2,
  },
  wipeNeed(work, m('the prepared metal')),
  ...heldNeeds(work),
];
