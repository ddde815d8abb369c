import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';

export const BoltSequenceInput = z.strictObject({
  count: z
    .int()
    .min(4)
    .max(64)
    .refine((n) => n % 2 === 0, { message: t('must be even, 4 to 64') })
    .meta(named(t('Bolts'))),
});
export type BoltSequenceInput = z.output<typeof BoltSequenceInput>;

/** Sorted distances round the circle from a bolt to those already tight. */
const distances = (bolt: number, tight: readonly number[], count: number): number[] =>
  tight.map((t) => Math.min(Math.abs(bolt - t), count - Math.abs(bolt - t))).sort((p, q) => p - q);

/** Compares two rows of the same length, item by item. */
function compareRows(p: readonly number[], q: readonly number[]): number {
  const at = p.findIndex((x, i) => x !== q[i]);
  return at === -1 ? 0 : (p[at] as number) - (q[at] as number);
}

/**
 * Star sequence for an even number of bolts numbered round the circle: 1, its opposite, then always the pair farthest
 * from the tight ones. Never refuses.
 */
export function boltSequence({ count }: BoltSequenceInput): Worked<{ order: number[] }> {
  const half = count / 2;
  const opposite = (bolt: number) => ((bolt - 1 + half) % count) + 1;
  const order: number[] = [];
  let next = 1;
  while (order.length < count) {
    order.push(next, opposite(next));
    const left = Array.from({ length: count }, (_, i) => i + 1).filter((b) => !order.includes(b));
    // Strictly greater: among equals the lowest number stays.
    next = left.reduce(
      (best, b) =>
        compareRows(distances(b, order, count), distances(best, order, count)) > 0 ? b : best,
      left[0] ?? 0,
    );
  }
  const working = [
    line({
      symbol: 'n',
      label: t('bolts'),
      expression: t('numbered round the circle'),
      value: count,
    }),
    line({
      symbol: '',
      label: t('opposite of 1'),
      expression: `1 + ${count}/2`,
      value: opposite(1),
    }),
    line({
      symbol: '',
      label: t('order'),
      expression: t('each odd place the bolt farthest from those tight, then its opposite'),
      value: order.join(' '),
    }),
  ];
  return worked({ order }, working);
}

export const boltSequenceCalc = defineCalc({
  name: 'bolt-sequence',
  purpose: t('Star sequence for drawing up the bolts of a flange.'),
  input: BoltSequenceInput,
  run: boltSequence,
  result: { order: named(t('Order')) },
  formula: [
    t(
      '1 first; each odd place the bolt whose sorted distances to those tight are the greatest; each even place its opposite',
    ),
  ],
  source: t('Cross pattern as ASME PCC-1 asks for.'),
  limits: t(
    'Even counts, 4 to 64. In three rounds at least; torque and gasket are the joint’s own.',
  ),
  example: { count: 12 },
});
