import { m, q } from '../message/message';
import { quantity, toBase, type Unit } from '../units/quantities';
import type { Channel, Instrument, Sample } from './instrument';
import { fault, repeats, type InstrumentState } from './instrumentState';
import { judgeLog } from './judgeLog';

/** A stream is judged over this time, ms; if it has not settled after the second time it is drifting. */
const WINDOW_MS = 4000;
const SETTLE_MS = 15_000;
/** So many identical values in a row: the sensor is stuck. */
const SAME_STREAM = 8;
const SAME_SPOT = 4;
/** So many readings on one line, each further by this share of the first: it drifts. */
const ROW_SPOT = 4;
const ROW_SHARE = 0.12;
const ROW_EVEN = 0.5;
/** A value within this factor of the expected one is plausible; one that is as near in another unit is in that unit. */
const FAR = 4;
const NEAR = 2;
/** The same for temperatures, whose zero has no meaning, °C. */
const FAR_C = 25;
const NEAR_C = 15;

const unitOf = (channel: Channel, symbol: string): Unit | undefined => {
  const { units } = quantity(channel.quantity);
  return symbol === '' ? units[0] : units.find((u) => u.symbol === symbol);
};

/** The unit in which a value would be the expected one, if it is not the stated unit; otherwise null. */
function unitMeant(
  channel: Channel,
  { value, said, expected }: { value: number; said: Unit; expected: number | null },
) {
  if (expected === null) return null;
  const warm = channel.quantity === 'temperature';
  const apart = (x: number): number =>
    warm
      ? Math.abs(x - expected)
      : x > 0 && expected > 0
        ? Math.max(x / expected, expected / x)
        : 1;
  if (apart(value) < (warm ? FAR_C : FAR)) return null;
  const bare = (value - (said.offset ?? 0)) / said.factor;
  return (
    quantity(channel.quantity).units.find(
      (u) => u !== said && apart(toBase(bare, u)) < (warm ? NEAR_C : NEAR),
    ) ?? null
  );
}

/** Each channel of a sample in its base unit; or the fault that its unit is unknown. */
function inBase(device: Instrument, sample: Sample): { values: number[] } | { unknown: string } {
  const values: number[] = [];
  for (const [i, channel] of device.channels.entries()) {
    const symbol = sample.units[i] ?? '';
    const unit = unitOf(channel, symbol);
    if (!unit) return { unknown: symbol };
    values.push(toBase(sample.values[i] ?? NaN, unit));
  }
  return { values };
}

/** The fault of one moment's values, `settled` or not: a wrong unit, or outside the measuring range. */
function implausible(
  device: Instrument,
  {
    sample,
    values,
    expects,
    settled,
  }: { sample: Sample; values: number[]; expects: readonly (number | null)[]; settled: boolean },
): InstrumentState | null {
  for (const [i, channel] of device.channels.entries()) {
    const value = values[i] as number;
    const unit = unitOf(channel, sample.units[i] ?? '') as Unit;
    // During a pour the value moves towards the expected one.
    const expected = settled || channel.actionStep === null ? (expects[i] ?? null) : null;
    const meant = unitMeant(channel, { value, said: unit, expected });
    const given = { what: channel.name, value: q(value, channel.quantity) };
    if (meant)
      return fault(
        'unit',
        m('{what} {value}: the value looks like {unit}. Set the unit, then read again.', {
          ...given,
          unit: meant.symbol,
        }),
        values,
      );
    if (!(value >= channel.from && value <= channel.to))
      return fault(
        'reach',
        m('{what} {value} is outside its measuring range. Check it.', given),
        values,
      );
  }
  return null;
}

/** The rise of the straight line fitted through one channel's values, from the first sample to the last. */
function rise(at: readonly number[], values: readonly number[]): number {
  const n = at.length;
  const [mt, mv] = [at, values].map((list) => list.reduce((sum, x) => sum + x, 0) / n) as [
    number,
    number,
  ];
  let [over, under] = [0, 0];
  for (const [i, t] of at.entries()) {
    over += (t - mt) * ((values[i] as number) - mv);
    under += (t - mt) ** 2;
  }
  return under === 0 ? 0 : (over / under) * ((at.at(-1) as number) - (at[0] as number));
}

/** The change of a channel over the window up to one sample. */
function movedAt(samples: readonly Sample[], own: readonly number[], last: number): number {
  const until = (samples[last] as Sample).at;
  const from = samples.findIndex((s) => s.at > until - WINDOW_MS);
  const at = samples.slice(from, last + 1).map((s) => s.at);
  return rise(at, own.slice(from, last + 1));
}

/** The time since the last action on what it measures, epoch ms: the last pour, or the first sample. */
function leftAlone(
  samples: readonly Sample[],
  own: readonly number[],
  { actionStep }: Channel,
): number {
  const first = (samples[0] as Sample).at;
  if (actionStep === null) return first;
  for (let i = samples.length - 1; i > 0; i -= 1)
    if (Math.abs(movedAt(samples, own, i)) > actionStep) return (samples[i] as Sample).at;
  return first;
}

const settling = (values: number[]): InstrumentState => ({
  state: 'settling',
  fault: null,
  say: m('Not steady yet. Hold it still.'),
  values,
});

/** Judges a stream, oldest first: working, settled. */
function watchStream(
  device: Instrument,
  samples: readonly Sample[],
  rows: readonly (readonly number[])[],
): InstrumentState {
  const values = [...(rows.at(-1) as number[])];
  const last = samples.length - 1;
  const now = (samples[last] as Sample).at;
  const full = now - (samples[0] as Sample).at >= WINDOW_MS * 0.9;
  let calm = full;
  for (const [i, channel] of device.channels.entries()) {
    const own = rows.map((row) => row[i] as number);
    const given = { what: channel.name, value: q(values[i] as number, channel.quantity) };
    if (repeats(own, SAME_STREAM, channel))
      return fault(
        'stuck',
        m('{what} has shown exactly {value} for a long time: it is stuck. Do not use it.', given),
        values,
      );
    const moved = movedAt(samples, own, last);
    if (Math.abs(moved) <= channel.still) continue;
    calm = false;
    if (full && now - leftAlone(samples, own, channel) > SETTLE_MS)
      return fault(
        'drift',
        m(
          moved > 0
            ? '{what} keeps rising, {value} now: it drifts. Do not use it.'
            : '{what} keeps falling, {value} now: it drifts. Do not use it.',
          given,
        ),
        values,
      );
  }
  return calm ? { state: 'steady', fault: null, say: m('Steady.'), values } : settling(values);
}

/** Judges spot readings, oldest first. */
function watchSpot(device: Instrument, rows: readonly number[][]): InstrumentState {
  const [channel] = device.channels as [Channel];
  const values = rows.map((row) => row[0] as number);
  const given = { times: SAME_SPOT, value: q(values.at(-1) as number, channel.quantity) };
  if (repeats(values, SAME_SPOT, channel))
    return fault(
      'stuck',
      m('{times} places gave exactly {value}: it is stuck. Do not use it.', given),
      values,
    );
  const row = values.slice(-ROW_SPOT);
  const steps = row.slice(1).map((v, i) => v - (row[i] as number));
  const step = steps.reduce((sum, s) => sum + s, 0) / steps.length;
  const even = steps.every((s) => Math.abs(s - step) <= ROW_EVEN * Math.abs(step));
  const up = step > 0;
  if (
    row.length === ROW_SPOT &&
    even &&
    Math.abs(step) * steps.length >= ROW_SHARE * Math.abs(values[0] as number)
  )
    return fault(
      'drift',
      m(
        up
          ? 'Each reading is higher than the one before, {value} now: it drifts. Check it on its reference.'
          : 'Each reading is lower than the one before, {value} now: it drifts. Check it on its reference.',
        given,
      ),
      values,
    );
  return {
    state: 'steady',
    fault: null,
    say: m('{n} taken. Measure the next place.', { n: values.length }),
    values,
  };
}

/**
 * Judges the samples of an instrument, oldest first, at a moment, epoch ms. `expects` is the plan's expected value of
 * each channel in its base unit, null if unknown: it reveals a wrong unit. `since` is the time of opening, epoch ms.
 * Never throws.
 */
export function judgeSamples(
  device: Instrument,
  {
    samples,
    now,
    expects,
    since,
  }: {
    samples: readonly Sample[];
    now: number;
    expects: readonly (number | null)[];
    since: number;
  },
): InstrumentState {
  const last = samples.at(-1);
  const read = samples.map((s) => inBase(device, s));
  const sound = read.flatMap((r) => ('values' in r ? [r.values] : []));
  const values = device.mode === 'spot' ? sound.map((r) => r[0] as number) : (sound.at(-1) ?? []);
  if (device.mode === 'log' && !last)
    return fault('lost', m('No readings in the log. Check battery and probes.'), values);
  if (device.mode !== 'log' && now - (last?.at ?? since) > device.silentMs)
    return fault(
      'lost',
      m('Connection lost. Bring the instrument nearer, or connect it again.'),
      values,
    );
  if (!last) return { state: 'waiting', fault: null, say: m('Waiting for a reading.'), values };
  const [strange] = read.flatMap((r) => ('unknown' in r ? [r.unknown] : []));
  if (strange !== undefined)
    return fault(
      'unit',
      m('It sends {unit}, which does not fit. Set its unit, then read again.', {
        unit: strange,
      }),
      values,
    );
  const seen =
    device.mode === 'log'
      ? judgeLog(device, { samples, rows: sound, now })
      : device.mode === 'spot'
        ? watchSpot(device, sound)
        : watchStream(device, samples, sound);
  const settled = seen.state === 'steady';
  const wrong = implausible(device, {
    sample: last,
    values: sound.at(-1) as number[],
    expects,
    settled,
  });
  return wrong && seen.fault === null ? { ...wrong, values } : seen;
}
