import type { MilestoneId } from '../materials/milestones';
import { m, minutes, type Message } from '../message/message';
import { timeTo, type Round } from '../work/round';

/** When something is allowed after the last mix: “after 4 h”, or "by the card" where it gives no time. */
export function momentText(round: Round, id: MilestoneId): Message {
  const at = timeTo(round, id, 0);
  return at?.ok ? m('{time} after the last mix', { time: minutes(at.minutes) }) : m('by its card');
}
