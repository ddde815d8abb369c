import { m } from '../../message/message';
import { crackNeeds } from '../../methods/crack';
import { heldNeeds } from '../../methods/gate';
import { mortarNeeds } from '../../methods/mix';
import { degreaserNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import type { Rounds } from './rounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const needs = ({ work, survey, rounds }: Rounds): Need[] => [
  degreaserNeed(work, m('the band along the crack')),
  ...crackNeeds(work, survey.damages),
  ...mortarNeeds(rounds),
  ...heldNeeds(work),
];
