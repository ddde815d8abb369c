import { z } from 'zod';
import { cureTime } from '../cure/cureTime';
import { readiness } from '../cure/readiness';
import { say } from '../units/format';
import { figureOf, type Figure } from './figure';
import { line } from '../calc/calc';
import { windowsIn } from './weather';
import type { Timeline } from './timeline';
import { minutesTo, type WorkUp } from './workUp';

export const HeatOption = z.strictObject({ tempC: z.number(), minutes: z.number() });
export const WorkWindow = z.strictObject({
  from: z.string(),
  to: z.string(),
  latestStart: z.string(),
});

/** Warmer than it is by these, °C: what a lamp or a heater brings. */
const WARMER_C = [5, 10, 15];

/** How long the needed cure takes when a heater holds it warmer, each with its sum; inside the card’s limits. */
function heated(work: WorkUp) {
  const points = work.card.cure.milestones[work.needed];
  const { surfaceC } = work.survey.readings;
  if (!points) return [];
  return WARMER_C.flatMap((more) => {
    const tempC = Math.round(surfaceC + more);
    if (tempC > work.card.ambient.maxSurfaceC) return [];
    const at = cureTime({ points, tempC });
    return at.ok ? [{ tempC, minutes: at.minutes, working: at.working }] : [];
  });
}

export const heatOptions = (work: WorkUp): z.infer<typeof HeatOption>[] =>
  heated(work).map(({ tempC, minutes }) => ({ tempC, minutes }));

/** The same as figures, by temperature. */
export const heatFigures = (work: WorkUp): Figure[] =>
  heated(work).map(({ tempC, minutes, working }) =>
    figureOf(`heat.${tempC}`, `Held at ${say(tempC, 'temperature')}`, minutes, 'time', working, [
      'readings.surfaceC',
    ]),
  );

/** Traces of day and night: enough for the chance to a few parts in a hundred, few enough to be worked at once. */
const TRACES = 120;
const MINUTE = 60_000;
/** Nobody waits longer than thirty days for a cure. */
const LONGEST_MIN = 43_200;

/** Minutes into the stop at which the last batch is mixed. */
const mixedAfter = ({ prepMin, buildMin }: Timeline): number => prepMin + buildMin;

/** The chance that it is cured in time, over temperatures as they may turn out. Null where there is no time at all. */
export function readinessFigures(work: WorkUp, times: Timeline, seed: number): Figure[] {
  const { survey, site, card, context, needed } = work;
  const points = card.cure.milestones[needed];
  const deadlineMin =
    survey.window.downMin -
    mixedAfter(times) -
    times.acceptMin -
    (times.cureMin - (minutesTo(work, needed) ?? 0));
  if (!points || deadlineMin <= 0) return [];
  const startAt = new Date(
    Date.parse(survey.window.startAt) + mixedAfter(times) * MINUTE,
  ).toISOString();
  const ahead = context.forecast?.slice(0, 48) ?? [];
  const meanTempC =
    ahead.length > 0
      ? ahead.reduce((sum, h) => sum + h.tempC, 0) / ahead.length
      : survey.readings.surfaceC;
  const found = readiness({
    points,
    startAt,
    deadlineMin: Math.min(deadlineMin, LONGEST_MIN),
    meanTempC,
    sdTempC: site.tempSdC,
    dailySwingC: survey.site.outdoors ? site.swingOutdoorsC : site.swingIndoorsC,
    utcOffsetMin: 0,
    traces: TRACES,
    seed,
  });
  const pct = found.probability * 100;
  return [
    figureOf(
      'readiness',
      'Chance of being ready',
      pct,
      'percent',
      [...found.working, line('P', 'chance of being ready', 'of all traces', pct, '%')],
      ['window.downMin', 'readings.surfaceC'],
    ),
  ];
}

/** Under this chance it is said what would raise it, percent. */
export const POOR_PCT = 90;

/** What would raise a poor chance: warmth first, then hours. */
export function raiseChance(work: WorkUp, readyPct: number | null): string[] {
  if (readyPct === null || readyPct >= POOR_PCT) return [];
  const now = minutesTo(work, work.needed) ?? 0;
  const [warm] = heatOptions(work);
  return [
    ...(warm
      ? [
          `Hold it at ${say(warm.tempC, 'temperature')}: ${say(warm.minutes, 'time')} instead of ${say(now, 'time')}.`,
        ]
      : []),
    'Start earlier, or ask for more hours.',
    'A faster card: see Match.',
  ];
}

/** When it may be mixed and stay dry until it is tack-free, by the forecast; null without one. */
export function workWindows(work: WorkUp, times: Timeline): z.infer<typeof WorkWindow>[] | null {
  const { weather } = work.context;
  if (!weather || weather.length === 0) return null;
  const protect = minutesTo(work, 'tackFree') ?? 120;
  return windowsIn(weather, work.card.ambient, times.buildMin, protect).slice(0, 6);
}
