import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';

/** The grits on the shelf, FEPA P numbers. */
export const GRITS = [
  40, 60, 80, 120, 180, 240, 320, 400, 600, 800, 1000, 1200, 1500, 2000, 2500, 3000,
] as const;
const grit = () =>
  z.int().refine((n) => (GRITS as readonly number[]).includes(n), {
    message: t('must be one of {grits}', { grits: GRITS.join(', ') }),
  });

export const GritLadderInput = z
  .strictObject({
    from: grit().meta(named(t('From P'))),
    to: grit().meta(named(t('To P'))),
    maxStep: z
      .number()
      .gt(1)
      .max(100)
      .default(2)
      .meta(named(t('Largest step, times'))),
  })
  .refine((i) => i.from <= i.to, {
    path: ['to'],
    message: t('must be from or finer: a larger number'),
  });
export type GritLadderInput = z.output<typeof GritLadderInput>;

/** Grits from coarse to fine, each no more than `maxStep` times the one before where the shelf allows it. Never refuses. */
export function gritLadder({ from, to, maxStep }: GritLadderInput): Worked<{ grits: number[] }> {
  const grits: number[] = [from];
  for (let now = from; now < to;) {
    const finer = GRITS.filter((g) => g > now && g <= to);
    const within = finer.filter((g) => g <= maxStep * now * (1 + 1e-12));
    now = within[within.length - 1] ?? (finer[0] as number);
    grits.push(now);
  }
  const working = [
    ...grits.slice(1).map((g, i) =>
      line({
        symbol: '',
        label: t('P{from} to P{to}', { from: String(grits[i]), to: g }),
        expression: t('largest on the shelf ≤ {maxStep}·{from}, or the next', {
          maxStep: formatFigure(maxStep),
          from: String(grits[i]),
        }),
        value: g,
      }),
    ),
    line({
      symbol: '',
      label: t('grits'),
      expression: t('coarse to fine'),
      value: grits.map((g) => `P${g}`).join(' '),
    }),
  ];
  return worked({ grits }, working);
}

export const gritLadderCalc = defineCalc({
  name: 'grit-ladder',
  purpose: t('Sanding grits from coarse to fine without leaving scratches behind.'),
  input: GritLadderInput,
  run: gritLadder,
  result: { grits: named(t('Grits')) },
  formula: [
    t('next = the finest grit ≤ step × the present and ≤ the last; if none, the very next one'),
  ],
  source: t('FEPA P grits; no grit takes out scratches more than about twice as coarse.'),
  limits: t('Wash between grits. Stop before the fibre shows on composite.'),
  example: { from: 120, to: 1500, maxStep: 1.6 },
});
