import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import { degreaserNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import type { CoverRounds } from './coverRounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const coverNeeds = ({ work }: CoverRounds): Need[] => [
  degreaserNeed(work, m('the sidewall')),
  ...heldNeeds(work),
];
