import { learnt, progressAt, type CureCourse, type Learnt, type SeenTemp } from '../cure/learnt';
import type { CurePoint } from '../cure/cureTime';
import type { MilestoneId } from '../materials/milestones';
import type { Plan, PlanRound } from '../plan/plan';
import { MINUTE } from '../units/clock';
import { mixedOf, type MixedBatch } from './nextAct';

/** A sample that was kept: a fingernail leaves no mark on it once it is hard, a durometer says how hard. */
export const SAMPLE_TESTS = ['nail', 'shore'] as const;
export type SampleTest = (typeof SAMPLE_TESTS)[number];

/** What was seen of a repair while it cures, each in the order of time, epoch ms. */
export interface CureSeen {
  temps: readonly { at: number; tempC: number }[];
  /** Whether anything warms it, from a moment on. */
  heat: readonly { at: number; on: boolean }[];
  samples: readonly { at: number; by: SampleTest; hard: boolean }[];
}

/** How the moment that the service loads is met, as far as it is known. */
export interface CureRun extends Learnt {
  milestone: MilestoneId;
  /** When its last batch was mixed, epoch ms, and minutes from then by the plan. */
  mixedAt: number;
  plannedMin: number;
  lasts: boolean;
  slow: number;
}

/** A plan whose clocks are those of the cure as it was seen, and what its main round says of it. */
export interface Running {
  plan: Plan;
  /** Null before the main round is mixed, and while nothing was seen of it. */
  main: CureRun | null;
  /** Every moment of the main round that was learned. */
  moments: ReadonlyMap<MilestoneId, Learnt>;
}

/** The temperature of the repair that a plan was made with, °C. */
export const plannedTemp = ({ heldC, survey }: Plan): number => heldC ?? survey.readings.surfaceC;

/** What a sample says is there once it is hard: the first of these that its card has a time to. */
const HARD_AT: Record<SampleTest, readonly MilestoneId[]> = {
  nail: ['tackFree', 'handle'],
  shore: ['fullLoad', 'lightLoad', 'handle'],
};

type Points = Partial<Record<MilestoneId, CurePoint[]>>;

/** How to a moment of a round’s cure things stand, counted from `mixedAt`; null where its card has no times to it. */
function courseTo(
  points: Points,
  id: MilestoneId,
  plannedMin: number,
  mixedAt: number,
  { temps, slow, lasts }: Pick<CureSeen, 'temps'> & Pick<CureCourse, 'slow' | 'lasts'>,
): CureCourse | null {
  const own = points[id];
  const seen = temps.map(({ at, tempC }): SeenTemp => ({ atMin: (at - mixedAt) / MINUTE, tempC }));
  return own && id !== 'life' ? { points: own, plannedMin, seen, slow, lasts } : null;
}

/** How many times as long as its card says a round takes: by each sample that was soft when it should have been hard. */
function slowBy(
  round: PlanRound,
  points: Points,
  mixedAt: number,
  { temps, samples }: CureSeen,
  lasts: boolean,
): number {
  const behind = samples.flatMap(({ at, by, hard }) => {
    const planned = HARD_AT[by].flatMap((id) => round.milestones.filter((x) => x.id === id))[0];
    if (hard || !planned || at < mixedAt) return [];
    const about = { temps, slow: 1, lasts };
    const course = courseTo(points, planned.id, planned.minutes, mixedAt, about);
    return course ? [progressAt(course, (at - mixedAt) / MINUTE)] : [];
  });
  return Math.max(1, ...behind);
}

/**
 * A plan as it runs: the moments of every round that is mixed, and the waits that hang on them, by the temperatures that
 * the repair had since. What was not seen stays as planned. A soft sample stretches its main round; a hard one brings
 * nothing forward, since a skin hardens first. Out of doors and after warmth was switched off, the last temperature is not
 * taken to last where the plan is slower.
 */
export function asItRuns(plan: Plan, seen: CureSeen, mixes: readonly MixedBatch[]): Running {
  const warmed = seen.heat.at(-1)?.on;
  const lasts = warmed ?? (plan.heldC !== null || !plan.survey.site.outdoors);
  let main: CureRun | null = null;
  const moments = new Map<MilestoneId, Learnt>();
  const closes = new Map<string, (until: MilestoneId, plannedMin: number) => number>();
  const rounds = plan.rounds.map((round) => {
    const mixed = mixedOf(round, mixes);
    const points: Points | undefined = plan.cards[round.card.code]?.cure.milestones;
    if (!mixed || !points) return round;
    const isMain = round.id === plan.mainRound;
    const slow = isMain ? slowBy(round, points, mixed.last, seen, lasts) : 1;
    const to = (id: MilestoneId, plannedMin: number, mixedAt: number): Learnt | null => {
      const course = courseTo(points, id, plannedMin, mixedAt, { temps: seen.temps, slow, lasts });
      return course && learnt(course);
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
