import type { WeatherHour } from '@kelmot/core';

/** Source of a forecast: hour by hour for some days, from the hour of a moment in epoch ms. */
export interface WeatherService {
  /** Shown beside every forecast, so that a simulated one is never taken for a real one. */
  source: string;
  hours: (from: number) => Promise<WeatherHour[]>;
}

/** Without a weather service: no forecast. */
export const noWeather: WeatherService = { source: 'none', hours: () => Promise.resolve([]) };
