import { t } from '../../text/text';
import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import type { Need } from '../../work/supplies';
import type { InjectedRounds } from './injectedRounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const injectedNeeds = ({ ports, work }: InjectedRounds): Need[] => [
  {
    kind: 'plain',
    id: 'ports',
    name: t('Ports with caps'),
    for: m('injection'),
    amount: ports,
    quantity: 'count',
  },
  ...heldNeeds(work),
];
