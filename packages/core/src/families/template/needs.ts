import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import { degreaserNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import type { Rounds } from './rounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ work }: Rounds): Need[] => [
  degreaserNeed(work, m('the nosing')),
  ...heldNeeds(work),
];
