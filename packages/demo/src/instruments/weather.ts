import { HOUR, type WeatherHour } from '@kelmot/core';
import { mulberry32 } from '@kelmot/core/calc/random';

const DAYS = 5;
/** A mild, damp autumn: daily mean, swing, and changes between days. */
const MEAN_C = 11;
const SWING_C = 7;
const WANDER_C = 2.5;
const RAIN_CHANCE = 0.28;

/** The weather of a day: always the same for the same day. */
function dayOf(day: number): { offsetC: number; rainFrom: number; rainHours: number } {
  const random = mulberry32(day * 7919);
  const offsetC = (random() - 0.5) * 2 * WANDER_C;
  const rains = random() < RAIN_CHANCE;
  return { offsetC, rainFrom: Math.floor(random() * 18), rainHours: rains ? 3 + random() * 4 : 0 };
}

function hourAt(at: number): WeatherHour {
  const day = Math.floor(at / (24 * HOUR));
  const hour = Math.floor(at / HOUR) % 24;
  const { offsetC, rainFrom, rainHours } = dayOf(day);
  const airC = MEAN_C + offsetC + (SWING_C / 2) * Math.sin((2 * Math.PI * (hour - 9)) / 24);
  const wet = hour >= rainFrom && hour < rainFrom + rainHours;
  // Dew at night: cooler air holds less water.
  const rhPct = Math.min(98, (wet ? 90 : 72) - (airC - MEAN_C - offsetC) * 2.4);
  return {
    at: new Date(at).toISOString(),
    airC: Math.round(airC * 10) / 10,
    rhPct: Math.round(rhPct),
    rainMm: wet ? 0.8 : 0,
  };
}

/** The simulated weather service of the demo plant: hourly, five days, the same for everybody. */
export const simulatedWeather = {
  source: 'simulated',
  hours: (from: number): Promise<WeatherHour[]> => {
    const first = Math.floor(from / HOUR) * HOUR;
    return Promise.resolve(Array.from({ length: DAYS * 24 }, (_, i) => hourAt(first + i * HOUR)));
  },
};
