import { MessageSchema, typedLines, typedText, t } from '@kelmot/core';
import { z } from 'zod';
import { Id, Instant } from './ids';

/** Least letters of a statement or a reason. */
export const LEAST_NOTE = 3;
/** Most characters of a note, a statement or a reason, and of a lot as on the pack. */
export const MOST_NOTE = 500;
export const MOST_LOT = 60;

export const STATUSES = ['open', 'closed', 'dropped'] as const;
export const RepairStatus = z.enum(STATUSES);
export type RepairStatus = z.infer<typeof RepairStatus>;

/** Most characters of the name of an instrument. */
export const MOST_INSTRUMENT = 60;
/** The instrument that sent it; absent if typed. */
const read = { instrument: typedText(MOST_INSTRUMENT, 1).optional() };

/** Most rows of one log, a day and a half at one a minute; redundant rows are left out. */
export const MOST_ROWS = 2000;
/** Limits of a surface temperature during a cure, °C. */
export const SURFACE_C = { least: -60, most: 250 } as const;
const surface = () => z.number().min(SURFACE_C.least).max(SURFACE_C.most);

/** The temperature of a repair, minutes after the beginning of its log, at one or two spots. */
const LogRow = z.strictObject({
  atMin: z.number().min(0).max(1e6),
  tempC: surface(),
  otherC: surface().optional(),
});
export type LogRow = z.infer<typeof LogRow>;

const LogRows = z
  .array(LogRow)
  .min(1)
  .max(MOST_ROWS)
  .superRefine((rows, ctx) => {
    const wrong = rows.findIndex((row, i) => i > 0 && row.atMin <= (rows[i - 1] as LogRow).atMin);
    if (wrong > 0)
      ctx.addIssue({
        code: 'custom',
        path: [wrong, 'atMin'],
        message: t('must be over {at}, the time before it', { at: String(rows[wrong - 1]?.atMin) }),
      });
  });

/** The parts of a handover in order, with their headings. */
export const HANDOVER_TITLES = {
  stands: t('Where it stands'),
  wet: t('Batches, cures and waits'),
  closes: t('What closes next'),
  again: t('Too old: repeat'),
  watch: t('Needs attention'),
} as const;
export type HandoverPartKey = keyof typeof HANDOVER_TITLES;
export const HANDOVER_KEYS = Object.keys(HANDOVER_TITLES) as [
  HandoverPartKey,
  ...HandoverPartKey[],
];
/** Most lines of a part, and characters of a line: a line may contain several typed notes. */
const MOST_TOLD = { lines: 100, line: 4 * MOST_NOTE } as const;
/** One part of a handover: its lines, as they were read. */
const HandoverPart = z.strictObject({
  part: z.enum(HANDOVER_KEYS),
  lines: z.array(typedLines(MOST_TOLD.line, 1)).min(1).max(MOST_TOLD.lines),
});
export type HandoverPart = z.infer<typeof HandoverPart>;

/** What can heat a repair during its cure. */
export const WARMERS = ['heater', 'lamp'] as const;
export const WARMER_NAMES: Record<(typeof WARMERS)[number], string> = {
  heater: t('Heater'),
  lamp: t('Lamp'),
};

/** More than anything of one step is ever counted. */
const MOST_TIMED = 10_000;

/** A reading at a hold or of the repair itself, in base units, judged when taken. */
export const ReadingValues = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('ambient'),
    airC: z.number().min(-40).max(60),
    rhPct: z.number().min(1).max(100),
    surfaceC: z.number().min(-40).max(120),
    ...read,
  }),
  z.strictObject({
    kind: z.literal('reading'),
    value: z.number().min(-1e6).max(1e6),
    ...read,
  }),
  z.strictObject({
    kind: z.literal('hardness'),
    values: z.array(z.number().min(0).max(100)).min(1).max(100),
    ...read,
  }),
  z.strictObject({
    kind: z.literal('thickness'),
    valuesMm: z.array(z.number().min(0).max(1000)).min(1).max(100),
    ...read,
  }),
  /** A started wait: runs from its recording. */
  z.strictObject({ kind: z.literal('countdown') }),
  /** A started count at a step, and its number: it meets no hold. */
  z.strictObject({ kind: z.literal('timed'), no: z.int().min(1).max(MOST_TIMED) }),
  z.strictObject({ kind: z.literal('photo'), photoId: Id }),
  /** An override: the job went on without its hold, with the author's reason. */
  z.strictObject({ kind: z.literal('override'), why: typedLines(MOST_NOTE, LEAST_NOTE) }),
  /** The temperature of the repair: typed, or the rows of a log. */
  z.strictObject({ kind: z.literal('temperatures'), from: Instant, rows: LogRows, ...read }),
  z.strictObject({ kind: z.literal('heat'), by: z.enum(WARMERS), on: z.boolean() }),
  /** A fingernail test of the kept sample: it leaves a mark, or none. */
  z.strictObject({ kind: z.literal('nail'), marks: z.boolean() }),
  /** A durometer reading of that sample. */
  z.strictObject({ kind: z.literal('shore'), value: z.number().min(0).max(100), ...read }),
  /** A handover by its author to the next person. */
  z.strictObject({
    kind: z.literal('handed-over'),
    parts: z.array(HandoverPart).max(HANDOVER_KEYS.length),
    note: typedLines(MOST_NOTE),
  }),
  /** Its author has read the handover, and goes on. */
  z.strictObject({ kind: z.literal('taken-over') }),
  z.strictObject({
    kind: z.literal('approval'),
    name: typedText(80, 2),
    reference: typedText(120, 1),
    /** The approver's account, set by the server; null: the name was typed and is not verified. */
    account: typedText(64).nullable().default(null),
  }),
]);
export type ReadingValues = z.infer<typeof ReadingValues>;

/** Its author, and the server's time of receipt: a device's times are only claims. */
const recorded = {
  by: z.string(),
  byId: z.string(),
  /** Null while it is queued. */
  receivedAt: Instant.nullable(),
};

export const Reading = z.object({
  id: Id,
  stepId: z.string(),
  values: ReadingValues,
  passed: z.boolean(),
  /** The verdict in one short sentence, with the measured value and its limit. */
  say: MessageSchema,
  takenAt: Instant,
  ...recorded,
});
export type Reading = z.infer<typeof Reading>;

export const Mix = z.object({
  id: Id,
  batchNo: z.int(),
  /** Weighed grams; null if nothing is weighed. */
  aG: z.number().nullable(),
  bG: z.number().nullable(),
  deviationPct: z.number().nullable(),
  inTolerance: z.boolean(),
  lot: z.string(),
  /** The scale that sent both masses; absent if one was typed, or nothing is weighed. */
  instrument: z.string().optional(),
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
  accepted: t('Accepted and returned to service'),
  redo: t('Not accepted: to be done again'),
};
export const Signoff = z.object({
  id: Id,
  verdict: z.enum(SIGNOFF_VERDICTS),
  statement: z.string(),
  name: z.string(),
  /** The account of the signing person. */
  byId: z.string(),
  /** Why it was signed before the server had seen the end of the cure; null: it had. */
  override: z.string().nullable(),
  at: Instant,
  supersedes: Id.nullable(),
});
export type Signoff = z.infer<typeof Signoff>;

export const REVIEW_KINDS = ['look', 'replace'] as const;
export const REVIEW_NAMES: Record<(typeof REVIEW_KINDS)[number], string> = {
  look: t('Look at it again'),
  replace: t('Stop-gap: replace it'),
};
export const Review = z.object({
  id: Id,
  kind: z.enum(REVIEW_KINDS),
  dueOn: z.string(),
  doneAt: Instant.nullable(),
});
export type Review = z.infer<typeof Review>;
