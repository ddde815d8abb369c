import type { Figure } from '../work/figure';
import type { Plan, PlanRound } from './plan';

/** A figure of one round; the chosen card’s round has its own without a name before it. */
export const roundFigure = (
  { figures, mainRound }: Pick<Plan, 'figures' | 'mainRound'>,
  round: string,
  id: string,
): Figure | undefined =>
  figures[`round.${round}.${id}`] ?? (round === mainRound ? figures[id] : undefined);

/** The round that a figure is of, where it is of one of several; null for what is the job's. */
export const roundOfFigure = (plan: Plan, id: string): PlanRound | null =>
  plan.rounds.length < 2
    ? null
    : (plan.rounds.find((r) => id.startsWith(`round.${r.id}.`) || id.startsWith(`cure.${r.id}.`)) ??
      null);
