import { t } from '../text/text';
import { formatFigure, line, type WorkingLine } from '../calc/calc';
import { cureClock } from './cureClock';
import { cureRate, type CurePoint } from './cureTime';

/** A measured temperature of the repair, minutes from mixing; negative: before it. */
export interface SeenTemp {
  atMin: number;
  tempC: number;
}

/** What is known about the time to one milestone. */
export interface CureCourse {
  /** The card’s times to that milestone. */
  points: CurePoint[];
  /** The planned time, minutes from mixing. */
  plannedMin: number;
  /** In order of time. */
  seen: readonly SeenTemp[];
  /**
   * Whether the last temperature will last: heated, or under a roof. Otherwise the plan’s rate counts where it is
   * slower.
   */
  lasts: boolean;
  /** How many times longer than the card says it takes, 1 or more: from a sample that was still soft. */
  slow: number;
}

/** When a milestone comes, according to the readings. */
export interface MilestoneForecast {
  /** Minutes from mixing. */
  minutes: number;
  /** Share of the cure at the last reading; may exceed 1. */
  progress: number;
  /** Minutes from mixing to the last reading. */
  lastMin: number;
  /** Null if nothing was measured. */
  lastC: number | null;
  /** Minutes for the whole cure at the rate since the last reading; null: no cure. */
  paceMin: number | null;
  /** Too cold for the card: it would never cure. `minutes` is then the longest wait. */
  stalled: boolean;
  readonly working: WorkingLine[];
}

/** Longest wait for a cure: thirty days. */
export const LONGEST_MIN = 43_200;
/** A reading from before mixing counts as the temperature at mixing if it is no older than this, minutes. */
const BEFORE_MIN = 120;

/** The readings from mixing on, beginning with the temperature at mixing if a reading shortly before gives it. */
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
 * When a milestone comes, by the repair's temperatures: until the first reading as planned, between readings by the
 * cure clock, after the last at its rate. Minutes and °C. Null without readings since shortly before mixing.
 */
export function forecastCure(course: CureCourse): MilestoneForecast | null {
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
  // After the first reading, the remaining part is a shorter cure of the same kind.
  const done = before >= 1 ? planned : progress >= 1 ? clock(1 - before).doneAtMin : null;
  const reckoned = done ?? last.atMin + (1 - progress) * pace;
  const stalled = !(reckoned < LONGEST_MIN);
  const minutes = stalled ? LONGEST_MIN : reckoned;
  return {
    ...{ minutes, progress, stalled },
    ...{ lastMin: last.atMin, lastC: last.tempC, paceMin: Number.isFinite(pace) ? pace : null },
    get working() {
      return [
        ...specAsPlanned(course),
        line({
          symbol: 'a₀',
          label: t('share before the first reading, as planned'),
          expression: `${formatFigure(first.atMin)}/${formatFigure(planned)}`,
          value: before,
        }),
        line({
          symbol: 'a₁',
          label: t('share by the cure clock'),
          expression: `∫ dt/t(T) over ${history.length} readings`,
          value: seenShare,
          unit: '',
          source: t('rate is one over cure-time'),
        }),
        line({
          symbol: 'T',
          label: t('last temperature'),
          expression: formatFigure(last.tempC),
          value: last.tempC,
          unit: '°C',
          source: 'reading',
        }),
        line({
          symbol: 'p',
          label: t('the whole way at its pace from then on'),
          expression: lasts ? 't(T)' : t('t(T), or as planned where that is longer'),
          value: Number.isFinite(pace) ? pace : 'never',
          unit: 'min',
        }),
        line({
          symbol: 't',
          label: t('done after'),
          expression:
            done === null
              ? `${formatFigure(last.atMin)} + (1 − a₀ − a₁)·p`
              : 'when a₀ + a₁ passed 1',
          value: stalled ? 'never' : minutes,
          unit: 'min',
        }),
      ];
    },
  };
}

/** The first lines of every working: the plan, and how much slower the cure is. */
const specAsPlanned = ({ plannedMin, slow }: CureCourse): WorkingLine[] => [
  line({
    symbol: 'tp',
    label: t('as planned'),
    expression: t('plan'),
    value: plannedMin,
    unit: 'min',
    source: 'plan',
  }),
  ...(slow > 1
    ? [
        line({
          symbol: 'k',
          label: t('times as long as on the card'),
          expression: t('a sample was soft when it should be hard'),
          value: slow,
        }),
      ]
    : []),
];

/** From a sample only, without temperature readings. */
function unseen(course: CureCourse): MilestoneForecast {
  const minutes = course.plannedMin * course.slow;
  return {
    ...{ minutes, progress: 0, stalled: false, lastMin: 0, lastC: null, paceMin: minutes },
    working: [
      ...specAsPlanned(course),
      line({
        symbol: 't',
        label: t('done after'),
        expression: 'k·tp',
        value: minutes,
        unit: 'min',
      }),
    ],
  };
}

/** Share of the cure at a minute from mixing, by the readings until then. */
export function progressAt(course: CureCourse, atMin: number): number {
  const found = forecastCure({ ...course, seen: course.seen.filter((s) => s.atMin <= atMin) });
  if (!found) return atMin / (course.plannedMin * course.slow);
  const { progress, lastMin, paceMin } = found;
  return progress + (paceMin === null ? 0 : (atMin - lastMin) / paceMin);
}
