import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import { degreaserNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import type { SectionRounds } from './sectionRounds';

/** Supplies that the repair needs in addition to the materials of its rounds. */
export const sectionNeeds = ({ work }: SectionRounds): Need[] => [
  degreaserNeed(work, m('the sidewall')),
  ...heldNeeds(work),
];
