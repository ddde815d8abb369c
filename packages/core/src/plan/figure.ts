import { z } from 'zod';

export const WorkingLineSchema = z.strictObject({
  symbol: z.string(),
  label: z.string(),
  expression: z.string(),
  value: z.union([z.number(), z.string()]),
  unit: z.string(),
  source: z.string(),
});

export const QUANTITY_IDS = [
  'length',
  'thinFilm',
  'temperature',
  'mass',
  'volume',
  'time',
  'area',
  'percent',
  'ph',
  'count',
  'money',
  'hardness',
] as const;

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
