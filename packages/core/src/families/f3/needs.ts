import { t } from '../../text/text';
import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import { degreaserNeed, wipeNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import type { Rounds } from './rounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ work, survey }: Rounds): Need[] => [
  degreaserNeed(work, m('the break and round it')),
  wipeNeed(work, m('the prepared metal')),
  {
    kind: 'plain',
    id: 'putty',
    name: t('Removable putty'),
    for: m('bushes and moving faces'),
    amount: survey.damages.length,
    quantity: 'count',
  },
  ...heldNeeds(work),
];
