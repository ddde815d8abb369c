import type { QuantityId } from '../units/quantities';

export const INSTRUMENTS = [
  'hygrometer',
  'thickness',
  'film',
  'durometer',
  'scale',
  'logger',
] as const;
export type InstrumentId = (typeof INSTRUMENTS)[number];

/** One thing that an instrument measures. */
export interface Channel {
  /** What it is read as: the field of a reading. */
  key: string;
  name: string;
  quantity: QuantityId;
  /** What it can measure at all, in the base unit. */
  from: number;
  to: number;
  /** A sensor that lives never repeats itself more exactly than this, base unit; 0: its display is coarser than that. */
  noise: number;
  /** It is settled once it moves by no more than this over the settling time, base unit. */
  still: number;
  /** More than this over that time is something being done, such as a pour; null: nothing may change it so. Base unit. */
  deed: number | null;
}

/** What an instrument is, whoever made it and however it is reached. */
export interface Instrument {
  id: InstrumentId;
  name: string;
  channels: readonly Channel[];
  /**
   * `stream`: it sends by itself, and is taken once it has settled. `spot`: one reading each time that its probe is put
   * down, and several are taken together. `log`: it measures by itself and keeps what it measured until it is asked.
   */
  mode: 'stream' | 'spot' | 'log';
  /** Nothing for so long, and it is lost, ms; of a log: a gap in it. */
  silentMs: number;
}

/** What an instrument sent at a moment, epoch ms: a value for each channel, in the unit that it says, base where empty. */
export interface Sample {
  at: number;
  values: readonly number[];
  units: readonly string[];
}

const hygrometer: Instrument = {
  id: 'hygrometer',
  name: 'Surface thermo-hygrometer',
  mode: 'stream',
  silentMs: 3000,
  channels: [
    {
      ...{ key: 'airC', name: 'Air', quantity: 'temperature' },
      ...{ from: -40, to: 60, noise: 1e-4, still: 0.15, deed: null },
    },
    {
      ...{ key: 'rhPct', name: 'Humidity', quantity: 'percent' },
      ...{ from: 1, to: 100, noise: 1e-4, still: 0.6, deed: null },
    },
    {
      ...{ key: 'surfaceC', name: 'Surface', quantity: 'temperature' },
      ...{ from: -40, to: 120, noise: 1e-4, still: 0.15, deed: null },
    },
  ],
};

const thickness: Instrument = {
  id: 'thickness',
  name: 'Thickness gauge',
  mode: 'spot',
  silentMs: 20_000,
  channels: [
    {
      ...{ key: 'value', name: 'Thickness', quantity: 'length' },
      ...{ from: 0, to: 1000, noise: 1e-6, still: 0, deed: null },
    },
  ],
};

const film: Instrument = {
  id: 'film',
  name: 'Film and profile gauge',
  mode: 'spot',
  silentMs: 20_000,
  channels: [
    {
      ...{ key: 'value', name: 'Film or profile', quantity: 'thinFilm' },
      ...{ from: 0, to: 5000, noise: 1e-3, still: 0, deed: null },
    },
  ],
};

const durometer: Instrument = {
  id: 'durometer',
  name: 'Durometer',
  mode: 'spot',
  silentMs: 20_000,
  channels: [
    {
      ...{ key: 'value', name: 'Hardness', quantity: 'hardness' },
      ...{ from: 0, to: 100, noise: 1e-6, still: 0, deed: null },
    },
  ],
};

const scale: Instrument = {
  id: 'scale',
  name: 'Scale',
  mode: 'stream',
  silentMs: 3000,
  channels: [
    {
      ...{ key: 'g', name: 'On the scale', quantity: 'mass' },
      ...{ from: -50, to: 60_000, noise: 1e-4, still: 0.25, deed: 2 },
    },
  ],
};

const logger: Instrument = {
  id: 'logger',
  name: 'Cure logger',
  mode: 'log',
  silentMs: 30 * 60_000,
  channels: ['Spot 1', 'Spot 2'].map((name, i) => ({
    ...{ key: `spot${i + 1}`, name, quantity: 'temperature' as const },
    ...{ from: -60, to: 250, noise: 1e-4, still: 0, deed: null },
  })),
};

const BY_ID: Record<InstrumentId, Instrument> = {
  ...{ hygrometer, thickness, film, durometer, scale, logger },
};

/** An instrument by its id. */
export const instrument = (id: InstrumentId): Instrument => BY_ID[id];

/** A way to an instrument that was opened. */
export interface Link {
  close: () => void;
  /** Sets what is on a scale to nought; other instruments have none. */
  tare?: () => void;
}

/**
 * How an instrument is reached: over the air, by a cable, or a simulated one. Opened at a touch, since browsers ask the
 * person for the device; rejects where there is none. What is lost later is silent: `watch` notices. Of a log everything
 * since a moment, epoch ms, is heard, each with its own moment, before `open` resolves.
 */
export interface Driver {
  name: string;
  open: (device: Instrument, heard: (sample: Sample) => void, since?: number) => Promise<Link>;
}
