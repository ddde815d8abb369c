import { instrument, type Instrument } from '../instruments/instrument';
import type { Plan } from '../plan/plan';
import type { Hold } from '../work/step';

/** By what a hold is read. */
export interface ReadBy {
  device: Instrument;
  /** What the plan thinks each channel will show, in its base unit; null where it does not know. */
  expects: readonly (number | null)[];
  /** So many readings are taken at least. */
  least: number;
  /** What is recorded of what it gave: each channel of a stream, each reading of a set, or the one figure of several. */
  recorded: (values: readonly number[]) => number[];
}

/** One figure of a place is measured at so many spots. */
const SPOTS = 3;
/** Laid on and cut back, a thing comes out this much past what is asked for. */
const PAST = 1.1;

const all = (values: readonly number[]): number[] => [...values];

/**
 * The one figure of several spots, none of them hidden by the others: where there is a least, the lowest; where there is
 * a most, the highest; between two limits their mean, as a profile is told.
 */
function oneOf(
  { min, max }: { min: number | null; max: number | null },
  values: readonly number[],
): number {
  if (min !== null && max === null) return Math.min(...values);
  if (max !== null && min === null) return Math.max(...values);
  return values.reduce((sum, v) => sum + v, 0) / values.length;
}

/** What lies well inside the limits of a figure; null where it has none. */
function inside({ min, max }: { min: number | null; max: number | null }): number | null {
  if (min !== null && max !== null) return (min + max) / 2;
  if (min !== null) return min * PAST;
  return max === null ? null : max / PAST;
}

/** By what the hold of a step is read, and what is made of it; null where no instrument measures that. */
export function readBy(hold: Hold | null, plan: Pick<Plan, 'survey'>): ReadBy | null {
  switch (hold?.kind) {
    case 'ambient': {
      const { airC, rhPct, surfaceC } = plan.survey.readings;
      const device = instrument('hygrometer');
      return { device, expects: [airC, rhPct, surfaceC], least: 1, recorded: all };
    }
    case 'hardness':
      return {
        device: instrument('durometer'),
        expects: [Math.min(hold.target * PAST, (hold.target + 100) / 2)],
        least: hold.minReadings,
        recorded: all,
      };
    case 'thickness':
      return {
        device: instrument('thickness'),
        expects: [hold.targetMm * PAST],
        least: hold.minReadings,
        recorded: all,
      };
    case 'reading': {
      if (hold.quantity !== 'length' && hold.quantity !== 'thinFilm') return null;
      return {
        device: instrument(hold.quantity === 'length' ? 'thickness' : 'film'),
        expects: [inside(hold)],
        least: SPOTS,
        recorded: (values) => [oneOf(hold, values)],
      };
    }
    default:
      return null;
  }
}
