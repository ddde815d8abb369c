import { t } from '../../text/text';
import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import { degreaserNeed, wipeNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import type { Rounds } from './rounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ work, demand }: Rounds): Need[] => [
  degreaserNeed(work, m('the face and its edge')),
  {
    kind: 'aid',
    use: 'release',
    for: m('former, bores, studs and nuts'),
    areaMm2: demand.prepMm2 * 2,
    coats: 2,
  },
  wipeNeed(work, m('the prepared face')),
  {
    kind: 'plain',
    id: 'former',
    name: t('Plate for the former'),
    for: m('copying the good face'),
    amount: 1,
    quantity: 'count',
  },
  {
    kind: 'plain',
    id: 'gasket',
    name: t('New gasket'),
    for: m('closing the joint'),
    amount: 1,
    quantity: 'count',
  },
  ...heldNeeds(work),
];
