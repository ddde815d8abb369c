import { z } from 'zod';
import { QUANTITY_IDS } from '../units/quantities';

export const WorkingLineSchema = z.strictObject({
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
