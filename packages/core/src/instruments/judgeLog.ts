import { m, minutes, q } from '../message/message';
import { MINUTE } from '../units/clock';
import type { Instrument, Sample } from './instrument';
import { fault, repeats, type InstrumentState } from './instrumentState';

/** So many identical values in a row: the sensor is stuck. */
const SAME_LOG = 12;
/** Two sensors of one repair that agreed before and now differ by this much, °C, over so many rows. */
const APART_C = 4;
const FEW_LOG = 3;

/** Mean of one channel over a range of rows. */
const meanOf = (rows: readonly (readonly number[])[], channel: number): number =>
  rows.reduce((sum, row) => sum + (row[channel] as number), 0) / rows.length;

/** Judges a log, oldest first: complete until now, sensors working and in agreement. */
export function judgeLog(
  device: Instrument,
  {
    samples,
    rows,
    now,
  }: { samples: readonly Sample[]; rows: readonly (readonly number[])[]; now: number },
): InstrumentState {
  const values = [...(rows.at(-1) as number[])];
  const ends = [...samples.map((s) => s.at), now];
  const gaps = ends.slice(1).map((at, i) => at - (ends[i] as number));
  const gap = Math.max(...gaps);
  if (gap > device.silentMs)
    return fault(
      'lost',
      m('No readings for {gap}. Check battery and probes.', {
        gap: minutes(gap / MINUTE),
      }),
      values,
    );
  for (const [i, channel] of device.channels.entries()) {
    const own = rows.map((row) => row[i] as number);
    if (repeats(own, SAME_LOG, channel))
      return fault(
        'stuck',
        m('{what} has logged exactly {value} for a long time: it is stuck. Do not use it.', {
          what: channel.name,
          value: q(values[i] as number, channel.quantity),
        }),
        values,
      );
  }
  const few = rows.slice(0, FEW_LOG);
  const late = rows.slice(-FEW_LOG);
  const apart = (list: typeof few) => meanOf(list, 1) - meanOf(list, 0);
  const off = Math.abs(apart(late) - apart(few));
  if (device.channels.length === 2 && off > APART_C)
    return fault(
      'drift',
      m('The two spots have drifted apart by {off}. One probe is loose or drifts: do not use it.', {
        off: q(off, 'temperatureStep'),
      }),
      values,
    );
  return {
    state: 'steady',
    fault: null,
    say: m('{n, plural, one {one reading} other {# readings}} over {over}.', {
      n: rows.length,
      over: minutes(((samples.at(-1) as Sample).at - (samples[0] as Sample).at) / MINUTE),
    }),
    values,
  };
}
