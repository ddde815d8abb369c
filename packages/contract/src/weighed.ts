import {
  MINUTE,
  usableMinutes,
  type Mix,
  type Plan,
  type PlanBatch,
  type SystemCard,
} from '@kelmot/core';

/** The card of the round that a batch belongs to. */
function cardOfBatch(plan: Plan, batch: Pick<PlanBatch, 'round'>): SystemCard {
  const round = plan.rounds.find((r) => r.id === batch.round);
  return (round && plan.cards[round.card.code]) ?? plan.card;
}

/** How the material of a batch is made ready. */
export const mixOf = (plan: Plan, batch: Pick<PlanBatch, 'round'>): Mix =>
  cardOfBatch(plan, batch).mix;

/** The moments of a pail that was begun, epoch ms: mixed through, place it by, its life ends. */
export function pailMoments(
  plan: Plan,
  batch: PlanBatch,
  { startedAt }: { startedAt: string },
): { mixed: number; placeBy: number; ends: number } {
  const at = (minutes: number) => Date.parse(startedAt) + minutes * MINUTE;
  return {
    mixed: at(mixOf(plan, batch).mixMinutes),
    placeBy: at(usableMinutes(batch)),
    ends: at(batch.lifeMin),
  };
}
