import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import type { Need } from '../../work/supplies';
import type { Rounds } from './rounds';

/** Above this area the trowels are misted, mm². */
const MIST_MM2 = 200_000;

/** What the job takes besides its rounds. */
export const needs = ({ work }: Rounds): Need[] => [
  { kind: 'aid', use: 'release', for: m('the trowels'), areaMm2: MIST_MM2 },
  {
    kind: 'plain',
    id: 'cover',
    name: 'Rain cover',
    for: m('while it cures'),
    amount: 1,
    quantity: 'count',
  },
  ...heldNeeds(work),
];
