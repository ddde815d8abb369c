/**
 * Units of the numbers in calculations, as their fields declare. Units without a quantity are shown, never converted.
 */
export const FIELD_UNITS = [
  'mm',
  'm',
  'µm',
  'mm²',
  'm²',
  'ml',
  'l',
  'g',
  'kg',
  'g/ml',
  'm²/l',
  'ml/min',
  'mm/year',
  's',
  'min',
  'h',
  'd',
  'years',
  '°C',
  'K',
  '%',
  'share',
  'bar',
  'MPa',
  'N',
  '€',
  'V',
  'W/(m²·K)',
  'J/(g·K)',
  'J/g',
  'J/mol',
  'J/m²',
  'J/cm²',
  'W/cm²',
  '1/°C',
  '1/s',
  '°C·h',
] as const;
export type FieldUnit = (typeof FIELD_UNITS)[number];

/** The title of a field of a calculation's input or result, and the unit of its number, if any. */
export type Named = { title: string; 'x-unit'?: FieldUnit };

/** The metadata of a field, as its schema publishes it. */
export const named = (title: string, unit?: FieldUnit): Named =>
  unit === undefined ? { title } : { title, 'x-unit': unit };

/** The titles of a result's fields, for readers of any calculation. */
export type Names = Readonly<Record<string, (Named & { of?: Names }) | null>>;

/** The titles of one result's fields, and of a table's columns. A field for drawing only has none. */
export type NamedResult<R> = {
  [K in keyof R]: NonNullable<R[K]> extends readonly (infer E)[]
    ? E extends object
      ? (Named & { of: NamedResult<E> }) | null
      : Named
    : Named;
};
