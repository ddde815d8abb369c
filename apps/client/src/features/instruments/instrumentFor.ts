import type { Hold, Plan } from '@kelmot/core';
import { instrument, type Instrument } from '@kelmot/core/instruments/instrument';

/** What a hold can be read by: the instrument, what the plan expects of each channel, how many readings it takes. */
export interface Asked {
  device: Instrument;
  /** Base units. */
  expects: readonly (number | null)[];
  least: number;
  /** The texts of the boxes, by their keys, of the values that were taken, each written as a number in its box’s unit. */
  textsOf: (values: readonly number[], write: (value: number, channel: number) => string) => Texts;
}
export type Texts = Record<string, string>;

/** A place is measured at so many spots where one figure is asked for: their mean is it. */
const SPOTS = 3;

/** What lies well inside the limits of a figure. */
function insideOf({ min, max }: { min: number | null; max: number | null }): number | null {
  if (min !== null && max !== null) return (min + max) / 2;
  if (min !== null) return min * 1.2;
  return max === null ? null : max * 0.8;
}

const GAUGED = ['length', 'thinFilm'] as const;

/** By what the hold of a step can be read; null where it is typed. */
export function instrumentFor(hold: Hold | null, plan: Plan): Asked | null {
  switch (hold?.kind) {
    case 'ambient': {
      const device = instrument('hygrometer');
      const { airC, rhPct, surfaceC } = plan.survey.readings;
      return {
        device,
        expects: [airC, rhPct, surfaceC],
        least: 1,
        textsOf: (values, write) =>
          Object.fromEntries(device.channels.map(({ key }, i) => [key, write(values[i] ?? 0, i)])),
      };
    }
    case 'hardness':
    case 'thickness': {
      const hard = hold.kind === 'hardness';
      return {
        device: instrument(hard ? 'durometer' : 'thickness'),
        expects: [hard ? hold.target * 1.05 : hold.targetMm * 1.1],
        least: hold.minReadings,
        textsOf: (values, write) => ({ value: values.map((v) => write(v, 0)).join(' ') }),
      };
    }
    case 'reading': {
      const { quantity } = hold;
      const gauged = GAUGED.find((id) => id === quantity);
      if (!gauged) return null;
      const gauge = instrument('thickness');
      const [channel] = gauge.channels;
      if (!channel) return null;
      return {
        device: { ...gauge, channels: [{ ...channel, quantity: gauged, to: channel.to * 1000 }] },
        expects: [insideOf(hold)],
        least: SPOTS,
        textsOf: (values, write) => ({
          value: write(values.reduce((sum, v) => sum + v, 0) / values.length, 0),
        }),
      };
    }
    default:
      return null;
  }
}
