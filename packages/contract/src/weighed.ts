import type { Mix, Plan, PlanBatch, SystemCard } from '@kelmot/core';

/** The card of the round that a batch belongs to. */
function cardOfBatch(plan: Plan, batch: Pick<PlanBatch, 'round'>): SystemCard {
  const round = plan.rounds.find((r) => r.id === batch.round);
  return (round && plan.cards[round.card.code]) ?? plan.card;
}

/** How the material of a batch is made ready. */
export const mixOf = (plan: Plan, batch: Pick<PlanBatch, 'round'>): Mix =>
  cardOfBatch(plan, batch).mix;
