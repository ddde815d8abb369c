import { INTENTS, MessageSchema, Plan, PlanGist, StationId, Survey, typedText } from '@kelmot/core';
import { z } from 'zod';
import { Id, Instant, Version } from './ids';

export const STATUSES = ['open', 'closed', 'dropped'] as const;
export const RepairStatus = z.enum(STATUSES);
export type RepairStatus = z.infer<typeof RepairStatus>;

/** A reading taken at a hold of the plan, in base units, judged when it was taken. */
export const ReadingValues = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('ambient'),
    airC: z.number().min(-40).max(60),
    rhPct: z.number().min(1).max(100),
    surfaceC: z.number().min(-40).max(120),
  }),
  z.strictObject({ kind: z.literal('reading'), value: z.number().min(-1e6).max(1e6) }),
  z.strictObject({
    kind: z.literal('hardness'),
    values: z.array(z.number().min(0).max(100)).min(1).max(100),
  }),
  z.strictObject({
    kind: z.literal('thickness'),
    valuesMm: z.array(z.number().min(0).max(1000)).min(1).max(100),
  }),
  /** A wait that was started: it runs from when it was recorded. */
  z.strictObject({ kind: z.literal('countdown') }),
  z.strictObject({ kind: z.literal('photo'), photoId: Id }),
  z.strictObject({
    kind: z.literal('approval'),
    name: typedText(80, 2),
    reference: typedText(120, 1),
    /** The account of who approved, set by the server; null: the name was typed and nobody has verified it. */
    account: typedText(64).nullable().default(null),
  }),
]);
export type ReadingValues = z.infer<typeof ReadingValues>;

/** Who recorded it, and when the server had it: what a device says of its moments is a claim. */
const recorded = {
  by: z.string(),
  byId: z.string(),
  /** Null while it waits on the device. */
  receivedAt: Instant.nullable(),
};

export const Reading = z.object({
  id: Id,
  stepId: z.string(),
  values: ReadingValues,
  passed: z.boolean(),
  /** The verdict in one sentence, with the number and the limit. */
  say: MessageSchema,
  takenAt: Instant,
  ...recorded,
});
export type Reading = z.infer<typeof Reading>;

export const Mix = z.object({
  id: Id,
  batchNo: z.int(),
  /** Grams on the scale; null where nothing is weighed. */
  aG: z.number().nullable(),
  bG: z.number().nullable(),
  deviationPct: z.number().nullable(),
  inTolerance: z.boolean(),
  lot: z.string(),
  startedAt: Instant,
  placedAt: Instant.nullable(),
  binnedAt: Instant.nullable(),
  ...recorded,
});
export type Mix = z.infer<typeof Mix>;

export const Check = z.object({
  id: Id,
  stepId: z.string(),
  batchNo: z.int().nullable(),
  done: z.boolean(),
  note: z.string(),
  at: Instant,
  ...recorded,
});
export type Check = z.infer<typeof Check>;

export const SIGNOFF_VERDICTS = ['accepted', 'redo'] as const;
export const SIGNOFF_NAMES: Record<(typeof SIGNOFF_VERDICTS)[number], string> = {
  accepted: 'Accepted, returned to service',
  redo: 'Not accepted: to be done again',
};
export const Signoff = z.object({
  id: Id,
  verdict: z.enum(SIGNOFF_VERDICTS),
  statement: z.string(),
  name: z.string(),
  /** The account of who signed. */
  byId: z.string(),
  /** Why it was signed before the server had seen the cure pass; null: it had. */
  override: z.string().nullable(),
  at: Instant,
  supersedes: Id.nullable(),
});
export type Signoff = z.infer<typeof Signoff>;

export const REVIEW_KINDS = ['look', 'replace'] as const;
export const REVIEW_NAMES: Record<(typeof REVIEW_KINDS)[number], string> = {
  look: 'Look at it again',
  replace: 'Stop-gap: replace it',
};
export const Review = z.object({
  id: Id,
  kind: z.enum(REVIEW_KINDS),
  dueOn: z.string(),
  doneAt: Instant.nullable(),
});
export type Review = z.infer<typeof Review>;

const head = {
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

/** What is said of a line of the record beside what it says: it needs an eye. */
export const STORY_MARKS = ['failed', 'late', 'override', 'unverified', 'undone'] as const;
export type StoryMark = (typeof STORY_MARKS)[number];

/** One thing that happened on a repair, as its record tells it. */
export const StoryLine = z.object({
  id: z.string(),
  /** When, by the device that recorded it. */
  at: Instant,
  title: MessageSchema,
  /** What was found or written, with the number; null where there is nothing to say. */
  say: MessageSchema.nullable(),
  /** What it is held against; null where nothing is measured. */
  limit: MessageSchema.nullable(),
  mark: z.enum(STORY_MARKS).nullable(),
  by: z.string(),
  /** The number of the earlier plan that it belongs to; null: the present one. */
  plan: z.int().nullable(),
});
export type StoryLine = z.infer<typeof StoryLine>;

/** A plan that a new survey took back, with what was recorded on it: what of that stands in the next plan is kept there. */
export const LastPlan = z.object({
  id: Id,
  number: z.int(),
  body: Plan,
  readings: z.array(Reading),
  checks: z.array(Check),
});
export type LastPlan = z.infer<typeof LastPlan>;

/** A repair whole: survey, plan with its working, and everything recorded against it. */
export const RepairView = z.object({
  ...head,
  assetId: Id.nullable(),
  survey: Survey,
  plan: z.object({ id: Id, number: z.int(), body: Plan }).nullable(),
  readings: z.array(Reading),
  mixes: z.array(Mix),
  checks: z.array(Check),
  /** What was recorded on earlier plans, plan by plan. */
  earlier: z.array(StoryLine),
  /** While there is no plan: the one before, where nothing was mixed on it. */
  last: LastPlan.nullable().default(null),
  signoffs: z.array(Signoff),
  reviews: z.array(Review),
});
export type RepairView = z.infer<typeof RepairView>;
