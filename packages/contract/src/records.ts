import { MessageSchema, typedLines, typedText } from '@kelmot/core';
import { z } from 'zod';
import { Id, Instant } from './ids';

/** Fewest letters of a statement or a reason: in fewer it is none. */
export const LEAST_NOTE = 3;
/** Most characters of a note, a statement or a reason, and of a lot as on the pack. */
export const MOST_NOTE = 500;
export const MOST_LOT = 60;

export const STATUSES = ['open', 'closed', 'dropped'] as const;
export const RepairStatus = z.enum(STATUSES);
export type RepairStatus = z.infer<typeof RepairStatus>;

/** Most characters of the name of an instrument. */
export const MOST_INSTRUMENT = 60;
/** The instrument that sent it; left out where it was typed. */
const read = { instrument: typedText(MOST_INSTRUMENT, 1).optional() };

/** Most rows of one log, a day and a half at one a minute; what says nothing more than its neighbours is left out. */
export const MOST_ROWS = 2000;
/** What no surface is colder or hotter than while something cures on it, °C. */
export const SURFACE_C = { least: -60, most: 250 } as const;
const surface = () => z.number().min(SURFACE_C.least).max(SURFACE_C.most);

/** How warm a repair was, minutes after the beginning of its log, at one spot or at two. */
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
        message: `must be over ${rows[wrong - 1]?.atMin}, the time before it`,
      });
  });

/** The parts of what is told at a change of hands, in their order, as each is headed. */
export const TOLD_TITLES = {
  stands: 'Where it stands',
  wet: 'What is wet',
  closes: 'What closes next',
  again: 'Left too long: do it again',
  watch: 'What to watch',
} as const;
export type ToldKey = keyof typeof TOLD_TITLES;
export const TOLD_KEYS = Object.keys(TOLD_TITLES) as [ToldKey, ...ToldKey[]];
/** Most lines of a part, and characters of one: a line may tell several notes, as they were typed. */
const MOST_TOLD = { lines: 100, line: 4 * MOST_NOTE } as const;
/** One part of what was told: its lines in the words that were read. */
const ToldPart = z.strictObject({
  part: z.enum(TOLD_KEYS),
  lines: z.array(typedLines(MOST_TOLD.line, 1)).min(1).max(MOST_TOLD.lines),
});
export type ToldPart = z.infer<typeof ToldPart>;

/** What can warm a repair while it cures. */
export const WARMERS = ['heater', 'lamp'] as const;
export const WARMER_NAMES: Record<(typeof WARMERS)[number], string> = {
  heater: 'Heater',
  lamp: 'Lamp',
};

/** More often than anything of one step is begun. */
const MOST_TIMED = 10_000;

/** A reading taken at a hold of the plan or of the repair itself, in base units, judged when it was taken. */
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
  /** A wait that was started: it runs from when it was recorded. */
  z.strictObject({ kind: z.literal('countdown') }),
  /** What a clock counts beside a step was begun, and which time this was: it meets no hold. */
  z.strictObject({ kind: z.literal('timed'), no: z.int().min(1).max(MOST_TIMED) }),
  z.strictObject({ kind: z.literal('photo'), photoId: Id }),
  /** The job went on without what the hold asks for: by whoever recorded it, for this reason. */
  z.strictObject({ kind: z.literal('override'), why: typedLines(MOST_NOTE, LEAST_NOTE) }),
  /** How warm the repair was: one that was typed, or the rows of a log. */
  z.strictObject({ kind: z.literal('temperatures'), from: Instant, rows: LogRows, ...read }),
  z.strictObject({ kind: z.literal('heat'), by: z.enum(WARMERS), on: z.boolean() }),
  /** A fingernail pressed into the sample that was kept: it leaves a mark, or none. */
  z.strictObject({ kind: z.literal('nail'), marks: z.boolean() }),
  /** A durometer on that sample. */
  z.strictObject({ kind: z.literal('shore'), value: z.number().min(0).max(100), ...read }),
  /** Whoever recorded it has left the work to whoever comes next, and told them this. */
  z.strictObject({
    kind: z.literal('handed-over'),
    parts: z.array(ToldPart).max(TOLD_KEYS.length),
    note: typedLines(MOST_NOTE),
  }),
  /** Whoever recorded it has read that, and goes on. */
  z.strictObject({ kind: z.literal('taken-over') }),
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
  /** The scale that sent both weights; left out where one was typed, or nothing is weighed. */
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
