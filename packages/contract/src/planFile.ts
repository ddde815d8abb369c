import { Plan } from '@kelmot/core';
import { z } from 'zod';

/** The open format of a plan: the whole job as data, with its working, to be kept, sent and read back. */
export const PlanFile = z.strictObject({
  format: z.literal('kelmot-plan'),
  version: z.literal(1),
  plan: Plan,
});
export type PlanFile = z.infer<typeof PlanFile>;

/** A plan as a file of the open format. */
export const planFile = (plan: Plan): PlanFile => ({ format: 'kelmot-plan', version: 1, plan });
