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
  /** Surface temperatures to come, minutes from the start of the stop. */
  forecast?: readonly { atMin: number; tempC: number }[];
  /** Weather to come, hour by hour: when it may be mixed out of doors. */
  weather?: readonly WeatherHour[];
  /** Lots on the shelf; where it is left out the shelf is not counted. */
  shelf?: readonly Lot[];
  /** All cards at hand: aids and second materials are taken from them. */
  library?: readonly Card[];
  /** What was chosen where practitioners differ. */
  schools?: Schools;
  /** Second materials that a person chose instead, card code by purpose. */
  seconds?: Readonly<Record<string, string>>;
}
