import { show, word, type Plan, type Supply, type UnitSystem } from '@kelmot/core';
import Papa from 'papaparse';

const ROLES: Record<Supply['role'], string> = {
  system: 'system',
  second: 'second material',
  aid: 'aid',
  plain: 'other',
};

/** One line a pack to be drawn or bought; one line for what is not packed. */
function rowsOf(supply: Supply, plan: Plan, units: UnitSystem): Record<string, string | number>[] {
  const { figure, unit } = show(supply.amount, supply.quantity, units);
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

/** What a spreadsheet would run, behind blanks and over several lines as well, narrow or wide. */
const FORMULA = /^\s*[=+\-@\uff1d\uff0b\uff0d\uff20]|^[\t\r\n]/;

/** What to draw and what to buy, as CSV (RFC 4180); nothing in it is run as a formula by a spreadsheet. */
export function pickingList(plan: Plan, units: UnitSystem): string {
  return Papa.unparse(
    plan.supplies.flatMap((s) => rowsOf(s, plan, units)),
    { newline: '\r\n', escapeFormulae: FORMULA },
  );
}
