import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { airC, atLeastZero, ceil, floor, rhPct, tempC } from '../calc/number';
import { HOUR, MINUTE } from '../units/clock';
import { ambientGate, GateLimits } from './ambientGate';

const ForecastHour = z.strictObject({
  at: z.iso
    .datetime({
      offset: true,
      error: t('must be a time with its zone, such as 2031-05-06T07:00:00Z'),
    })
    .meta(named(t('Hour'))),
  airC: airC().meta(named(t('Air'), '°C')),
  rhPct: rhPct().meta(named(t('Humidity'), '%')),
  surfaceC: tempC()
    .optional()
    .meta(named(t('Surface'), '°C')),
  rainMm: atLeastZero()
    .default(0)
    .meta(named(t('Rain'), 'mm')),
});

export const WindowFindInput = z.strictObject({
  hours: z
    .array(ForecastHour)
    .min(1)
    .max(10_000)
    .superRefine((hours, ctx) => {
      hours.forEach((hour, i) => {
        const before = hours[i - 1];
        if (before && Date.parse(hour.at) - Date.parse(before.at) !== HOUR) {
          ctx.addIssue({
            code: 'custom',
            path: [i, 'at'],
            message: t('must be exactly one hour after {at}', { at: before.at }),
          });
        }
      });
    })
    .meta(named(t('Forecast'))),
  applyMinutes: z
    .number()
    .min(0)
    .max(1e6)
    .meta(named(t('Applying takes'), 'min')),
  protectMinutes: z
    .number()
    .min(0)
    .max(1e6)
    .meta(named(t('Protected for'), 'min')),
  gate: GateLimits.meta(named(t('Gate'))),
  dryOnly: z
    .boolean()
    .default(true)
    .meta(named(t('Dry hours only'))),
  minProtectC: tempC()
    .optional()
    .meta(named(t('Coldest while protecting'), '°C')),
});
export type WindowFindInput = z.output<typeof WindowFindInput>;
export interface Window {
  from: string;
  to: string;
  latestStart: string;
}

interface Judged {
  workable: boolean;
  protects: boolean;
}

/** Whether an hour may be worked in, and whether a fresh coat is safe in it. */
function judgeHour(hour: WindowFindInput['hours'][number], input: WindowFindInput): Judged {
  const { gate, dryOnly } = input;
  const surfaceC = hour.surfaceC ?? hour.airC;
  const { verdict, marginC } = ambientGate({
    airC: hour.airC,
    rhPct: hour.rhPct,
    surfaceC,
    ...gate,
  });
  const dry = !dryOnly || hour.rainMm === 0;
  const warm = surfaceC >= (input.minProtectC ?? gate.minSurfaceC) && surfaceC <= gate.maxSurfaceC;
  return { workable: dry && verdict === 'go', protects: dry && warm && marginC >= 0 };
}

/**
 * Hours of a forecast in which a coat can be started: the gate is open during the whole application, and it stays dry,
 * warm and above the dew point during the whole protection time. Times in UTC. Windows may overlap; the list may be
 * empty. Never refuses.
 */
export function windowFind(input: WindowFindInput): Worked<{ windows: Window[] }> {
  const { hours, applyMinutes, protectMinutes } = input;
  const judged = hours.map((hour) => judgeHour(hour, input));
  /**
   * Indices of the hours that an interval of minutes from a start overlaps: the first, and one after the last. An empty
   * interval overlaps none.
   */
  const touched = (from: number, to: number): [number, number] =>
    to <= from ? [0, 0] : [floor(from / 60), ceil(to / 60)];
  const applied = touched(0, applyMinutes);
  const held = touched(applyMinutes, applyMinutes + protectMinutes);
  const all = (what: keyof Judged, start: number, [from, to]: [number, number]) =>
    judged.slice(start + from, start + to).every((j) => j[what]);
  const known = Math.max(applied[1], held[1]);
  const good = judged.map(
    (_, i) => i + known <= hours.length && all('workable', i, applied) && all('protects', i, held),
  );
  const iso = (i: number, minutes = 0) =>
    new Date(Date.parse((hours[i] as { at: string }).at) + minutes * MINUTE).toISOString();
  const windows: Window[] = [];
  let from: number | null = null;
  good.forEach((ok, i) => {
    if (ok) from ??= i;
    if (from !== null && ok && !good[i + 1]) {
      windows.push({
        from: iso(from),
        to: iso(i, applyMinutes + protectMinutes),
        latestStart: iso(i),
      });
      from = null;
    }
  });
  const count = (what: keyof Judged) => judged.filter((j) => j[what]).length;
  const working = [
    line({
      symbol: 'nw',
      label: t('hours that may be worked in'),
      expression: input.dryOnly
        ? t('of {hours}: the gate says go, no rain', { hours: hours.length })
        : t('of {hours}: the gate says go', { hours: hours.length }),
      value: count('workable'),
      unit: 'h',
      source: t('forecast, gate'),
    }),
    line({
      symbol: 'np',
      label: t('hours safe for a fresh coat'),
      expression: t('surface {minProtect} to {maxSurface} °C, no dew', {
        minProtect: formatFigure(input.minProtectC ?? input.gate.minSurfaceC),
        maxSurface: formatFigure(input.gate.maxSurfaceC),
      }),
      value: count('protects'),
      unit: 'h',
      source: 'forecast',
    }),
    line({
      symbol: 'ns',
      label: t('good starts'),
      expression: t('{applyMinutes} min to apply, {protectMinutes} min to protect, all known', {
        applyMinutes: formatFigure(applyMinutes),
        protectMinutes: formatFigure(protectMinutes),
      }),
      value: good.filter(Boolean).length,
    }),
    line({
      symbol: '',
      label: t('windows'),
      expression: t('runs of good starts'),
      value: windows.length,
    }),
  ];
  return worked({ windows }, working);
}

export const windowFindCalc = defineCalc({
  name: 'window-find',
  purpose: t('Hours of a forecast in which a coat may be started and left.'),
  input: WindowFindInput,
  run: windowFind,
  result: {
    windows: {
      ...named(t('Windows')),
      of: { from: named(t('From')), to: named('To'), latestStart: named(t('Latest start')) },
    },
  },
  formula: [
    t(
      'start is good: every hour of applying passes the gate, every hour of protecting is dry, warm and above dew',
    ),
    t('window: a run of good starts; to = latest start + apply + protect'),
  ],
  source: t('ambient-gate over an hourly forecast.'),
  limits: t(
    'Hours past the forecast are not known, so not good. Read the gate again at the repair before mixing.',
  ),
  example: {
    hours: [9, 10, 12, 14, 15, 13, 11, 9].map((air, i) => ({
      at: `2031-03-04T${String(8 + i).padStart(2, '0')}:00:00.000Z`,
      airC: air,
      rhPct: 70 - i,
      surfaceC: air + 1,
      rainMm: i === 0 ? 0.4 : 0,
    })),
    applyMinutes: 60,
    protectMinutes: 120,
    gate: {},
  },
});
