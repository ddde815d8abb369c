import { z } from 'zod';
import { line, type WorkingLine } from '../calc/calc';
import { QUANTITY_IDS, type QuantityId } from '../units/quantities';

const WorkingLineSchema = z.strictObject({
  symbol: z.string(),
  label: z.string(),
  expression: z.string(),
  value: z.union([z.number(), z.string()]),
  unit: z.string(),
  source: z.string(),
});

/** A computed number that carries its sum with it, and the survey fields that would change it. */
export const Figure = z.strictObject({
  id: z.string(),
  label: z.string(),
  value: z.number(),
  quantity: z.enum(QUANTITY_IDS),
  working: z.array(WorkingLineSchema).min(1),
  paths: z.array(z.string()),
});
export type Figure = z.infer<typeof Figure>;

/** A figure with its sum, and the survey fields that would change it. */
export const figureOf = (
  id: string,
  label: string,
  value: number,
  quantity: QuantityId,
  working: WorkingLine[],
  paths: string[] = [],
): Figure => ({ id, label, value, quantity, working, paths });

/** The same lines, with those of one symbol last: a sum ends in the figure it explains. */
export const endingIn = (lines: WorkingLine[], symbol: string): WorkingLine[] => [
  ...lines.filter((w) => w.symbol !== symbol),
  ...lines.filter((w) => w.symbol === symbol),
];

/** The lines of a sum, closed by the one result of it that a figure shows. */
export const closing =
  (working: WorkingLine[]) =>
  (symbol: string, label: string, value: number, unit = ''): WorkingLine[] => [
    ...working,
    line(symbol, label, 'from above', value, unit),
  ];
