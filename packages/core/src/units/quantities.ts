/** Everything that is measured, counted or priced. */
export const QUANTITY_IDS = [
  'length',
  'run',
  'thinFilm',
  'temperature',
  'temperatureStep',
  'mass',
  'volume',
  'time',
  'area',
  'percent',
  'chance',
  'ph',
  'count',
  'money',
  'hardness',
  'hardnessA',
  'pressure',
  'stress',
  'force',
  'density',
  'flow',
  'coverage',
  'wear',
] as const;
export type QuantityId = (typeof QUANTITY_IDS)[number];

export type UnitSystem = 'metric' | 'us';

/** One unit: its conversion to the base unit (base = x·factor + offset), and its names. */
export interface Unit {
  symbol: string;
  factor: number;
  offset?: number;
  names: string[];
}

export interface Quantity {
  id: QuantityId;
  /** The first unit is the base unit of every computed value. */
  units: Unit[];
  show: Record<UnitSystem, string>;
}

/** Exact by definition: the gallon of 231 cubic inches, the pound-force of a pound at standard gravity. */
const LITRES_PER_US_GALLON = 3.785411784;
const POUND_FORCE_N = 0.45359237 * 9.80665;

const LENGTHS: Unit[] = [
  { symbol: 'mm', factor: 1, names: ['mm', 'millimetre', 'millimetres'] },
  { symbol: 'cm', factor: 10, names: ['cm'] },
  { symbol: 'm', factor: 1000, names: ['m', 'metre', 'metres'] },
  { symbol: 'in', factor: 25.4, names: ['in', 'inch', 'inches', '"', '”', '″'] },
  { symbol: 'ft', factor: 304.8, names: ['ft', 'foot', 'feet', "'", '’', '′'] },
];

const list: Quantity[] = [
  { id: 'length', units: LENGTHS, show: { metric: 'mm', us: 'in' } },
  // What is cut off a roll or walked along.
  { id: 'run', units: LENGTHS, show: { metric: 'm', us: 'ft' } },
  {
    id: 'thinFilm',
    units: [
      { symbol: 'µm', factor: 1, names: ['µm', 'μm', 'um', 'micron', 'microns'] },
      { symbol: 'mm', factor: 1000, names: ['mm'] },
      { symbol: 'mil', factor: 25.4, names: ['mil', 'mils', 'thou'] },
    ],
    show: { metric: 'µm', us: 'mil' },
  },
  {
    id: 'temperature',
    units: [
      { symbol: '°C', factor: 1, names: ['°c', 'c', 'celsius', 'degc'] },
      {
        symbol: '°F',
        factor: 5 / 9,
        offset: (-32 * 5) / 9,
        names: ['°f', 'f', 'fahrenheit', 'degf'],
      },
    ],
    show: { metric: '°C', us: '°F' },
  },
  {
    // A temperature difference: no offset.
    id: 'temperatureStep',
    units: [
      { symbol: '°C', factor: 1, names: ['°c', 'c', 'k', 'kelvin'] },
      { symbol: '°F', factor: 5 / 9, names: ['°f', 'f'] },
    ],
    show: { metric: '°C', us: '°F' },
  },
  {
    id: 'mass',
    units: [
      { symbol: 'g', factor: 1, names: ['g', 'gram', 'grams'] },
      { symbol: 'kg', factor: 1000, names: ['kg'] },
      { symbol: 'lb', factor: 453.59237, names: ['lb', 'lbs', 'pound', 'pounds'] },
      { symbol: 'oz', factor: 28.349523125, names: ['oz', 'ounce', 'ounces'] },
    ],
    show: { metric: 'g', us: 'oz' },
  },
  {
    id: 'volume',
    units: [
      { symbol: 'ml', factor: 1, names: ['ml', 'cc', 'millilitre'] },
      { symbol: 'l', factor: 1000, names: ['l', 'litre', 'litres', 'liter'] },
      {
        symbol: 'US fl oz',
        factor: (LITRES_PER_US_GALLON * 1000) / 128,
        names: ['fl oz', 'floz', 'us fl oz'],
      },
      { symbol: 'qt', factor: (LITRES_PER_US_GALLON * 1000) / 4, names: ['qt', 'quart', 'quarts'] },
      { symbol: 'gal', factor: LITRES_PER_US_GALLON * 1000, names: ['gal', 'gallon', 'gallons'] },
    ],
    show: { metric: 'ml', us: 'US fl oz' },
  },
  {
    id: 'time',
    units: [
      { symbol: 'min', factor: 1, names: ['min', 'mins', 'minute', 'minutes'] },
      { symbol: 'h', factor: 60, names: ['h', 'hr', 'hrs', 'hour', 'hours'] },
      { symbol: 'd', factor: 1440, names: ['d', 'day', 'days'] },
    ],
    show: { metric: 'min', us: 'min' },
  },
  {
    id: 'area',
    units: [
      { symbol: 'mm²', factor: 1, names: ['mm2', 'mm²'] },
      { symbol: 'cm²', factor: 100, names: ['cm2', 'cm²'] },
      { symbol: 'm²', factor: 1e6, names: ['m2', 'm²'] },
      { symbol: 'in²', factor: 645.16, names: ['in2', 'in²', 'sq in'] },
      { symbol: 'ft²', factor: 92903.04, names: ['ft2', 'ft²', 'sq ft'] },
    ],
    show: { metric: 'cm²', us: 'in²' },
  },
  {
    id: 'chance',
    units: [{ symbol: '%', factor: 1, names: ['%'] }],
    show: { metric: '%', us: '%' },
  },
  {
    id: 'percent',
    units: [{ symbol: '%', factor: 1, names: ['%', 'pct'] }],
    show: { metric: '%', us: '%' },
  },
  { id: 'ph', units: [{ symbol: '', factor: 1, names: ['ph'] }], show: { metric: '', us: '' } },
  { id: 'count', units: [{ symbol: '', factor: 1, names: [] }], show: { metric: '', us: '' } },
  {
    id: 'money',
    units: [{ symbol: '€', factor: 1, names: ['€', 'eur', 'euro'] }],
    show: { metric: '€', us: '€' },
  },
  {
    id: 'hardness',
    units: [{ symbol: 'Shore D', factor: 1, names: ['d', 'shore d'] }],
    show: { metric: 'Shore D', us: 'Shore D' },
  },
  {
    id: 'hardnessA',
    units: [{ symbol: 'Shore A', factor: 1, names: ['a', 'shore a'] }],
    show: { metric: 'Shore A', us: 'Shore A' },
  },
  {
    id: 'pressure',
    units: [
      { symbol: 'bar', factor: 1, names: ['bar'] },
      { symbol: 'kPa', factor: 0.01, names: ['kpa'] },
      { symbol: 'MPa', factor: 10, names: ['mpa'] },
      { symbol: 'psi', factor: POUND_FORCE_N / 645.16 / 0.1, names: ['psi', 'lbf/in2'] },
    ],
    show: { metric: 'bar', us: 'psi' },
  },
  {
    id: 'stress',
    units: [
      { symbol: 'MPa', factor: 1, names: ['mpa', 'n/mm2', 'n/mm²'] },
      { symbol: 'psi', factor: POUND_FORCE_N / 645.16, names: ['psi'] },
      { symbol: 'ksi', factor: (1000 * POUND_FORCE_N) / 645.16, names: ['ksi'] },
      { symbol: 'GPa', factor: 1000, names: ['gpa'] },
    ],
    show: { metric: 'MPa', us: 'psi' },
  },
  {
    id: 'force',
    units: [
      { symbol: 'N', factor: 1, names: ['n', 'newton'] },
      { symbol: 'kN', factor: 1000, names: ['kn'] },
      { symbol: 'lbf', factor: POUND_FORCE_N, names: ['lbf'] },
    ],
    show: { metric: 'N', us: 'lbf' },
  },
  {
    id: 'density',
    units: [
      { symbol: 'g/ml', factor: 1, names: ['g/ml', 'g/cm3', 'g/cm³', 'kg/l'] },
      { symbol: 'kg/m³', factor: 0.001, names: ['kg/m3', 'kg/m³'] },
      { symbol: 'lb/gal', factor: 453.59237 / (LITRES_PER_US_GALLON * 1000), names: ['lb/gal'] },
    ],
    show: { metric: 'g/ml', us: 'lb/gal' },
  },
  {
    id: 'flow',
    units: [
      { symbol: 'ml/min', factor: 1, names: ['ml/min'] },
      { symbol: 'l/min', factor: 1000, names: ['l/min'] },
      {
        symbol: 'fl oz/min',
        factor: (LITRES_PER_US_GALLON * 1000) / 128,
        names: ['fl oz/min', 'floz/min'],
      },
    ],
    show: { metric: 'ml/min', us: 'fl oz/min' },
  },
  {
    id: 'coverage',
    units: [
      { symbol: 'm²/l', factor: 1, names: ['m2/l', 'm²/l'] },
      {
        symbol: 'ft²/gal',
        factor: 0.09290304 / LITRES_PER_US_GALLON,
        names: ['ft2/gal', 'ft²/gal', 'sq ft/gal'],
      },
    ],
    show: { metric: 'm²/l', us: 'ft²/gal' },
  },
  {
    id: 'wear',
    units: [
      { symbol: 'mm/year', factor: 1, names: ['mm/year', 'mm/a', 'mm/y'] },
      { symbol: 'mil/year', factor: 0.0254, names: ['mil/year', 'mpy'] },
    ],
    show: { metric: 'mm/year', us: 'mil/year' },
  },
];

const byId = new Map(list.map((q) => [q.id, q]));

/** The quantity by its id. */
export function quantity(id: QuantityId): Quantity {
  return byId.get(id) as Quantity;
}

/** The default unit for typing and showing a quantity. */
export function shownUnit(id: QuantityId, system: UnitSystem): Unit {
  const q = quantity(id);
  return q.units.find((u) => u.symbol === q.show[system]) as Unit;
}

export const toBase = (x: number, unit: Unit): number => x * unit.factor + (unit.offset ?? 0);
export const fromBase = (x: number, unit: Unit): number => (x - (unit.offset ?? 0)) / unit.factor;
