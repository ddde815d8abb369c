import { figureAndUnit, word, type Plan, type Supply, type UnitSystem, t } from '@kelmot/core';
import { csvOf } from './csv';

const ROLES: Record<Supply['role'], string> = {
  system: 'system',
  second: t('second material'),
  aid: 'aid',
  plain: 'other',
};

const FIELDS = [
  'item',
  'code',
  'role',
  'for',
  'needed',
  'unit',
  'pack',
  'count',
  'source',
  'lot',
  'price',
  'currency',
] as const;
type Row = Record<(typeof FIELDS)[number], string | number>;

/** One line a pack to be drawn or bought; one line for what is not packed. */
function rowsOf(supply: Supply, plan: Plan, units: UnitSystem): Row[] {
  const { figure, unit } = figureAndUnit(supply.amount, supply.quantity, { system: units });
  const common = {
    item: supply.name,
    code: supply.code ?? '',
    role: ROLES[supply.role],
    for: word(supply.for, units),
    needed: figure.replace(/\u202f/g, ''),
    // The unit that the figure was shown in: large amounts step up to kg and l.
    unit,
  };
  if (supply.picks.length === 0)
    return [{ ...common, pack: '', count: '', source: 'bring', lot: '', price: '', currency: '' }];
  return supply.picks.map((p) => ({
    ...common,
    pack: p.label,
    count: p.count,
    source: p.lot ? 'shelf' : 'buy',
    lot: p.lot ?? '',
    price: p.price,
    currency: plan.site.currency,
  }));
}

/** What to draw and what to buy, as CSV. */
export const pickingList = (plan: Plan, units: UnitSystem): string =>
  csvOf(
    FIELDS,
    plan.supplies.flatMap((s) => rowsOf(s, plan, units)),
  );
