import type { Card } from '../materials/card';
import type { Lot } from './draw';
import type { Schools } from './schools';

/** One hour of a forecast. `at` is an ISO time. */
export interface WeatherHour {
  at: string;
  airC: number;
  rhPct: number;
  rainMm: number;
}

/** What is known besides survey, card and site: a forecast of the surface, and packs on the shelf. */
export interface WorkContext {
  /** Future surface temperatures, minutes from the start of the stop. */
  forecast?: readonly { atMin: number; tempC: number }[];
  /** Weather forecast by the hour: when it may be mixed outdoors. */
  weather?: readonly WeatherHour[];
  /** Lots on the shelf; if absent, stock is ignored. */
  shelf?: readonly Lot[];
  /** All available cards: aids and second materials come from them. */
  library?: readonly Card[];
  /** The chosen schools. */
  schools?: Schools;
  /** Second materials that a person chose, card code by purpose. */
  seconds?: Readonly<Record<string, string>>;
}
