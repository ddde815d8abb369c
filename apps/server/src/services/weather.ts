import type { WeatherHour } from '@kelmot/core';

/** Where a forecast comes from: hour by hour for some days, from the hour of a moment in epoch ms. */
export interface WeatherService {
  /** Said beside every forecast, so that a simulated one is never taken for a real one. */
  source: string;
  hours: (from: number) => Promise<WeatherHour[]>;
}

/** Where no service is set up: no forecast, and nothing asks for one. */
export const noWeather: WeatherService = { source: 'none', hours: () => Promise.resolve([]) };
