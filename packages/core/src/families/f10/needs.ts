import { crackNeeds } from '../../methods/crack';
import { heldNeeds } from '../../methods/gate';
import type { Need } from '../../work/supplies';
import type { Rounds } from './rounds';

/** What the job takes besides its rounds. */
export const needs = ({ work, survey }: Rounds): Need[] => [
  ...crackNeeds(work, survey.damages),
  ...heldNeeds(work),
];
