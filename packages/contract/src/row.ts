import { INTENTS, MessageSchema, PlanGist, StationId, STATIONS } from '@kelmot/core';
import { z } from 'zod';
import { Id, Instant, Version } from './ids';
import { Mix, RepairStatus } from './records';

/** What a list and the whole of a repair begin with. */
export const head = {
  id: Id,
  tag: z.string(),
  assetName: z.string(),
  position: z.string(),
  title: z.string(),
  family: z.string(),
  intent: z.enum(INTENTS),
  station: StationId,
  status: RepairStatus,
  version: Version,
  backBy: Instant,
  createdAt: Instant,
  updatedAt: Instant,
};

/** A repair as a row of a list: enough for its cure strip and its next act. */
export const RepairRow = z.object({
  ...head,
  cardCode: z.string().nullable(),
  gist: PlanGist.nullable(),
  mixes: z.array(Mix),
  /** The last ambient reading, when it stopped the job. */
  stop: MessageSchema.nullable(),
  dueOn: z.string().nullable(),
});
export type RepairRow = z.infer<typeof RepairRow>;

export const RepairPage = z.object({ rows: z.array(RepairRow), next: z.string().nullable() });
export type RepairPage = z.infer<typeof RepairPage>;

/** Whether there is work on it: an open repair with its plan, from Prep on. */
export const isAtWork = ({
  status,
  gist,
  station,
}: Pick<RepairRow, 'status' | 'gist' | 'station'>): boolean =>
  status === 'open' && gist !== null && STATIONS.indexOf(station) >= STATIONS.indexOf('prep');
