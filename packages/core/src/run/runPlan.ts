import {
  forecastCure,
  progressAt,
  type CureCourse,
  type MilestoneForecast,
  type SeenTemp,
} from '../cure/forecastCure';
import type { CurePoint } from '../cure/cureTime';
import type { MilestoneId } from '../materials/milestones';
import type { Plan, PlanRound } from '../plan/plan';
import { MINUTE } from '../units/clock';
import { mixedOf, type MixedBatch } from './nextAction';

/** Tests of a kept sample: a fingernail leaves no mark once it is hard; a durometer measures it. */
export const SAMPLE_TESTS = ['nail', 'shore'] as const;
export type SampleTest = (typeof SAMPLE_TESTS)[number];

/** Readings of a curing repair, each in order of time, epoch ms. */
export interface CureReadings {
  temps: readonly { at: number; tempC: number }[];
  /** Whether it is heated, from a moment on. */
  heat: readonly { at: number; on: boolean }[];
  samples: readonly { at: number; by: SampleTest; hard: boolean }[];
}

/** When the needed milestone comes, as far as it is known. */
export interface CureForecast extends MilestoneForecast {
  milestone: MilestoneId;
  /** When its last batch was mixed, epoch ms, and the planned minutes from then. */
  mixedAt: number;
  plannedMin: number;
  lasts: boolean;
  slow: number;
}

/** A plan with the clocks of the measured cure, and the result for its main round. */
export interface Running {
  plan: Plan;
  /** Null before the main round is mixed, and without readings. */
  main: CureForecast | null;
  /** Every milestone of the main round with readings. */
  moments: ReadonlyMap<MilestoneId, MilestoneForecast>;
}

/** The temperature that a plan was made with, °C. */
export const plannedTemp = ({ heldC, survey }: Plan): number => heldC ?? survey.readings.surfaceC;

/** The milestone that a hard sample proves: the first of these that its card has. */
const HARD_AT: Record<SampleTest, readonly MilestoneId[]> = {
  nail: ['tackFree', 'handle'],
  shore: ['fullLoad', 'lightLoad', 'handle'],
};

type Points = Partial<Record<MilestoneId, CurePoint[]>>;

/** The known course to a milestone of a round, from `mixedAt`; null if its card has no times for it. */
function courseTo(
  points: Points,
  {
    id,
    plannedMin,
    mixedAt,
    readings: { temps, slow, lasts },
  }: {
    id: MilestoneId;
    plannedMin: number;
    mixedAt: number;
    readings: Pick<CureReadings, 'temps'> & Pick<CureCourse, 'slow' | 'lasts'>;
  },
): CureCourse | null {
  const own = points[id];
  const seen = temps.map(({ at, tempC }): SeenTemp => ({ atMin: (at - mixedAt) / MINUTE, tempC }));
  return own && id !== 'life' ? { points: own, plannedMin, seen, slow, lasts } : null;
}

/**
 * How many times slower a round cures than its card says: from each sample that was still soft when it should have been
 * hard.
 */
function slowBy(
  round: PlanRound,
  {
    points,
    mixedAt,
    readings: { temps, samples },
    lasts,
  }: { points: Points; mixedAt: number; readings: CureReadings; lasts: boolean },
): number {
  const behind = samples.flatMap(({ at, by, hard }) => {
    const planned = HARD_AT[by].flatMap((id) => round.milestones.filter((x) => x.id === id))[0];
    if (hard || !planned || at < mixedAt) return [];
    const about = { temps, slow: 1, lasts };
    const course = courseTo(points, {
      id: planned.id,
      plannedMin: planned.minutes,
      mixedAt,
      readings: about,
    });
    return course ? [progressAt(course, (at - mixedAt) / MINUTE)] : [];
  });
  return Math.max(1, ...behind);
}

/**
 * A running plan: the milestones of every mixed round, and the waits that depend on them, by the measured temperatures.
 * Without readings it stays as planned. A soft sample delays its main round; a hard one brings nothing forward, because
 * the skin hardens first. Outdoors, and after heating was switched off, the last temperature does not count as lasting
 * if the plan is slower.
 */
export function runPlan(plan: Plan, seen: CureReadings, mixes: readonly MixedBatch[]): Running {
  const warmed = seen.heat.at(-1)?.on;
  const lasts = warmed ?? (plan.heldC !== null || !plan.survey.site.outdoors);
  let main: CureForecast | null = null;
  const moments = new Map<MilestoneId, MilestoneForecast>();
  const closes = new Map<string, (until: MilestoneId, plannedMin: number) => number>();
  const rounds = plan.rounds.map((round) => {
    const mixed = mixedOf(round, mixes);
    const points: Points | undefined = plan.cards[round.card.code]?.cure.milestones;
    if (!mixed || !points) return round;
    const isMain = round.id === plan.mainRound;
    const slow = isMain ? slowBy(round, { points, mixedAt: mixed.last, readings: seen, lasts }) : 1;
    const to = (id: MilestoneId, plannedMin: number, mixedAt: number): MilestoneForecast | null => {
      const course = courseTo(points, {
        id,
        plannedMin,
        mixedAt,
        readings: { temps: seen.temps, slow, lasts },
      });
      return course && forecastCure(course);
    };
    closes.set(round.id, (until, planned) => to(until, planned, mixed.first)?.minutes ?? planned);
    const milestones = round.milestones.map(({ id, minutes }) => {
      const found = to(id, minutes, mixed.last);
      if (found && isMain) moments.set(id, found);
      if (found && isMain && id === plan.needed)
        main = {
          ...found,
          ...{ milestone: id, mixedAt: mixed.last, plannedMin: minutes, lasts, slow },
        };
      return { id, minutes: found?.minutes ?? minutes };
    });
    return { ...round, milestones };
  });
  const links = plan.links.map((link) => {
    const { from } = link;
    const closing = 'round' in from ? closes.get(from.round) : undefined;
    if (!('round' in from) || !closing) return link;
    const timeOf = (all: readonly PlanRound[]) =>
      all.find((r) => r.id === from.round)?.milestones.find((x) => x.id === from.at)?.minutes;
    const [planned, learned] = [timeOf(plan.rounds), timeOf(rounds)];
    const isOwn = planned !== undefined && Math.abs(link.least - planned) < 1e-6;
    const least = isOwn ? (learned ?? link.least) : Math.max(link.least, learned ?? 0);
    const most =
      link.most === null || from.until === null ? link.most : closing(from.until, link.most);
    return { ...link, least, most };
  });
  return { plan: { ...plan, rounds, links }, main, moments };
}
