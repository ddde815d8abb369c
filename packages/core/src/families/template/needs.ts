import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import { degreaserNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import type { Rounds } from './rounds';

/** What the job takes besides its rounds. */
export const needs = ({ work }: Rounds): Need[] => [
  degreaserNeed(work, m('the nosing')),
  ...heldNeeds(work),
];
