import { MILESTONE_NAMES, type MilestoneId } from '../materials/card';
import { clockText } from './clock';
import type { PlanGist } from './gist';

export type CureState = 'wet' | 'late' | 'curing' | 'set';

export interface Strip {
  segments: { state: CureState; from: number; to: number }[];
  milestones: { id: MilestoneId; name: string; at: number }[];
  /** Overcoat window. */
  window: { from: number; to: number } | null;
  deadline: number;
  /** When the milestone the service needs is met. */
  ready: number;
  late: boolean;
  start: number;
  end: number;
}

const MINUTE = 60_000;

/**
 * The bar of a cure that was (or will be) mixed at `mixedAt`, epoch ms. States follow one another:
 * wet until placing must stop, late until the working life ends, curing until the needed milestone, then set.
 */
export function stripOf(plan: PlanGist, mixedAt: number): Strip {
  const at = (id: MilestoneId): number | null => {
    const found = plan.milestones.find((m) => m.id === id);
    return found ? mixedAt + found.minutes * MINUTE : null;
  };
  const first = plan.batches[0];
  const life = mixedAt + (first?.lifeMin ?? 0) * MINUTE;
  const placeBy = mixedAt + (first?.placeByMin ?? 0) * MINUTE;
  const ready = Math.max(life, (at(plan.needed) ?? life) + plan.cureStepsMin * MINUTE);
  const milestones = plan.milestones
    .filter((m) => m.id !== 'life')
    .map((m) => ({ id: m.id, name: MILESTONE_NAMES[m.id], at: mixedAt + m.minutes * MINUTE }));
  const last = Math.max(ready, ...milestones.map((m) => m.at));
  const end = Math.max(last, plan.deadline) + (last - mixedAt) * 0.04;
  const opens = at('overcoatOpens');
  const closes = at('overcoatCloses');
  return {
    segments: [
      { state: 'wet', from: mixedAt, to: placeBy },
      { state: 'late', from: placeBy, to: life },
      { state: 'curing', from: life, to: ready },
      { state: 'set', from: ready, to: end },
    ],
    milestones: [{ id: 'life', name: MILESTONE_NAMES.life, at: life }, ...milestones],
    window: opens !== null && closes !== null ? { from: opens, to: closes } : null,
    deadline: plan.deadline,
    ready,
    late: ready > plan.deadline,
    start: mixedAt,
    end,
  };
}

/** The strip in words, for a screen reader. Clock times are of the zone given in minutes east of UTC. */
export function stripText(strip: Strip, now: number, zoneMin: number): string {
  const clock = (at: number) => clockText(at, zoneMin);
  const [wet, late] = strip.segments;
  const state =
    strip.segments.find((s) => now >= s.from && now < s.to)?.state ??
    (now < strip.start ? 'not begun' : 'set');
  return [
    `Mixed ${clock(strip.start)}, ${state}.`,
    `Place by ${clock(wet?.to ?? strip.start)}.`,
    `Life ends ${clock(late?.to ?? strip.start)}.`,
    `Set ${clock(strip.ready)}.`,
    `Needed ${clock(strip.deadline)}${strip.late ? ', late' : ''}.`,
  ].join(' ');
}
