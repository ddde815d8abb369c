/** Units that the numbers of calculations stand in, as their fields say. Those of no quantity are lettered, never converted. */
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

/** What a field of a calculation's input or result is called, and the unit its number is in: none where it has none. */
export type Named = { title: string; 'x-unit'?: FieldUnit };

/** The metadata of a field, as its schema carries it and publishes it. */
export const named = (title: string, unit?: FieldUnit): Named =>
  unit === undefined ? { title } : { title, 'x-unit': unit };

/** The names of a result's fields as a reader of any calculation sees them. */
export type Names = Readonly<Record<string, (Named & { of?: Names }) | null>>;

/** The names of one result's fields; of a table's columns too. What is only for drawing has none. */
export type NamedResult<R> = {
  [K in keyof R]: NonNullable<R[K]> extends readonly (infer E)[]
    ? E extends object
      ? (Named & { of: NamedResult<E> }) | null
      : Named
    : Named;
};
