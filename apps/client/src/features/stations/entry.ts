import type { Me, ReadingValues } from '@kelmot/contract';
import {
  parseQuantity,
  PERMISSION_NAMES,
  readField,
  formatQuantity,
  sentence,
  shownUnit,
  type Hold,
  type QuantityId,
  type Step,
  type UnitSystem,
  t,
} from '@kelmot/core';
import { readingFields } from '@kelmot/core/survey/common';

/** An input box. */
export interface EntryBox {
  id: string;
  /** The key of its text, within its step. */
  key: string;
  label: string;
  unit?: string;
  numeric?: boolean;
  placeholder?: string;
}

/** The inputs of a hold: boxes in frames, and how their text is read. */
export interface Entry {
  frames: { label: string; why?: string; boxes: EntryBox[] }[];
  /** The quantity of a list of readings, where it can come from a file. */
  listOf?: QuantityId;
  label: string;
  hint: string;
  testID: string;
  /** Returns the values, or the error of each frame; `typed` gives the text of a box by its key. */
  read: (
    typed: (key: string) => string,
  ) => { values: ReadingValues } | { wrong: (string | null)[] };
}

type HoldOf<K extends Hold['kind']> = Extract<Hold, { kind: K }>;
/** The key of the only box, for most holds. */
export const VALUE = 'value';

/** Air, humidity and surface, each within its range. */
function ambientEntry(units: UnitSystem): Entry {
  const fields = Object.entries(readingFields);
  return {
    frames: fields.map(([id, field]) => ({
      label: field.label,
      boxes: [
        {
          id: `gate-${id}`,
          key: id,
          label: field.label,
          unit: shownUnit(field.quantity, units).symbol,
          numeric: true,
        },
      ],
    })),
    label: t('Record readings'),
    hint: t('Record readings of air, humidity and surface'),
    testID: 'record-gate',
    read: (typed) => {
      const read = fields.map(([id, field]) => readField(field, typed(id), units));
      const [airC, rhPct, surfaceC] = read.map((r) => ('value' in r ? Number(r.value) : null));
      return airC != null && rhPct != null && surfaceC != null
        ? { values: { kind: 'ambient', airC, rhPct, surfaceC } }
        : { wrong: read.map((r) => ('message' in r ? r.message : null)) };
    },
  };
}

/** One figure against its limits. */
function readingEntry(step: Step, hold: HoldOf<'reading'>, units: UnitSystem): Entry {
  const label = sentence(hold.label, units);
  const limits = [
    hold.min !== null
      ? t('{min} or more', { min: formatQuantity(hold.min, hold.quantity, units) })
      : null,
    hold.max !== null
      ? t('{max} or less', { max: formatQuantity(hold.max, hold.quantity, units) })
      : null,
  ]
    .filter(Boolean)
    .join(', ');
  const unit = shownUnit(hold.quantity, units).symbol;
  return {
    frames: [
      {
        label,
        why: limits,
        boxes: [{ id: `reading-${step.id}`, key: VALUE, label, unit, numeric: true }],
      },
    ],
    label: t('Record'),
    hint: t('Record: {label}', { label }),
    testID: `record-${step.id}`,
    read: (typed) => {
      const parsed = parseQuantity(typed(VALUE), hold.quantity, { system: units });
      return parsed.ok
        ? { values: { kind: 'reading', value: parsed.value } }
        : { wrong: [t('{message} It needs {limits}.', { message: parsed.message, limits })] };
    },
  };
}

/**
 * Splits readings that were typed or pasted: at spaces, line ends or semicolons, or at commas that are not decimal
 * points.
 */
function inTurn(text: string): string[] {
  const parts = text
    .split(/,?[\s;]+/)
    .map((part) => part.replace(/,$/, ''))
    .filter(Boolean);
  const [only] = parts;
  return parts.length === 1 && only && only.split(',').length > 2 ? only.split(',') : parts;
}

/** Several readings of one quantity, separated by spaces. */
function setEntry(step: Step, hold: HoldOf<'hardness' | 'thickness'>, units: UnitSystem): Entry {
  const { symbol } = shownUnit('length', units);
  const asked =
    hold.kind === 'hardness'
      ? {
          label: t('Shore {scale} readings', { scale: hold.scale }),
          why: t('{least} or more, each {target} or over', {
            least: hold.minReadings,
            target: hold.target,
          }),
          placeholder: `${hold.target + 1} ${hold.target + 3} ${hold.target + 2}`,
          wrong: t(
            'Type Shore {scale} readings from 0 to 100 with spaces between, such as 86 85 87.',
            { scale: hold.scale },
          ),
        }
      : {
          label: t('Thicknesses, {symbol}', { symbol }),
          why: t('{least} or more; mean {mean}, none below {lowest}', {
            least: hold.minReadings,
            mean: formatQuantity(hold.targetMm, 'length', units),
            lowest: formatQuantity(hold.targetMm * hold.leastShare, 'length', units),
          }),
          placeholder: '',
          wrong: t('Type thicknesses in {symbol} with spaces between, each over 0.', { symbol }),
        };
  const valuesOf = (texts: string[]): ReadingValues | null => {
    if (hold.kind === 'hardness') {
      const values = texts.map(Number);
      const sound = values.every((v) => Number.isFinite(v) && v >= 0 && v <= 100);
      return sound ? { kind: 'hardness', values } : null;
    }
    const valuesMm = texts.flatMap((t) => {
      const parsed = parseQuantity(t, 'length', { system: units });
      return parsed.ok && parsed.value > 0 && parsed.value <= 1000 ? [parsed.value] : [];
    });
    return valuesMm.length === texts.length ? { kind: 'thickness', valuesMm } : null;
  };
  const { label, why, placeholder, wrong } = asked;
  return {
    frames: [
      {
        label,
        why,
        boxes: [{ id: `reading-${step.id}`, key: VALUE, label, numeric: true, placeholder }],
      },
    ],
    listOf: hold.kind === 'hardness' ? 'hardness' : 'length',
    label: t('Record'),
    hint: hold.kind === 'hardness' ? t('Record hardness') : t('Record thickness'),
    testID: `record-${step.id}`,
    read: (typed) => {
      const texts = inTurn(typed(VALUE));
      const values = texts.length > 0 ? valuesOf(texts) : null;
      return values ? { values } : { wrong: [wrong] };
    },
  };
}

/**
 * Who approved, and where it is written. An authorised person approves by signing in; a name that another person types
 * is stored and marked as not verified.
 */
function approvalEntry(step: Step, hold: HoldOf<'approval'>, me: Me | undefined): Entry {
  const who = PERMISSION_NAMES[hold.who];
  const own = me?.approves.includes(hold.who) ? me.name : null;
  const name: EntryBox = {
    id: `name-${step.id}`,
    key: 'name',
    label: t('Name: {who}', { who }),
    placeholder: t('Name'),
  };
  return {
    frames: [
      {
        label: own ? t('You approve this, {own}', { own }) : t('{who}, by name', { who }),
        why: own
          ? t('Saved with the job under your account.')
          : t('Saved with the job as typed, marked as not verified.'),
        boxes: [
          ...(own ? [] : [name]),
          {
            id: `reference-${step.id}`,
            key: 'reference',
            label: t('Document number'),
            placeholder: t('For example drawing, permit or mail'),
          },
        ],
      },
    ],
    label: t('Record the approval'),
    hint: t('Record the approval: {who}', { who }),
    testID: `approve-${step.id}`,
    read: (typed) => {
      const [name, reference] = [own ?? typed('name').trim(), typed('reference').trim()];
      if (name.length < 2 || name.length > 80)
        return { wrong: [t('Type the name of who approved, 2 to 80 characters.')] };
      if (reference.length < 1 || reference.length > 120)
        return {
          wrong: [
            t(
              'Type where it is written, such as a drawing or permit number, 120 characters at most.',
            ),
          ],
        };
      return { values: { kind: 'approval', name, reference, account: null } };
    },
  };
}

/** The inputs that meet the hold of a step; null for a tick, a picture or a wait. */
export function entryOf(step: Step, units: UnitSystem, me: Me | undefined): Entry | null {
  const { hold } = step;
  switch (hold?.kind) {
    case 'ambient':
      return ambientEntry(units);
    case 'reading':
      return readingEntry(step, hold, units);
    case 'hardness':
    case 'thickness':
      return setEntry(step, hold, units);
    case 'approval':
      return approvalEntry(step, hold, me);
    default:
      return null;
  }
}
