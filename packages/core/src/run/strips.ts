import { MINUTE } from '../units/clock';
import type { SummaryRound, PlanSummary } from './planSummary';
import { mixedOf, type MixedBatch } from './nextAction';
import { stripOf, type Strip } from './strip';

/** One round of a job on its axis: as it was mixed, or as planned. */
export interface RoundStrip {
  round: SummaryRound;
  strip: Strip;
  begun: boolean;
}

/**
 * The strip of every round, in plan order. A round that is not mixed is at its planned place, moved by the job's delay:
 * after the last round that began, and never before `now`.
 */
export function stripsOf(
  plan: PlanSummary,
  mixes: readonly MixedBatch[],
  now: number,
): RoundStrip[] {
  const planned = (round: SummaryRound) => plan.startAt + round.plannedAtMin * MINUTE;
  const begun = plan.rounds.map((round) => ({ round, mixed: mixedOf(round, mixes) }));
  const last = begun.filter((b) => b.mixed !== null).at(-1);
  const open = begun.filter((b) => b.mixed === null).map((b) => planned(b.round));
  const moved = last?.mixed ? last.mixed.first - planned(last.round) : 0;
  const late = Math.max(moved, open.length > 0 ? now - Math.min(...open) : moved);
  return begun.map(({ round, mixed }) => ({
    round,
    strip: stripOf(plan, round, mixed ? mixed.last : planned(round) + late),
    begun: mixed !== null,
  }));
}
