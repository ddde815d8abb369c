import { z } from 'zod';
import { MilestoneId } from '../materials/milestones';
import { PERMISSIONS } from '../materials/words';
import { MessageSchema, type Message } from '../message/message';
import { StationId } from './stations';
import type { Figure } from './figure';
import type { Round } from './round';
import type { Need } from './supplies';

const bound = () => z.number().nullable();

/** What must be shown before the job goes on. */
export const Hold = z.discriminatedUnion('kind', [
  /** A tick. */
  z.strictObject({ kind: z.literal('check') }),
  /** Air, humidity and surface against the card’s limits. */
  z.strictObject({ kind: z.literal('ambient') }),
  /** One figure inside its limits. */
  z.strictObject({
    kind: z.literal('reading'),
    label: MessageSchema,
    quantity: z.enum(['length', 'thinFilm', 'temperature', 'percent', 'pressure', 'force', 'mass']),
    min: bound(),
    max: bound(),
  }),
  z.strictObject({
    kind: z.literal('hardness'),
    target: z.number(),
    minReadings: z.int(),
    minSharePct: z.number(),
    scale: z.enum(['A', 'D']).default('D'),
  }),
  /** Several thicknesses: their mean on target, none under a share of it. */
  z.strictObject({
    kind: z.literal('thickness'),
    targetMm: z.number(),
    minReadings: z.int(),
    leastShare: z.number(),
  }),
  /** A wait that runs from when it was started. */
  z.strictObject({ kind: z.literal('countdown'), label: MessageSchema, minutes: z.number() }),
  /** A picture of what will be covered. */
  z.strictObject({ kind: z.literal('photo'), label: MessageSchema }),
  /** The name of who may decide, and where it is written. */
  z.strictObject({ kind: z.literal('approval'), who: z.enum(PERMISSIONS) }),
]);
export type Hold = z.infer<typeof Hold>;

/**
 * A stretch of a step that a clock counts beside the work: a load that is held, a pass under the lamp. It meets no hold;
 * how often it is counted, over all that the step does.
 */
export const Timed = z.strictObject({
  label: MessageSchema,
  minutes: z.number().gt(0),
  times: z.int().min(1),
});
export type Timed = z.infer<typeof Timed>;

/** What a step does to the work: the order of these is law, whichever family it is. */
export const DOES = [
  'approve',
  'safe',
  'protect',
  'look',
  'strip',
  'open-up',
  'wet',
  'dry',
  'heat',
  'abrade',
  'dust-off',
  'release',
  'mask',
  'wipe',
  'gate',
  'ready',
  'dam',
  'dampen',
  'mix',
  'place',
  'form',
  'wait',
  'finish',
  'test',
  'tidy',
] as const;
export type Does = (typeof DOES)[number];

export const Wrong = z.strictObject({ sign: MessageSchema, remedy: MessageSchema });
export type Wrong = z.infer<typeof Wrong>;

/** One step as it stands in a plan. */
export const Step = z.strictObject({
  /** Its own in this plan; `name` is what it is, of a closed list. */
  id: z.string(),
  name: z.string(),
  station: StationId,
  /** The round it belongs to; null where it is the job’s. */
  round: z.string().nullable(),
  does: z.enum(DOES),
  title: MessageSchema,
  text: MessageSchema,
  /** Minutes of hands, all its batches together. */
  minutes: z.number().min(0),
  people: z.int().min(1),
  /** Done again for each batch of its round. */
  eachBatch: z.boolean(),
  /** Strikes sparks, or may. */
  sparks: z.boolean(),
  hold: Hold.nullable(),
  timed: Timed.optional(),
  wrong: z.array(Wrong),
  figures: z.array(z.string()),
  /** Supplies that it uses, by their ids. */
  uses: z.array(z.string()),
});
export type Step = z.infer<typeof Step>;

/** A time that makes or spoils a repair: not before `least`, not after `most` without what is to be done then. */
export const Link = z.strictObject({
  from: z.union([
    z.strictObject({ step: z.string() }),
    z.strictObject({ round: z.string(), at: MilestoneId, until: MilestoneId.nullable() }),
  ]),
  to: z.string(),
  least: z.number(),
  most: z.number().nullable(),
  /** Steps that were put in because `most` would be missed; none where it is kept. */
  instead: z.array(z.string()),
  why: MessageSchema,
});
export type Link = z.infer<typeof Link>;

/** One stretch of work on the clock, minutes from the start of the stop. */
export const Slot = z.strictObject({
  step: z.string(),
  batch: z.int().nullable(),
  from: z.number(),
  to: z.number(),
  people: z.int().min(0),
});
export type Slot = z.infer<typeof Slot>;

/** What is to be done where a step would begin after its time. */
export type Missed = 'abrade' | 'gate' | 'prepare' | 'dampen' | 'condition';

/** What a step waits for. */
export type After =
  | {
      round: string;
      at: MilestoneId;
      until?: MilestoneId;
      missed?: Missed;
      why: Message;
      leastMin?: number;
    }
  | { step: string; least?: number; most?: number; missed?: Missed; why: Message };

/** Ids as a step names them; given as a function where they hang on the card, which the hours of a job do not. */
type Listed = readonly string[] | (() => readonly string[]);
export const listed = (ids: Listed = []): string[] => [
  ...(typeof ids === 'function' ? ids() : ids),
];

/** A step as a method writes it: what is left out takes the usual value. */
export interface StepDraft {
  name: string;
  station: StationId;
  title: Message;
  /** Given as a function, since the hours of a job are asked for far more often than its words. */
  text: () => Message;
  does: Does;
  /** Minutes of hands; of a touch its round says them. */
  minutes: number;
  round?: Pick<Round, 'id'>;
  /** Done for each batch of its round, within the life of the batch. */
  touch?: boolean;
  people?: number;
  sparks?: boolean;
  hold?: Hold | null;
  timed?: Timed;
  wrong?: readonly Wrong[];
  figures?: Listed;
  /** Supplies by their ids. */
  uses?: Listed;
  after?: readonly After[];
}

/** A job as its family writes it: rounds of material, steps in the order people work, what it needs besides. */
export interface Draft {
  rounds: Round[];
  steps: StepDraft[];
  needs: Need[];
  figures: () => Figure[];
}

/** Sum of the hands and the wait that a step starts, minutes. */
export const stepTime = ({ minutes, hold }: Pick<Step, 'minutes' | 'hold'>): number =>
  minutes + (hold?.kind === 'countdown' ? hold.minutes : 0);
