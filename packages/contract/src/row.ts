import { INTENTS, MessageSchema, PlanSummary, StationId, STATIONS } from '@kelmot/core';
import { z } from 'zod';
import { Id, Instant, Version } from './ids';
import { Mix, RepairStatus } from './records';

/** Fields that a list row and a whole repair share. */
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

/** A repair as a list row: enough for its cure strip and its next action. */
export const RepairRow = z.object({
  ...head,
  cardCode: z.string().nullable(),
  summary: PlanSummary.nullable(),
  mixes: z.array(Mix),
  /** The last gate reading, if it stopped the job. */
  stop: MessageSchema.nullable(),
  dueOn: z.string().nullable(),
});
export type RepairRow = z.infer<typeof RepairRow>;

/** Columns by which the server sorts a list. */
export const REPAIR_SORTS = [
  'tag',
  'asset',
  'damage',
  'card',
  'intent',
  'station',
  'when',
] as const;
export type RepairSort = (typeof REPAIR_SORTS)[number];

export const RepairPage = z.object({ rows: z.array(RepairRow), next: z.string().nullable() });
export type RepairPage = z.infer<typeof RepairPage>;

/** Whether there is work on it: an open repair with a plan, from Prep on. */
export const isAtWork = ({
  status,
  summary,
  station,
}: Pick<RepairRow, 'status' | 'summary' | 'station'>): boolean =>
  status === 'open' && summary !== null && STATIONS.indexOf(station) >= STATIONS.indexOf('prep');
