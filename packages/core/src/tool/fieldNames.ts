import type { QuantityId } from '../units/quantities';

/** How a field of a calculation is read and shown: its quantity, the unit its number is in, and what people call it. */
export interface FieldName {
  label: string;
  /** Null where there is no unit to choose, such as a share or an exponent. */
  measure: Measure | null;
  /** A unit that is only lettered, never converted. */
  fixedUnit: string;
}
export interface Measure {
  quantity: QuantityId;
  /** Size of the field's own unit in the quantity's base unit. */
  factor: number;
  metric: string;
  us: string;
}

const m = (quantity: QuantityId, factor: number, metric: string, us: string): Measure => ({
  quantity,
  factor,
  metric,
  us,
});

/** Endings of field names, longest first where one ends another, and the unit they stand for. */
const ENDINGS: [string, Measure | string][] = [
  ['MlPerMin', m('flow', 1, 'ml/min', 'fl oz/min')],
  ['PerYearMm', m('wear', 1, 'mm/year', 'mil/year')],
  ['LPerBag', m('volume', 1000, 'l', 'gal')],
  ['M2L', m('coverage', 1, 'm²/l', 'ft²/gal')],
  ['Wm2K', 'W/(m²·K)'],
  ['Jm2', 'J/m²'],
  ['Jcm2', 'J/cm²'],
  ['Wcm2', 'W/cm²'],
  ['JgK', 'J/(g·K)'],
  ['Jg', 'J/g'],
  ['Jmol', 'J/mol'],
  ['PerC', '1/°C'],
  ['Ch', '°C·h'],
  ['Mm2', m('area', 1, 'cm²', 'in²')],
  ['M2', m('area', 1e6, 'm²', 'ft²')],
  ['MPa', m('stress', 1, 'MPa', 'psi')],
  ['Gml', m('density', 1, 'g/ml', 'lb/gal')],
  ['KgL', m('density', 1, 'g/ml', 'lb/gal')],
  ['Pct', m('percent', 1, '%', '%')],
  ['Bar', m('pressure', 1, 'bar', 'psi')],
  ['Minutes', m('time', 1, 'min', 'min')],
  ['Seconds', m('time', 1 / 60, 's', 's')],
  ['Hours', m('time', 60, 'h', 'h')],
  ['Hour', m('time', 60, 'h', 'h')],
  ['Days', m('time', 1440, 'd', 'd')],
  ['Min', m('time', 1, 'min', 'min')],
  ['Um', m('thinFilm', 1, 'µm', 'mil')],
  ['Mm', m('length', 1, 'mm', 'in')],
  ['Ml', m('volume', 1, 'ml', 'US fl oz')],
  ['Kg', m('mass', 1000, 'kg', 'lb')],
  ['L', m('volume', 1000, 'l', 'gal')],
  ['M', m('length', 1000, 'm', 'ft')],
  ['G', m('mass', 1, 'g', 'oz')],
  ['N', m('force', 1, 'N', 'lbf')],
  ['C', m('temperature', 1, '°C', '°F')],
];
const step = m('temperatureStep', 1, '°C', '°F');
const density = m('density', 1, 'g/ml', 'lb/gal');
const volume = m('volume', 1, 'ml', 'US fl oz');
const mass = m('mass', 1, 'g', 'oz');
const share = m('percent', 100, '%', '%');

/** Names that their ending does not explain. */
const SPECIAL: Record<string, { label?: string; unit?: Measure | string }> = {
  rhPct: { label: 'Humidity' },
  maxRhPct: { label: 'Most humidity' },
  minAboveDewC: { label: 'Least above dew point', unit: step },
  marginC: { label: 'Above dew point', unit: step },
  sdTempC: { label: 'Spread of the forecast', unit: step },
  dailySwingC: { label: 'Day to night swing', unit: step },
  deltaC: { label: 'Change of temperature', unit: step },
  minSurfaceC: { label: 'Coldest surface' },
  maxSurfaceC: { label: 'Hottest surface' },
  minProtectC: { label: 'Coldest while protecting' },
  refC: { label: 'Reference temperature' },
  datumC: { label: 'Datum' },
  tgC: { label: 'Glass transition' },
  tempC: { label: 'Temperature' },
  at: { label: 'Hour' },
  startAt: { label: 'Mixed at' },
  atMin: { label: 'Minute' },
  atHour: { label: 'Hour' },
  rainMm: { label: 'Rain' },
  points: { label: 'Card’s cure points' },
  lifePoints: { label: 'Card’s working life' },
  history: { label: 'Temperatures it saw' },
  hours: { label: 'Forecast' },
  gate: { label: 'Gate' },
  lives: { label: 'Lives' },
  days: { unit: m('time', 1440, 'd', 'd') },
  minutes: { label: 'Minutes', unit: m('time', 1, 'min', 'min') },
  minutesToPlace: { label: 'Minutes to place', unit: m('time', 1, 'min', 'min') },
  minutesPerPort: { label: 'Minutes a port' },
  uptoWidthMm: { label: 'Up to width' },
  mixMinutes: { label: 'Mixing' },
  massG: { label: 'Mass' },
  refMassG: { label: 'Card’s reference mass' },
  massExponent: { label: 'Mass exponent' },
  cpJgK: { label: 'Heat capacity' },
  heatJg: { label: 'Heat of reaction' },
  A1: { label: 'A₁', unit: '1/s' },
  A2: { label: 'A₂', unit: '1/s' },
  E1: { label: 'E₁', unit: 'J/mol' },
  E2: { label: 'E₂', unit: 'J/mol' },
  m: { label: 'm' },
  n: { label: 'n' },
  designC: { label: 'Design temperature' },
  installC: { label: 'Installed at' },
  startC: { label: 'Mixed at' },
  ambientC: { label: 'Air around it' },
  meanTempC: { label: 'Mean of the forecast' },
  allowableMPa: { label: 'Allowable stress' },
  strainHoop: { label: 'Hoop strain' },
  strainAxial: { label: 'Axial strain' },
  strainHoopAllow: { label: 'Hoop strain allowed' },
  strainAxialAllow: { label: 'Axial strain allowed' },
  hoopMm: { label: 'Against hoop load' },
  axialMm: { label: 'Against axial load' },
  leakMm: { label: 'Against the leak' },
  lapShearMPa: { label: 'Lap shear strength' },
  volumeSolidsPct: { label: 'Volume solids' },
  materialMovementPct: { label: 'Movement it stands' },
  demandPct: { label: 'Movement asked of it' },
  deviationPct: { label: 'Hardener off ratio' },
  maxStep: { label: 'Largest step, times' },
  throughMm: { label: 'Depth filled' },
  peakC: { label: 'Peak' },
  peakMin: { label: 'Peak at' },
  gelMin: { label: 'Gels at' },
  doneAtMin: { label: 'Done at' },
  remainingMin: { label: 'Still to go' },
  probability: { label: 'Chance of being done', unit: share },
  progress: { label: 'Share of the cure done', unit: share },
  survival: { label: 'Still holding', unit: share },
  alphaGel: { label: 'Conversion at gel' },
  alphaEnd: { label: 'Conversion at the end' },
  hWm2K: { label: 'Heat loss' },
  activationJmol: { label: 'Activation energy' },
  nurseSaulCh: { label: 'Temperature sum' },
  horizonMin: { label: 'Look ahead' },
  utcOffsetMin: { label: 'Local time ahead of UTC' },
  a: { label: 'Parts of base' },
  b: { label: 'Parts of hardener' },
  by: { label: 'Ratio by' },
  densityA: { label: 'Density of base', unit: density },
  densityB: { label: 'Density of hardener', unit: density },
  densityGml: { label: 'Density' },
  ml: { label: 'Volume', unit: volume },
  g: { label: 'Mass', unit: mass },
  aG: { label: 'Base' },
  bG: { label: 'Hardener' },
  aMl: { label: 'Base' },
  bMl: { label: 'Hardener' },
  addA_G: { label: 'Base to add', unit: mass },
  addB_G: { label: 'Hardener to add', unit: mass },
  useFraction: { label: 'Usable share of life' },
  applyMlPerMin: { label: 'Pace' },
  vesselMl: { label: 'Pail' },
  vesselFill: { label: 'Fill of the pail' },
  wholeKitMl: { label: 'Whole kit' },
  price: { label: 'Price', unit: m('money', 1, '€', '€') },
  totalPrice: { label: 'Price', unit: m('money', 1, '€', '€') },
  id: { label: 'Pack' },
  litres: { label: 'Litres', unit: m('volume', 1000, 'l', 'gal') },
  metres: { label: 'Tape', unit: m('length', 1000, 'm', 'ft') },
  years: { label: 'Years left', unit: m('time', 525_960, 'years', 'years') },
  volts: { label: 'Test voltage', unit: 'V' },
  poisson: { label: 'Poisson’s ratio' },
  plyMm: { label: 'Ply' },
  through: { label: 'The hole goes right through' },
  tied: { label: 'Tied across' },
  failed: { label: 'Failed' },
  dryOnly: { label: 'Dry hours only' },
  count: { label: 'Bolts' },
  kind: { label: 'Shape' },
  profile: { label: 'Profile' },
  from: { label: 'From P' },
  to: { label: 'To P' },
  dftUm: { label: 'Dry film' },
  wftUm: { label: 'Wet film' },
  p10Min: { label: 'One in ten by' },
  p50Min: { label: 'Half by' },
  p90Min: { label: 'Nine in ten by' },
  ratioByVolume: { label: 'By volume, to 1' },
  ratioByMass: { label: 'By mass, to 1' },
  sd: { label: 'Spread' },
};

/** "outsideDiameterMm" without its ending, in words: "Outside diameter". */
function words(name: string, ending: string): string {
  const stem = name.slice(0, name.length - ending.length);
  const spaced = stem
    .replace(/([A-Z])/g, ' $1')
    .toLowerCase()
    .trim();
  return spaced.charAt(0).toUpperCase() + spaced.slice(1);
}

/** What a field of a calculation's input or result is called, and how its number is measured. */
export function fieldName(name: string): FieldName {
  const special = SPECIAL[name] ?? {};
  const found = ENDINGS.find(
    ([ending]) =>
      name.length > ending.length &&
      name.endsWith(ending) &&
      /[a-z0-9]/.test(name.charAt(name.length - ending.length - 1)),
  );
  const unit = special.unit ?? found?.[1] ?? null;
  const label = special.label ?? words(name, found?.[0] ?? '');
  return typeof unit === 'string'
    ? { label, measure: null, fixedUnit: unit }
    : { label, measure: unit, fixedUnit: '' };
}
