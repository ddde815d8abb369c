import { instrument, type Instrument } from '../instruments/instrument';
import type { Plan } from '../plan/plan';
import type { Hold } from '../work/step';

/** The instrument that reads a hold. */
export interface HoldInstrument {
  device: Instrument;
  /** The plan's expected value of each channel, in its base unit; null if unknown. */
  expects: readonly (number | null)[];
  /** Least number of readings. */
  least: number;
  /** What is recorded from its values: each channel of a stream, each reading of a set, or one figure from several. */
  recorded: (values: readonly number[]) => number[];
}

/** Number of spots for one figure. */
const SPOTS = 3;
/** A simulated size exceeds the required one by this factor. */
const PAST = 1.1;

const all = (values: readonly number[]): number[] => [...values];

/**
 * One figure from several spots, none hidden by the others: the lowest against a minimum, the highest against a
 * maximum, the mean between two limits, as for a profile.
 */
function oneOf(
  { min, max }: { min: number | null; max: number | null },
  values: readonly number[],
): number {
  if (min !== null && max === null) return Math.min(...values);
  if (max !== null && min === null) return Math.max(...values);
  return values.reduce((sum, v) => sum + v, 0) / values.length;
}

/** A value well inside a figure's limits; null without limits. */
function inside({ min, max }: { min: number | null; max: number | null }): number | null {
  if (min !== null && max !== null) return (min + max) / 2;
  if (min !== null) return min * PAST;
  return max === null ? null : max / PAST;
}

/** The instrument for a step's hold, and how its values are used; null if no instrument measures it. */
export function instrumentFor(
  hold: Hold | null,
  plan: Pick<Plan, 'survey'>,
): HoldInstrument | null {
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
