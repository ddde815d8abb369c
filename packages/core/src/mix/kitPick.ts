import { t } from '../text/text';
import { z } from 'zod';
import {
  defineCalc,
  formatFigure,
  line,
  refuse,
  worked,
  type Answer,
  type Report,
} from '../calc/calc';
import { named } from '../calc/field';
import { atLeastZero, positive } from '../calc/number';
import { shortened } from '../calc/shortened';

const EPS = 1e-9;
/** Up to this many of the smallest pack, the search is faster without a memo. */
const FEW_PACKS = 12;

/** Most packs of one card in a job. */
export const MOST_PACKS = 2000;

export const Kit = z.strictObject({
  id: z
    .string()
    .min(1)
    .meta(named(t('Pack'))),
  ml: positive().meta(named(t('Volume'), 'ml')),
  price: positive().meta(named(t('Price of one'), '€')),
  stock: z
    .int()
    .min(0)
    .optional()
    .meta(named(t('On the shelf'))),
});
export type Kit = z.infer<typeof Kit>;

export const KitPickInput = z.strictObject({
  neededMl: atLeastZero().meta(named(t('Needed'), 'ml')),
  kits: z
    .array(Kit)
    .min(1)
    .superRefine((kits, ctx) => {
      kits.forEach((kit, i) => {
        if (kits.findIndex((k) => k.id === kit.id) !== i) {
          ctx.addIssue({
            code: 'custom',
            path: [i, 'id'],
            message: t('"{id}" stands twice; give each kit its own id', { id: shortened(kit.id) }),
          });
        }
      });
    })
    .meta(named(t('Packs'))),
  maxPacks: z
    .int()
    .min(1)
    .max(10000)
    .default(200)
    .meta(named(t('Most packs'))),
});
export type KitPickInput = z.output<typeof KitPickInput>;
export interface KitPick {
  picks: { id: string; count: number }[];
  totalMl: number;
  totalPrice: number;
  leftoverMl: number;
}

interface Choice {
  counts: number[];
  price: number;
  ml: number;
  packs: number;
}

/** Negative if p is the better choice: by price, then leftover, then packs, then more of those listed first. */
function compare(p: Choice, q: Choice): number {
  if (Math.abs(p.price - q.price) > EPS) return p.price - q.price;
  if (Math.abs(p.ml - q.ml) > EPS) return p.ml - q.ml;
  if (p.packs !== q.packs) return p.packs - q.packs;
  const at = p.counts.findIndex((n, i) => n !== q.counts[i]);
  return at === -1 ? 0 : (q.counts[at] ?? 0) - (p.counts[at] ?? 0);
}

/**
 * Exact search: packs in listed order, most first, pruned by the best unit price still to come and by states already
 * reached more cheaply with the same volume left. Earlier visits hold more of the packs listed first, so ties are
 * correct.
 */
function search(
  neededMl: number,
  { kits, maxPacks, report }: { kits: Kit[]; maxPacks: number; report?: Report },
): Choice | null {
  const unitFrom: number[] = new Array(kits.length + 1).fill(Infinity);
  const largestFrom: number[] = new Array(kits.length + 1).fill(0);
  const stock = kits.map((k) => k.stock ?? maxPacks);
  for (let i = kits.length - 1; i >= 0; i--) {
    const kit = kits[i] as Kit;
    const open = (stock[i] ?? 0) > 0;
    unitFrom[i] = Math.min(unitFrom[i + 1] as number, open ? kit.price / kit.ml : Infinity);
    largestFrom[i] = Math.max(largestFrom[i + 1] as number, open ? kit.ml : 0);
  }
  let best: Choice | null = null;
  // With few packs, states rarely repeat: a memo would cost more than it saves.
  const remember = kits.some((k) => neededMl / k.ml > FEW_PACKS);
  const seen = remember ? new Map<string, { price: number; packs: number }[]>() : null;
  const counts: number[] = new Array(kits.length).fill(0);

  const visit = ({
    i,
    left,
    price,
    packs,
  }: {
    i: number;
    left: number;
    price: number;
    packs: number;
  }): void => {
    if (left <= EPS) {
      const choice = { counts: [...counts], price, ml: neededMl - left, packs };
      if (!best || compare(choice, best) < 0) best = choice;
      return;
    }
    const kit = kits[i];
    if (!kit) return;
    if (left / (largestFrom[i] as number) > maxPacks - packs + EPS) return;
    if (best && price + left * (unitFrom[i] as number) > best.price + EPS) return;
    if (seen) {
      const key = `${i}|${left.toFixed(7)}`;
      const before = seen.get(key) ?? [];
      if (before.some((s) => s.price <= price + EPS && s.packs <= packs)) return;
      seen.set(key, [...before, { price, packs }]);
    }
    const most = Math.min(Math.ceil((left - EPS) / kit.ml), stock[i] as number, maxPacks - packs);
    // For the last pack, only the count that covers the rest is possible.
    const least = i === kits.length - 1 ? most : 0;
    for (let n = most; n >= least; n--) {
      counts[i] = n;
      visit({ i: i + 1, left: left - n * kit.ml, price: price + n * kit.price, packs: packs + n });
      if (i === 0) report?.((most - n + 1) / (most + 1));
    }
    counts[i] = 0;
  };
  visit({ i: 0, left: neededMl, price: 0, packs: 0 });
  return best;
}

/**
 * The cheapest packs that cover a need in ml; then least leftover, fewest packs, more of those listed first. Prices in
 * one currency. `stock` limits one pack, `maxPacks` the total. Refuses if they cannot cover it.
 */
export function kitPick(
  { neededMl, kits, maxPacks }: KitPickInput,
  report?: Report,
): Answer<KitPick> {
  const found = search(neededMl, { kits, maxPacks, report });
  if (!found) {
    return refuse(
      t('The packs allowed (stock, and {maxPacks} together) do not cover {neededMl} ml.', {
        maxPacks,
        neededMl: formatFigure(neededMl),
      }),
    );
  }
  const rows = kits
    .map((kit, i) => ({ kit, count: found.counts[i] ?? 0 }))
    .filter((r) => r.count > 0);
  const picks = rows.map(({ kit, count }) => ({ id: kit.id, count }));
  const totalMl = rows.reduce((sum, { kit, count }) => sum + count * kit.ml, 0);
  const totalPrice = rows.reduce((sum, { kit, count }) => sum + count * kit.price, 0);
  const leftoverMl = totalMl - neededMl;
  const sum = (of: (kit: Kit) => number) =>
    rows.map(({ kit, count }) => `${count}·${formatFigure(of(kit))}`).join(' + ') || '0';
  const taken = picks.map((p) => `${p.count} × ${p.id}`).join(', ') || 'nothing';
  const working = () => [
    line({
      symbol: 'V',
      label: t('needed'),
      expression: formatFigure(neededMl),
      value: neededMl,
      unit: 'ml',
    }),
    line({
      symbol: 'ΣV',
      label: t('in the packs'),
      expression: sum((k) => k.ml),
      value: totalMl,
      unit: 'ml',
      source: 'card',
    }),
    line({
      symbol: 'Σ€',
      label: t('price'),
      expression: sum((k) => k.price),
      value: totalPrice,
      unit: '',
      source: 'card',
    }),
    line({
      symbol: 'rest',
      label: t('left over'),
      expression: `${formatFigure(totalMl)} − ${formatFigure(neededMl)}`,
      value: leftoverMl,
      unit: 'ml',
    }),
    line({
      symbol: '',
      label: t('packs'),
      expression: t('least price, then least left over, then fewest packs'),
      value: taken,
    }),
  ];
  return worked({ picks, totalMl, totalPrice, leftoverMl }, working);
}

export const kitPickCalc = defineCalc({
  name: 'kit-pick',
  purpose: t('Cheapest combination of packs that covers the need.'),
  input: KitPickInput,
  heavy: true,
  run: kitPick,
  result: {
    picks: { ...named(t('Packs to take')), of: { id: named(t('Pack')), count: named(t('Count')) } },
    totalMl: named(t('Total'), 'ml'),
    totalPrice: named(t('Price of all'), '€'),
    leftoverMl: named(t('Left over'), 'ml'),
  },
  headline: 'totalPrice',
  formula: [
    t(
      'least Σ price with Σ ml ≥ need; then least left over, fewest packs, more of the earlier listed',
    ),
  ],
  source: t('Exact search over the packs, cut where a cheaper cover is known.'),
  limits: t('Up to 10 000 packs; stock and the cap on packs are kept.'),
  example: {
    neededMl: 720,
    kits: [
      { id: '250 ml', ml: 250, price: 38 },
      { id: '1 l', ml: 1000, price: 112 },
    ],
  },
});
