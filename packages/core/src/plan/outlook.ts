import { t } from '../text/text';
import { z } from 'zod';
import { line } from '../calc/calc';
import { cureTime } from '../cure/cureTime';
import { chanceOfReady } from '../cure/readiness';
import type { Job } from '../job/job';
import { MINUTE } from '../units/clock';
import { celsius, m, minutes, type Message } from '../message/message';
import { setsInWater } from '../methods/gate';
import type { Schedule } from '../schedule/scheduleJob';
import { offsetMin } from '../units/zone';
import { figureOf, type Figure } from '../work/figure';
import { historyFrom, neededOn, timeTo, type Round } from '../work/round';
import { windowsIn } from '../work/weather';

export const HeatOption = z.strictObject({ tempC: z.number(), minutes: z.number() });
export const WorkWindow = z.strictObject({
  from: z.string(),
  to: z.string(),
  latestStart: z.string(),
});

/** Temperature rises that a lamp or heater brings, °C. */
const WARMER_C = [5, 10, 15];

const neededOf = (main: Round) => neededOn(main.card, main.needed ?? 'fullLoad');

/** The time of the needed cure at higher temperatures, each with its working; within the card’s limits. */
function heated(main: Round) {
  const points = main.card.cure.milestones[neededOf(main)];
  if (!points) return [];
  return WARMER_C.flatMap((more) => {
    const tempC = Math.round(main.base.tempC + more);
    if (tempC > main.card.ambient.maxSurfaceC) return [];
    const at = cureTime({ points, tempC });
    return at.ok ? [{ tempC, minutes: at.minutes, working: at.working }] : [];
  });
}

export const heatOptions = (main: Round): z.infer<typeof HeatOption>[] =>
  heated(main).map(({ tempC, minutes: min }) => ({ tempC, minutes: min }));

/** The same as figures, by temperature. */
export const heatFigures = (main: Round): Figure[] =>
  heated(main).map(({ tempC, minutes: min, working }) =>
    figureOf({
      id: `heat.${tempC}`,
      label: t('If heated'),
      value: min,
      quantity: 'time',
      working,
      paths: ['readings.surfaceC'],
    }),
  );

/** Number of temperature traces: enough for a chance within a few percent, and quick to compute. */
const TRACES = 120;
/** Longest wait for a cure: thirty days. */
const LONGEST_MIN = 43_200;

/** The chance of being cured in time, over possible temperatures. Empty if there is no time at all. */
export function readinessFigures(
  { work }: Job,
  { laid, main, seed }: { laid: Schedule; main: Round; seed: number },
): Figure[] {
  const { survey, site } = work;
  const points = main.card.cure.milestones[neededOf(main)];
  const mixed = laid.mixedAt.get(main.id)?.last ?? 0;
  const cure = timeTo(main, neededOf(main), mixed);
  // The work after the cure has the same length whenever the cure ends.
  const after = cure?.ok ? laid.readyMin - mixed - cure.minutes : 0;
  const deadlineMin = survey.window.downMin - mixed - after;
  if (!points || deadlineMin <= 0) return [];
  const startAt = new Date(Date.parse(survey.window.startAt) + mixed * MINUTE).toISOString();
  const ahead = main.base.forecast ? historyFrom(main.base.forecast, mixed).slice(0, 48) : [];
  const meanTempC =
    ahead.length > 0 ? ahead.reduce((s, h) => s + h.tempC, 0) / ahead.length : work.tempC;
  const held = work.heldC !== null;
  const found = chanceOfReady({
    points,
    startAt,
    deadlineMin: Math.min(deadlineMin, LONGEST_MIN),
    meanTempC,
    sdTempC: held ? work.trade.cure.heldSdC : site.tempSdC,
    dailySwingC: held ? 0 : survey.site.outdoors ? site.swingOutdoorsC : site.swingIndoorsC,
    utcOffsetMin: offsetMin(Date.parse(startAt), site.zone),
    traces: TRACES,
    seed,
  });
  const pct = found.probability * 100;
  return [
    figureOf({
      id: 'readiness',
      label: t('Chance of being ready in time'),
      value: pct,
      quantity: 'chance',
      working: [
        ...found.working,
        line({
          symbol: 'P',
          label: t('chance of being ready'),
          expression: t('of all traces'),
          value: pct,
          unit: '%',
        }),
      ],
      paths: ['window.downMin', 'readings.surfaceC'],
    }),
  ];
}

/** Below this chance, ways to raise it are shown, percent. */
export const POOR_PCT = 90;

/** What would raise a low chance: warmth first, then hours. */
export function raiseChance(main: Round, mixedAtMin: number, readyPct: number | null): Message[] {
  if (readyPct === null || readyPct >= POOR_PCT) return [];
  const now = timeTo(main, neededOf(main), mixedAtMin);
  const [warm] = heatOptions(main);
  return [
    ...(warm && now?.ok
      ? [
          m('Hold it at {temp}: {warm} instead of {now}.', {
            temp: celsius(warm.tempC),
            warm: minutes(warm.minutes),
            now: minutes(now.minutes),
          }),
        ]
      : []),
    m('Start earlier, or ask for more hours.'),
    m('A faster card: see Match.'),
  ];
}

/** Frost before the milestone, by the forecast or by the usual night. */
export function warningsOf({ work }: Job, laid: Schedule, main: Round): Message[] {
  const { survey, site } = work;
  if (!survey.site.outdoors || work.heldC !== null) return [];
  const mixed = laid.mixedAt.get(main.id)?.last ?? 0;
  const need = timeTo(main, neededOf(main), mixed);
  const until = need?.ok ? need.minutes : LONGEST_MIN;
  const coldest = main.base.forecast
    ? Math.min(
        ...historyFrom(main.base.forecast, mixed)
          .filter((h) => h.atMin <= until)
          .map((h) => h.tempC),
      )
    : work.tempC - site.swingOutdoorsC / 2;
  return coldest < 0
    ? [
        m(
          'Frost before it is cured: {coldest} on the way. Cover it, hold it warm, or wait for another day.',
          { coldest: celsius(coldest) },
        ),
      ]
    : [];
}

/**
 * When it can be mixed and stay dry until tack-free, by the forecast; null without a forecast, or if it sets in water.
 */
export function workWindows(
  { work }: Job,
  laid: Schedule,
  main: Round,
): z.infer<typeof WorkWindow>[] | null {
  const { weather } = work.context;
  if (!weather || weather.length === 0 || setsInWater(work)) return null;
  const mixes = [...laid.mixedAt.values()];
  const from = Math.min(...mixes.map((x) => x.first));
  const to = Math.max(...mixes.map((x) => x.placed));
  const dry = timeTo(main, 'tackFree', laid.mixedAt.get(main.id)?.last ?? 0);
  return windowsIn(weather, {
    gate: work.card.ambient,
    applyMinutes: to - from,
    protectMinutes: dry?.ok ? dry.minutes : 120,
  }).slice(0, 6);
}
