import { t } from '../../text/text';
import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import type { Need } from '../../work/supplies';
import type { Rounds } from './rounds';

/** Above this area the trowels must be misted with release agent, mm². */
const MIST_MM2 = 200_000;

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ work }: Rounds): Need[] => [
  { kind: 'aid', use: 'release', for: m('the trowels'), areaMm2: MIST_MM2 },
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
