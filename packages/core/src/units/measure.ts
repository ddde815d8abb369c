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

const of = (
  quantity: QuantityId,
  { factor, metric, us }: { factor: number; metric: string; us: string },
): Measure => ({
  quantity,
  factor,
  metric,
  us,
});

/** The quantities of field units; units without an entry are only shown. */
const MEASURES: Partial<Record<FieldUnit, Measure>> = {
  mm: of('length', { factor: 1, metric: 'mm', us: 'in' }),
  m: of('length', { factor: 1000, metric: 'm', us: 'ft' }),
  µm: of('thinFilm', { factor: 1, metric: 'µm', us: 'mil' }),
  'mm²': of('area', { factor: 1, metric: 'cm²', us: 'in²' }),
  'm²': of('area', { factor: 1e6, metric: 'm²', us: 'ft²' }),
  ml: of('volume', { factor: 1, metric: 'ml', us: 'US fl oz' }),
  l: of('volume', { factor: 1000, metric: 'l', us: 'gal' }),
  g: of('mass', { factor: 1, metric: 'g', us: 'oz' }),
  kg: of('mass', { factor: 1000, metric: 'kg', us: 'lb' }),
  'g/ml': of('density', { factor: 1, metric: 'g/ml', us: 'lb/gal' }),
  'm²/l': of('coverage', { factor: 1, metric: 'm²/l', us: 'ft²/gal' }),
  'ml/min': of('flow', { factor: 1, metric: 'ml/min', us: 'fl oz/min' }),
  'mm/year': of('wear', { factor: 1, metric: 'mm/year', us: 'mil/year' }),
  s: of('time', { factor: 1 / 60, metric: 's', us: 's' }),
  min: of('time', { factor: 1, metric: 'min', us: 'min' }),
  h: of('time', { factor: 60, metric: 'h', us: 'h' }),
  d: of('time', { factor: 1440, metric: 'd', us: 'd' }),
  years: of('time', { factor: 525_960, metric: 'years', us: 'years' }),
  '°C': of('temperature', { factor: 1, metric: '°C', us: '°F' }),
  K: of('temperatureStep', { factor: 1, metric: '°C', us: '°F' }),
  '%': of('percent', { factor: 1, metric: '%', us: '%' }),
  share: of('percent', { factor: 100, metric: '%', us: '%' }),
  bar: of('pressure', { factor: 1, metric: 'bar', us: 'psi' }),
  MPa: of('stress', { factor: 1, metric: 'MPa', us: 'psi' }),
  N: of('force', { factor: 1, metric: 'N', us: 'lbf' }),
  '€': of('money', { factor: 1, metric: '€', us: '€' }),
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
