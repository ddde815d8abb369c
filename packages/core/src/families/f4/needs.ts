import { t } from '../../text/text';
import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import { degreaserNeed, wipeNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import type { Rounds } from './rounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ work, wrap, places }: Rounds): Need[] => [
  degreaserNeed(work, m('the pipe round the leak')),
  wipeNeed(work, m('the prepared pipe')),
  ...(wrap
    ? [
        {
          kind: 'plain' as const,
          id: 'film',
          name: t('Elastic film'),
          for: m('over-wrap'),
          amount: places,
          quantity: 'count' as const,
        },
        {
          kind: 'plain' as const,
          id: 'water',
          name: t('Clean water, 20 °C'),
          for: m('soaking'),
          amount: work.trade.leak.soakMl,
          quantity: 'volume' as const,
        },
      ]
    : []),
  ...heldNeeds(work),
];
