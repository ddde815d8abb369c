import { z } from 'zod';
import { Id, Version } from './ids';

/** The state after a command, as acknowledged: it is in the database. */
export const Ack = z.object({
  commandId: Id,
  repairId: Id,
  version: Version,
  /** The number of an earlier plan that a record was kept with, since it was made on it; null: the present one. */
  keptWith: z.int().nullable().default(null),
});
export type Ack = z.infer<typeof Ack>;
