import { t } from '../text/text';
import { MILESTONE_NAMES, type MilestoneId } from '../materials/milestones';
import { MINUTE } from '../units/clock';
import { clockText } from '../schedule/clock';
import type { Zone } from '../units/zone';
import type { CureState } from '../schedule/state';
import type { SummaryRound, PlanSummary } from './planSummary';

export interface Strip {
  segments: { state: CureState; from: number; to: number }[];
  milestones: { id: MilestoneId; name: string; at: number }[];
  /** When the next round may follow. */
  window: { from: number; to: number } | null;
  deadline: number;
  /** When the awaited milestone comes: the service’s, or the next round’s. */
  ready: number;
  late: boolean;
  start: number;
  end: number;
}

/** The wait of a round: for the milestone that the service loads, or for the next round. */
function waitOf(plan: PlanSummary, round: SummaryRound): number {
  const needed = round.milestones.find((x) => x.id === round.needed)?.minutes;
  if (needed !== undefined) return needed + (round.id === plan.mainRound ? plan.cureStepsMin : 0);
  const tack = round.milestones.find((x) => x.id === 'tackFree')?.minutes ?? 0;
  return round.next?.least ?? tack;
}

/**
 * The bar of a round that was (or will be) mixed at `mixedAt`, epoch ms. States in order: wet until placing must stop,
 * late until the working life ends, curing until the awaited milestone, then set.
 */
export function stripOf(plan: PlanSummary, round: SummaryRound, mixedAt: number): Strip {
  const [first] = round.batches;
  const waited = mixedAt + waitOf(plan, round) * MINUTE;
  const lifeEnds = mixedAt + (first?.lifeMin ?? 0) * MINUTE;
  // A spread film dries long before its can sets: then nothing of it is late.
  const dries = round.needed === null && waited < lifeEnds;
  const life = dries ? waited : lifeEnds;
  const placeBy = dries ? waited : mixedAt + (first?.useMin ?? 0) * MINUTE;
  const ready = Math.max(life, waited);
  const milestones = round.milestones
    .filter((x) => x.id !== 'life')
    .map((x) => ({ id: x.id, name: MILESTONE_NAMES[x.id], at: mixedAt + x.minutes * MINUTE }));
  const last = Math.max(ready, ...milestones.map((x) => x.at));
  const loaded = round.needed !== null;
  const end = (loaded ? Math.max(last, plan.deadline) : last) + (last - mixedAt) * 0.04;
  const { next } = round;
  return {
    segments: [
      { state: 'wet', from: mixedAt, to: placeBy },
      { state: 'late', from: placeBy, to: life },
      { state: 'curing', from: life, to: ready },
      { state: 'set', from: ready, to: end },
    ],
    milestones: [{ id: 'life', name: MILESTONE_NAMES.life, at: life }, ...milestones],
    window:
      next && next.most !== null
        ? { from: mixedAt + next.least * MINUTE, to: mixedAt + next.most * MINUTE }
        : null,
    deadline: plan.deadline,
    ready,
    late: loaded && ready > plan.deadline,
    start: mixedAt,
    end,
  };
}

/** The strip in words, for a screen reader. Clock times in the zone. */
export function stripText(strip: Strip, now: number, zone: Zone): string {
  const clock = (at: number) => clockText(at, zone);
  const [wet, late] = strip.segments;
  const state =
    strip.segments.find((s) => now >= s.from && now < s.to)?.state ??
    (now < strip.start ? t('not begun') : 'set');
  return [
    `Mixed ${clock(strip.start)}, ${state}.`,
    t('Place by {to}.', { to: clock(wet?.to ?? strip.start) }),
    t('Life ends {to}.', { to: clock(late?.to ?? strip.start) }),
    `Set ${clock(strip.ready)}.`,
    `Needed ${clock(strip.deadline)}${strip.late ? ', late' : ''}.`,
  ].join(' ');
}
