import { t } from '../text/text';
import { line, worked, type Answer } from '../calc/calc';
import type { Pack } from '../materials/card';
import { kitPick, MOST_PACKS } from '../mix/kitPick';

/** Packs of one lot on the shelf. */
export interface Lot {
  id: string;
  cardCode: string;
  packId: string;
  lot: string;
  /** Last day of use, YYYY-MM-DD. */
  expiresOn: string;
  count: number;
}

export interface DrawnPick {
  id: string;
  label: string;
  count: number;
  price: number;
  /** The lot on the shelf; null if it must be bought. */
  lot: string | null;
}
export interface Drawn {
  picks: DrawnPick[];
  total: number;
  price: number;
  leftover: number;
  toBuy: number;
}

/** Whether a lot is good on a day, YYYY-MM-DD: its last day counts. */
export const isGoodOn = (expiresOn: string, day: string): boolean => expiresOn >= day;

const usable = (lot: Lot, at: string): boolean =>
  lot.count > 0 && isGoodOn(lot.expiresOn, at.slice(0, 10));

/** Packs from the shelf for an amount, oldest usable lot first; none that the others make unnecessary. */
function fromShelf({
  need,
  packs,
  lots,
  at,
}: {
  need: number;
  packs: readonly Pack[];
  lots: readonly Lot[];
  at: string;
}) {
  const sizeOf = (id: string) => packs.find((p) => p.id === id)?.size ?? 0;
  const inOrder = lots
    .filter((l) => usable(l, at) && sizeOf(l.packId) > 0)
    .sort((p, q) => p.expiresOn.localeCompare(q.expiresOn) || p.lot.localeCompare(q.lot));
  let left = need;
  const taken = inOrder.flatMap((lot) => {
    const size = sizeOf(lot.packId);
    const count = Math.min(lot.count, Math.max(0, Math.ceil(left / size - 1e-9)));
    left -= count * size;
    return count > 0 ? [{ lot, size, count }] : [];
  });
  // A later, bigger pack can make an earlier, smaller one unnecessary: it stays on the shelf.
  for (const t of taken) {
    const spare = Math.max(0, Math.min(t.count, Math.floor(-left / t.size + 1e-9)));
    t.count -= spare;
    left += spare * t.size;
  }
  return { taken: taken.filter((t) => t.count > 0), left: Math.max(0, left) };
}

/**
 * Packs for an amount: from the shelf, oldest usable lot first, then the cheapest to buy. Amounts in the pack’s unit.
 * Refuses if no packs cover it.
 */
export function drawPacks({
  need,
  packs,
  lots,
  at,
}: {
  need: number;
  packs: readonly Pack[];
  lots: readonly Lot[];
  at: string;
}): Answer<Drawn> {
  const { taken, left } = fromShelf({ need, packs, lots, at });
  const kits = packs.map(({ id, size, price }) => ({ id, ml: size, price }));
  const bought = kitPick({ neededMl: left, kits, maxPacks: MOST_PACKS });
  if (!bought.ok) return bought;
  const packOf = (id: string) => packs.find((p) => p.id === id) as Pack;
  const pick = (id: string, count: number, lot: string | null): DrawnPick => ({
    id,
    label: packOf(id).label,
    count,
    price: packOf(id).price * count,
    lot,
  });
  const picks = [
    ...taken.map((take) => pick(take.lot.packId, take.count, take.lot.lot)),
    ...bought.picks.map((p) => pick(p.id, p.count, null)),
  ];
  const total = picks.reduce((sum, p) => sum + p.count * packOf(p.id).size, 0);
  const price = picks.reduce((sum, p) => sum + p.price, 0);
  return worked({ picks, total, price, leftover: total - need, toBuy: bought.totalPrice }, () => [
    ...taken.map((take) =>
      line({
        symbol: 't',
        label: t('from the shelf, lot {lot}, good to {expiresOn}', {
          lot: take.lot.lot,
          expiresOn: take.lot.expiresOn,
        }),
        expression: `${take.count} × ${packOf(take.lot.packId).label}`,
        value: take.count * take.size,
      }),
    ),
    ...(left > 0 ? bought.working : []),
    line({
      symbol: 'T',
      label: t('in all'),
      expression: picks.map((p) => `${p.count} × ${p.label}`).join(' + ') || 'none',
      value: total,
    }),
    line({
      symbol: 'r',
      label: t('left over'),
      expression: t('in all less the need'),
      value: total - need,
    }),
    line({ symbol: '€', label: t('worth'), expression: t('packs at their price'), value: price }),
  ]);
}
