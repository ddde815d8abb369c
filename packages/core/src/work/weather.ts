import { windowFind, type Window } from '../ambient/windowFind';
import { MINUTE } from '../units/clock';
import type { SurveyBase } from '../survey/common';
import type { WeatherHour, WorkContext } from './context';

/** A forecast for a survey: outdoors the surface follows the air; under a roof it is not used. */
export function weatherFor(
  survey: SurveyBase,
  hours: readonly WeatherHour[],
): Pick<WorkContext, 'forecast' | 'weather'> {
  if (!survey.site.outdoors || hours.length === 0) return {};
  const start = Date.parse(survey.window.startAt);
  const ahead = hours
    .map((h) => ({ atMin: (Date.parse(h.at) - start) / MINUTE, tempC: h.airC }))
    .filter((h) => h.atMin > -60);
  const [first] = ahead;
  if (!first) return {};
  // From the start of the stop, at the measured surface temperature.
  const forecast = [
    { atMin: 0, tempC: survey.readings.surfaceC },
    ...ahead.filter((h) => h.atMin > 0),
  ];
  return { forecast, weather: hours };
}

/** When it may be mixed and stay dry, by the forecast and a card’s limits. */
export function windowsIn(
  hours: readonly WeatherHour[],
  {
    gate,
    applyMinutes,
    protectMinutes,
  }: {
    gate: { minAboveDewC: number; maxRhPct: number; minSurfaceC: number; maxSurfaceC: number };
    applyMinutes: number;
    protectMinutes: number;
  },
): Window[] {
  if (hours.length === 0) return [];
  return windowFind({
    hours: hours.map((h) => ({ ...h })),
    applyMinutes,
    protectMinutes,
    gate,
    dryOnly: true,
  }).windows;
}
