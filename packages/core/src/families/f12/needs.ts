import { t } from '../../text/text';
import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import { degreaserNeed, wipeNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import { holes, type Rounds } from './rounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ work, wet }: Rounds): Need[] => [
  degreaserNeed(work, m('the shell')),
  ...(wet ? [] : [wipeNeed(work, m('the keyed shell'))]),
  {
    kind: 'plain',
    id: 'plugs',
    name: t('Plugs, backing and tape'),
    for: m('every outlet and hole'),
    amount: 1 + holes(work),
    quantity: 'count',
  },
  ...heldNeeds(work),
];
