import { t } from '../../text/text';
import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import { degreaserNeed, wipeNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import type { Rounds } from './rounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ work }: Rounds): Need[] => [
  degreaserNeed(work, m('the pipe under the wrap')),
  wipeNeed(work, m('the prepared steel')),
  {
    kind: 'plain',
    id: 'film',
    name: t('Compression film'),
    for: m('over the plies'),
    amount: 1,
    quantity: 'count',
  },
  ...heldNeeds(work),
];
