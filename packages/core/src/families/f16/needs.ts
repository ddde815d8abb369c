import { t } from '../../text/text';
import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import type { Need } from '../../work/supplies';
import type { Rounds } from './rounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ work }: Rounds): Need[] => [
  { kind: 'aid', use: 'release', for: m('the trowels'), areaMm2: work.trade.crumb.mistMm2 },
  {
    kind: 'plain',
    id: 'cover',
    name: t('Rain cover'),
    for: m('while it cures'),
    amount: 1,
    quantity: 'count',
  },
  ...heldNeeds(work),
];
