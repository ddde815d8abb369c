import {
  fromBase,
  quantity,
  shownUnit,
  type QuantityId,
  type Unit,
  type UnitSystem,
} from './quantities';

export interface Shown {
  figure: string;
  unit: string;
}

/** Weighed parts show three significant digits each, so that their ratio is kept however small they are. */
const inRatio = (x: number, least: number): number =>
  x > 0 ? Math.min(9, Math.max(least, 2 - Math.floor(Math.log10(x)))) : least;

/** Decimals that can be measured on site, by unit; other units show three significant digits. */
const DECIMALS: Record<string, (x: number) => number> = {
  mm: (x) => (x < 10 ? 2 : x < 100 ? 1 : 0),
  in: (x) => (x < 10 ? 3 : 2),
  µm: () => 0,
  mil: (x) => (x < 10 ? 1 : 0),
  '°C': () => 1,
  '°F': () => 0,
  g: (x) => inRatio(x, 0),
  oz: (x) => inRatio(x, 1),
  ml: (x) => (x < 100 ? 1 : 0),
  'US fl oz': (x) => (x < 10 ? 2 : 1),
  'cm²': (x) => (x < 100 ? 1 : 0),
  'in²': (x) => (x < 10 ? 2 : 1),
  '%': (x) => (x < 10 ? 1 : 0),
  '€': (x) => (x < 100 ? 2 : 0),
  'Shore A': (x) => (Number.isInteger(x) ? 0 : 1),
  'Shore D': (x) => (Number.isInteger(x) ? 0 : 1),
};

/** Inches this near to a sixteenth are shown as that fraction. */
const TAPE_SLACK_IN = 0.00051;

/** Inches as on a tape: "1 1/2", "3/8"; null if between its marks. */
function tape(x: number): string | null {
  const sixteenths = Math.round(Math.abs(x) * 16);
  if (sixteenths === 0 || Math.abs(Math.abs(x) - sixteenths / 16) > TAPE_SLACK_IN) return null;
  const whole = Math.floor(sixteenths / 16);
  let [top, bottom] = [sixteenths % 16, 16];
  while (top > 0 && top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
  const parts = [whole > 0 ? String(whole) : '', top > 0 ? `${top}/${bottom}` : ''];
  return `${x < 0 ? '−' : ''}${parts.filter(Boolean).join(' ')}`;
}

const trim = (text: string): string => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);

/**
 * Rounds a figure to what can be measured in its unit, or to `finer` more digits. The minus is the true sign, not a
 * hyphen.
 */
function round(x: number, unit: Unit, finer: number): string {
  const size = Math.abs(x);
  const decimals =
    DECIMALS[unit.symbol]?.(size) ??
    (size >= 100 || size === 0 ? 0 : 2 - Math.floor(Math.log10(size)));
  // Through Number and back: removes trailing zeros, and is faster than a pattern.
  const text = String(Number(x.toFixed(Math.min(Math.max(decimals, 0), 6) + finer)));
  const onTape = unit.symbol === 'in' && finer === 0 ? tape(Number(text)) : null;
  if (onTape) return onTape;
  // Five digits or more are grouped in threes.
  const grouped = size >= 10000 ? text.replace(/\B(?=(\d{3})+(?!\d))/g, '\u202f') : text;
  return grouped === '-0' ? '0' : grouped.replace('-', '−');
}

/** Minutes as "45 min", "2 h 15 min", "3 d 4 h", "14 months", "10 years". Seconds under a minute and a half when they matter. */
export function formatDuration(minutes: number): string {
  if (minutes < 0) return `−${formatDuration(-minutes)}`;
  if (minutes > 0 && minutes < 1.5) return `${Math.round(minutes * 60)} s`;
  const whole = Math.round(minutes);
  const days = Math.floor(whole / 1440);
  const hours = Math.floor((whole % 1440) / 60);
  const mins = whole % 60;
  if (days >= 730) return `${trim((days / 365).toFixed(1))} years`;
  if (days >= 365) return `${Math.round(days / 30.44)} months`;
  if (days >= 90) return `${days} d`;
  if (days >= 2) {
    const roundedHours = Math.round((whole - days * 1440) / 60);
    if (roundedHours === 24) return `${days + 1} d`;
    return roundedHours ? `${days} d ${roundedHours} h` : `${days} d`;
  }
  const allHours = days * 24 + hours;
  if (allHours === 0) return `${mins} min`;
  return mins ? `${allHours} h ${mins} min` : `${allHours} h`;
}

/** To the second if minutes are not enough, or to the tenth of a second; days need no more. */
function fineDuration(minutes: number, finer: number): string {
  const seconds = Number((Math.abs(minutes) * 60).toFixed(finer - 1));
  const whole = Math.floor(seconds / 60);
  const rest = trim((seconds - whole * 60).toFixed(finer - 1));
  const said = [whole > 0 ? formatDuration(whole) : '', rest === '0' ? '' : `${rest} s`];
  return `${minutes < 0 ? '−' : ''}${said.filter(Boolean).join(' ') || '0 min'}`;
}

/** No forecast is certain: a chance is never shown as 0 or 100. */
const chanceText = (pct: number): string =>
  pct > 99 ? 'over 99' : pct < 1 ? 'under 1' : String(Math.round(pct));

/**
 * A value in its base unit as figure and unit in the chosen system, or in the given unit; mass and volume change units
 * at 10 kg and 10 l. `finer` asks for more digits than can be measured.
 */
export function figureAndUnit(
  value: number,
  id: QuantityId,
  { system, symbol, finer = 0 }: { system: UnitSystem; symbol?: string; finer?: number },
): Shown {
  if (id === 'time')
    return { figure: finer > 0 ? fineDuration(value, finer) : formatDuration(value), unit: '' };
  if (id === 'chance') return { figure: chanceText(value), unit: '%' };
  const q = quantity(id);
  const asked = q.units.find((u) => u.symbol === symbol);
  if (asked && asked.factor !== 1)
    return { figure: round(fromBase(value, asked), asked, finer), unit: asked.symbol };
  let unit = shownUnit(id, system);
  if (system === 'metric' && (id === 'mass' || id === 'volume') && Math.abs(value) >= 10000) {
    unit = q.units[1] as Unit;
  }
  if (system === 'metric' && id === 'area' && Math.abs(value) >= 1e6) unit = q.units[2] as Unit;
  return { figure: round(fromBase(value, unit), unit, finer), unit: unit.symbol };
}

/** A value in its base unit as a person would type it from a display, in the shown unit: at most four digits. */
export const typedFigure = (value: number, id: QuantityId, system: UnitSystem): string =>
  String(Number(fromBase(value, shownUnit(id, system)).toPrecision(4)));

/** The same as one text with `finer` more digits. */
export function formatFiner(
  value: number,
  id: QuantityId,
  { system, finer }: { system: UnitSystem; finer: number },
): string {
  const { figure, unit } = figureAndUnit(value, id, { system, finer });
  if (id === 'money') return `${unit}${figure}`;
  return unit ? `${figure} ${unit}` : figure;
}

/** The same as one text: "38 mm", "2 h 15 min", "12.6 °C". */
export const formatQuantity = (
  value: number,
  id: QuantityId,
  system: UnitSystem = 'metric',
): string => formatFiner(value, id, { system, finer: 0 });
