import { t } from '../text/text';
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

/** A computed number with its working, and the survey fields that would change it. */
export const Figure = z.strictObject({
  id: z.string(),
  label: z.string(),
  value: z.number(),
  quantity: z.enum(QUANTITY_IDS),
  working: z.array(WorkingLineSchema).min(1),
  paths: z.array(z.string()),
});
export type Figure = z.infer<typeof Figure>;

/** Makes a figure from its working and survey fields. */
export const figureOf = ({
  id,
  label,
  value,
  quantity,
  working,
  paths = [],
}: {
  id: string;
  label: string;
  value: number;
  quantity: QuantityId;
  working: WorkingLine[];
  paths?: string[];
}): Figure => ({ id, label, value, quantity, working, paths });

/** The same lines with those of one symbol last: a working ends in the figure that it explains. */
export const endingIn = (lines: WorkingLine[], symbol: string): WorkingLine[] => [
  ...lines.filter((w) => w.symbol !== symbol),
  ...lines.filter((w) => w.symbol === symbol),
];

/** The lines of a working, ended by the result that a figure shows. */
export const closing =
  (working: WorkingLine[]) =>
  ({
    symbol,
    label,
    value,
    unit = '',
  }: Pick<WorkingLine, 'symbol' | 'label'> & { value: number; unit?: string }): WorkingLine[] => [
    ...working,
    line({ symbol, label, expression: t('from above'), value, unit }),
  ];
