import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import { wipeNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import { BLOCK_GRIT, grits, ladder, type Rounds } from './rounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ work }: Rounds): Need[] => [
  wipeNeed(work, m('the sanded spot')),
  {
    kind: 'plain',
    id: 'grit',
    name: `Paper ${BLOCK_GRIT}, ${grits(work)}`,
    for: m('sanding and polish'),
    amount: ladder(work).length + 1,
    quantity: 'count',
  },
  ...heldNeeds(work),
];
