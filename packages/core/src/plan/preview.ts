import type { CardMatch } from '../match/match';
import { matchFigures } from '../match/figures';
import type { UnitSystem } from '../units/quantities';
import type { Figure } from '../work/figure';
import { suppliesOf } from '../work/supplies';
import { figuresOf } from './figures';

/** The figures of a match's plan, and of the rules that judged it. */
export function previewFigures(match: CardMatch, units: UnitSystem): Record<string, Figure> {
  const job = match.job();
  const { work, draft, laid } = job;
  const plan = laid.ok ? figuresOf(job, laid) : {};
  const drawn = suppliesOf(work, { main: match.card, rounds: draft.rounds, needs: [] }).figures;
  return matchFigures(
    match,
    { ...plan, ...Object.fromEntries(drawn.map((f) => [f.id, f])) },
    units,
  );
}
