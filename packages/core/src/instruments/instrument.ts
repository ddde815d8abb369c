import { t } from '../text/text';
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

/** One quantity that an instrument measures. */
export interface Channel {
  /** The field of a reading that it fills. */
  key: string;
  name: string;
  quantity: QuantityId;
  /** Its measuring range, in the base unit. */
  from: number;
  to: number;
  /** A working sensor never repeats itself more exactly than this, base unit; 0: its display is coarser. */
  noise: number;
  /** It is settled when it changes by no more than this during the settling time, base unit. */
  still: number;
  /** A change larger than this is an action, such as a pour; null: no action can change it so. Base unit. */
  actionStep: number | null;
}

/** The properties of an instrument, who made it and however it is connected. */
export interface Instrument {
  id: InstrumentId;
  name: string;
  channels: readonly Channel[];
  /**
   * `stream`: sends by itself; taken once it has settled. `spot`: one reading each time its probe is put down; several
   * are taken together. `log`: measures by itself and stores its readings.
   */
  mode: 'stream' | 'spot' | 'log';
  /** Silence of this length means lost, ms; for a log: a gap. */
  silentMs: number;
}

/** What an instrument sent at a moment, epoch ms: a value for each channel, in the stated unit; base unit if empty. */
export interface Sample {
  at: number;
  values: readonly number[];
  units: readonly string[];
}

const hygrometer: Instrument = {
  id: 'hygrometer',
  name: t('Surface thermo-hygrometer'),
  mode: 'stream',
  silentMs: 3000,
  channels: [
    {
      ...{ key: 'airC', name: t('Air'), quantity: 'temperature' },
      ...{ from: -40, to: 60, noise: 1e-4, still: 0.15, actionStep: null },
    },
    {
      ...{ key: 'rhPct', name: t('Humidity'), quantity: 'percent' },
      ...{ from: 1, to: 100, noise: 1e-4, still: 0.6, actionStep: null },
    },
    {
      ...{ key: 'surfaceC', name: t('Surface'), quantity: 'temperature' },
      ...{ from: -40, to: 120, noise: 1e-4, still: 0.15, actionStep: null },
    },
  ],
};

const thickness: Instrument = {
  id: 'thickness',
  name: t('Thickness gauge'),
  mode: 'spot',
  silentMs: 20_000,
  channels: [
    {
      ...{ key: 'value', name: t('Thickness'), quantity: 'length' },
      ...{ from: 0, to: 1000, noise: 1e-6, still: 0, actionStep: null },
    },
  ],
};

const film: Instrument = {
  id: 'film',
  name: t('Film and profile gauge'),
  mode: 'spot',
  silentMs: 20_000,
  channels: [
    {
      ...{ key: 'value', name: t('Film or profile'), quantity: 'thinFilm' },
      ...{ from: 0, to: 5000, noise: 1e-3, still: 0, actionStep: null },
    },
  ],
};

const durometer: Instrument = {
  id: 'durometer',
  name: t('Durometer'),
  mode: 'spot',
  silentMs: 20_000,
  channels: [
    {
      ...{ key: 'value', name: t('Hardness'), quantity: 'hardness' },
      ...{ from: 0, to: 100, noise: 1e-6, still: 0, actionStep: null },
    },
  ],
};

const scale: Instrument = {
  id: 'scale',
  name: t('Scale'),
  mode: 'stream',
  silentMs: 3000,
  channels: [
    {
      ...{ key: 'g', name: t('On the scale'), quantity: 'mass' },
      ...{ from: -50, to: 60_000, noise: 1e-4, still: 0.25, actionStep: 2 },
    },
  ],
};

const logger: Instrument = {
  id: 'logger',
  name: t('Cure logger'),
  mode: 'log',
  silentMs: 30 * 60_000,
  channels: [t('Spot 1'), t('Spot 2')].map((name, i) => ({
    ...{ key: `spot${i + 1}`, name, quantity: 'temperature' as const },
    ...{ from: -60, to: 250, noise: 1e-4, still: 0, actionStep: null },
  })),
};

const BY_ID: Record<InstrumentId, Instrument> = {
  ...{ hygrometer, thickness, film, durometer, scale, logger },
};

/** An instrument by its id. */
export const instrument = (id: InstrumentId): Instrument => BY_ID[id];

/** A connection to an open instrument. */
export interface Link {
  close: () => void;
  /** Sets a scale to zero; other instruments have no tare. */
  tare?: () => void;
}

/**
 * A connection to an instrument: by radio, by cable, or simulated. Opened by a touch, because browsers ask the person
 * for the device; rejects if there is none. A later loss is silent: `watch` detects it. A log sends all its samples
 * since a moment, epoch ms, each with its own time, before `open` resolves.
 */
export interface Driver {
  name: string;
  open: (device: Instrument, heard: (sample: Sample) => void, since?: number) => Promise<Link>;
}
