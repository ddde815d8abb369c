import { z } from 'zod';
import { Id, Version } from './ids';

/** The answer to a command: it is in the database. */
export const Ack = z.object({
  commandId: Id,
  repairId: Id,
  version: Version,
  /** The number of the earlier plan that keeps a record that was made on it; null: the present plan. */
  keptWith: z.int().nullable().default(null),
});
export type Ack = z.infer<typeof Ack>;
