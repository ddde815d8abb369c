import { t } from '../../text/text';
import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import type { Need } from '../../work/supplies';
import { clothLines, clothMm2, type Rounds } from './rounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ patch, work }: Rounds): Need[] => [
  ...(patch
    ? [
        {
          kind: 'plain' as const,
          id: 'cloth',
          name: t('Glass cloth'),
          for: m('the patch'),
          amount: clothMm2(work),
          quantity: 'area' as const,
          working: clothLines(work),
        },
      ]
    : []),
  {
    kind: 'plain',
    id: 'board',
    name: t('Non-stick board and film'),
    for: m('wetting out and carrying'),
    amount: 1,
    quantity: 'count',
  },
  ...heldNeeds(work),
];
