import type { Figure } from '../work/figure';
import type { Plan, PlanRound } from './plan';

/** A figure of one round; the chosen card’s round has no prefix. */
export const roundFigure = (
  { figures, mainRound }: Pick<Plan, 'figures' | 'mainRound'>,
  round: string,
  id: string,
): Figure | undefined =>
  figures[`round.${round}.${id}`] ?? (round === mainRound ? figures[id] : undefined);

/** The round of a figure, if it belongs to one of several; null for the job's figures. */
export const roundOfFigure = (plan: Plan, id: string): PlanRound | null =>
  plan.rounds.length < 2
    ? null
    : (plan.rounds.find((r) => id.startsWith(`round.${r.id}.`) || id.startsWith(`cure.${r.id}.`)) ??
      null);
