import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import { mortarNeeds } from '../../methods/mix';
import { degreaserNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import { floorMm2 } from './coats';
import { type Rounds } from './rounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ work, coatRounds }: Rounds): Need[] => [
  degreaserNeed(work, m('the floor')),
  {
    kind: 'aid',
    use: 'etch',
    for: m('the floor, 1 in {n}', { n: work.trade.floor.etchParts + 1 }),
    areaMm2: floorMm2(work) / (work.trade.floor.etchParts + 1),
  },
  ...mortarNeeds(coatRounds),
  ...heldNeeds(work),
];
