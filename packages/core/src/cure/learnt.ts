import { fig, line, type WorkingLine } from '../calc/calc';
import { cureClock } from './cureClock';
import { cureRate, type CurePoint } from './cureTime';

/** A temperature that a repair had, minutes from its mix; less than zero: before it. */
export interface SeenTemp {
  atMin: number;
  tempC: number;
}

/** What is known of the way to one moment of a cure. */
export interface CureCourse {
  /** The card’s, to that moment. */
  points: CurePoint[];
  /** When it would come by the plan, minutes from the mix. */
  plannedMin: number;
  /** In the order of time. */
  seen: readonly SeenTemp[];
  /** Whether the last temperature lasts: warmth is held, or there is a roof. Else the plan’s pace counts where it is slower. */
  lasts: boolean;
  /** How many times as long as the card says it takes, 1 or more: told by a sample that was still soft. */
  slow: number;
}

/** When a moment of a cure comes by what was seen. */
export interface Learnt {
  /** Minutes from the mix. */
  minutes: number;
  /** Share of the way at the last reading; not capped at 1. */
  progress: number;
  /** Minutes from the mix of the last reading. */
  lastMin: number;
  /** Null where nothing was measured. */
  lastC: number | null;
  /** Minutes that the whole way takes at the pace from the last reading on; null: nothing cures. */
  paceMin: number | null;
  /** Too cold for the card: it would never come. `minutes` is then as long as anybody waits. */
  stalled: boolean;
  readonly working: WorkingLine[];
}

/** Nobody waits longer than thirty days for a cure. */
export const LONGEST_MIN = 43_200;
/** The last reading of all says how warm the repair was at its mix, if it is no longer before it than this, minutes. */
const BEFORE_MIN = 120;

/** What was seen from the mix on, the mix itself first where what was read before it says how warm it was. */
function sinceMix(seen: readonly SeenTemp[]): SeenTemp[] {
  const since = seen.filter((s) => s.atMin >= 0);
  const before = seen.filter((s) => s.atMin < 0).at(-1);
  const [first] = since;
  if (!before || first?.atMin === 0) return since;
  if (!first && before.atMin < -BEFORE_MIN) return [];
  const share = first ? -before.atMin / (first.atMin - before.atMin) : 0;
  const atMix = before.tempC + share * ((first?.tempC ?? before.tempC) - before.tempC);
  return [{ atMin: 0, tempC: atMix }, ...since];
}

/**
 * When a moment of a cure comes, by the temperatures that the repair had: until the first of them as planned, between them
 * by the cure clock, after the last at its pace. Minutes and °C. Null where nothing was seen since shortly before the mix.
 */
export function learnt(course: CureCourse): Learnt | null {
  const { points, plannedMin, seen, lasts, slow } = course;
  const history = sinceMix(seen);
  const [first, last] = [history[0], history.at(-1)];
  const planned = plannedMin * slow;
  if (!first || !last) return slow > 1 ? unseen(course) : null;
  const before = Math.min(1, first.atMin / planned);
  const clock = (share: number) =>
    cureClock({
      points: points.map((p) => ({ ...p, minutes: p.minutes * slow * share })),
      history,
      horizonMin: Number.MAX_SAFE_INTEGER,
    });
  const seenShare = clock(1).progress;
  const progress = before + seenShare;
  const rate = cureRate(points)(last.tempC) / slow;
  const held = rate > 0 ? 1 / rate : Infinity;
  const pace = lasts ? held : Math.max(held, planned);
  // What is left once the first reading comes is a shorter way of the same kind.
  const done = before >= 1 ? planned : progress >= 1 ? clock(1 - before).doneAtMin : null;
  const reckoned = done ?? last.atMin + (1 - progress) * pace;
  const stalled = !(reckoned < LONGEST_MIN);
  const minutes = stalled ? LONGEST_MIN : reckoned;
  return {
    ...{ minutes, progress, stalled },
    ...{ lastMin: last.atMin, lastC: last.tempC, paceMin: Number.isFinite(pace) ? pace : null },
    get working() {
      return [
        ...asPlanned(course),
        line(
          'a₀',
          'share before the first reading, as planned',
          `${fig(first.atMin)}/${fig(planned)}`,
          before,
        ),
        line(
          'a₁',
          'share by the cure clock',
          `∫ dt/t(T) over ${history.length} readings`,
          seenShare,
          '',
          'rate is one over cure-time',
        ),
        line('T', 'last temperature', fig(last.tempC), last.tempC, '°C', 'reading'),
        line(
          'p',
          'the whole way at its pace from then on',
          lasts ? 't(T)' : 't(T), or as planned where that is longer',
          Number.isFinite(pace) ? pace : 'never',
          'min',
        ),
        line(
          't',
          'done after',
          done === null ? `${fig(last.atMin)} + (1 − a₀ − a₁)·p` : 'when a₀ + a₁ passed 1',
          stalled ? 'never' : minutes,
          'min',
        ),
      ];
    },
  };
}

/** The first lines of every sum: the plan, and how much slower it goes. */
const asPlanned = ({ plannedMin, slow }: CureCourse): WorkingLine[] => [
  line('tp', 'as planned', 'plan', plannedMin, 'min', 'plan'),
  ...(slow > 1
    ? [line('k', 'times as long as on the card', 'a sample was soft when it should be hard', slow)]
    : []),
];

/** By a sample alone, where nobody measured how warm it was. */
function unseen(course: CureCourse): Learnt {
  const minutes = course.plannedMin * course.slow;
  return {
    ...{ minutes, progress: 0, stalled: false, lastMin: 0, lastC: null, paceMin: minutes },
    working: [...asPlanned(course), line('t', 'done after', 'k·tp', minutes, 'min')],
  };
}

/** Share of the way to a moment of a cure at a minute from the mix, by what was seen until then. */
export function progressAt(course: CureCourse, atMin: number): number {
  const found = learnt({ ...course, seen: course.seen.filter((s) => s.atMin <= atMin) });
  if (!found) return atMin / (course.plannedMin * course.slow);
  const { progress, lastMin, paceMin } = found;
  return progress + (paceMin === null ? 0 : (atMin - lastMin) / paceMin);
}
