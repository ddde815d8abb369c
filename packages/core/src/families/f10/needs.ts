import { crackNeeds } from '../../methods/crack';
import { heldNeeds } from '../../methods/gate';
import type { Need } from '../../work/supplies';
import type { Rounds } from './rounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ work, survey }: Rounds): Need[] => [
  ...crackNeeds(work, survey.damages),
  ...heldNeeds(work),
];
