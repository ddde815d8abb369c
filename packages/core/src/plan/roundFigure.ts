import type { Figure } from '../work/figure';
import type { Plan } from './plan';

/** A figure of one round; the chosen card’s round has its own without a name before it. */
export const roundFigure = (
  { figures, mainRound }: Pick<Plan, 'figures' | 'mainRound'>,
  round: string,
  id: string,
): Figure | undefined =>
  figures[`round.${round}.${id}`] ?? (round === mainRound ? figures[id] : undefined);
