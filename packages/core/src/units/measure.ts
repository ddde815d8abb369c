import type { FieldUnit, Named } from '../calc/field';
import type { QuantityId } from './quantities';

/** How a number of a calculation is converted and shown. */
export interface Measure {
  quantity: QuantityId;
  /** Size of the field's own unit in the quantity's base unit. */
  factor: number;
  metric: string;
  us: string;
}

const of = (quantity: QuantityId, factor: number, metric: string, us: string): Measure => ({
  quantity,
  factor,
  metric,
  us,
});

/** The quantities of field units; units without an entry are only shown. */
const MEASURES: Partial<Record<FieldUnit, Measure>> = {
  mm: of('length', 1, 'mm', 'in'),
  m: of('length', 1000, 'm', 'ft'),
  µm: of('thinFilm', 1, 'µm', 'mil'),
  'mm²': of('area', 1, 'cm²', 'in²'),
  'm²': of('area', 1e6, 'm²', 'ft²'),
  ml: of('volume', 1, 'ml', 'US fl oz'),
  l: of('volume', 1000, 'l', 'gal'),
  g: of('mass', 1, 'g', 'oz'),
  kg: of('mass', 1000, 'kg', 'lb'),
  'g/ml': of('density', 1, 'g/ml', 'lb/gal'),
  'm²/l': of('coverage', 1, 'm²/l', 'ft²/gal'),
  'ml/min': of('flow', 1, 'ml/min', 'fl oz/min'),
  'mm/year': of('wear', 1, 'mm/year', 'mil/year'),
  s: of('time', 1 / 60, 's', 's'),
  min: of('time', 1, 'min', 'min'),
  h: of('time', 60, 'h', 'h'),
  d: of('time', 1440, 'd', 'd'),
  years: of('time', 525_960, 'years', 'years'),
  '°C': of('temperature', 1, '°C', '°F'),
  K: of('temperatureStep', 1, '°C', '°F'),
  '%': of('percent', 1, '%', '%'),
  share: of('percent', 100, '%', '%'),
  bar: of('pressure', 1, 'bar', 'psi'),
  MPa: of('stress', 1, 'MPa', 'psi'),
  N: of('force', 1, 'N', 'lbf'),
  '€': of('money', 1, '€', '€'),
};

/** How a field is read and shown: its label, its quantity, or its fixed unit. */
export interface FieldName {
  label: string;
  /** Null if there is no unit to choose, such as for a share or an exponent. */
  measure: Measure | null;
  fixedUnit: string;
}

/** A field's metadata for a form or a result. */
export function shownAs({ title, 'x-unit': unit }: Named): FieldName {
  const measure = (unit && MEASURES[unit]) ?? null;
  return { label: title, measure, fixedUnit: measure || !unit ? '' : unit };
}
