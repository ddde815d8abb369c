import { m } from '../../message/message';
import { heldNeeds } from '../../methods/gate';
import { degreaserNeed } from '../../methods/prep';
import type { Need } from '../../work/supplies';
import type { SectionRounds } from './sectionRounds';

/** What the job takes besides its rounds. */
export const sectionNeeds = ({ work }: SectionRounds): Need[] => [
  degreaserNeed(work, m('the sidewall')),
  ...heldNeeds(work),
];
