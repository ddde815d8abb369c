import { z } from 'zod';
import { MilestoneId } from '../materials/milestones';
import type { UnitSystem } from '../units/quantities';
import { word } from '../message/word';
import { PERMISSIONS } from '../materials/words';
import { saidOf, type Says } from '../message/sentences';
import { MessageSchema, type Message } from '../message/message';
import { StationId } from './stations';
import type { Figure } from './figure';
import type { Round } from './round';
import type { Need } from './supplies';

const bound = () => z.number().nullable();

/** What must be met before the job goes on. */
export const Hold = z.discriminatedUnion('kind', [
  /** A tick. */
  z.strictObject({ kind: z.literal('check') }),
  /** Air, humidity and surface against the card’s limits. */
  z.strictObject({ kind: z.literal('ambient') }),
  /** One figure within its limits. */
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
  /** Several thicknesses: mean on target, none below a share of it. */
  z.strictObject({
    kind: z.literal('thickness'),
    targetMm: z.number(),
    minReadings: z.int(),
    leastShare: z.number(),
  }),
  /** A wait from its start. */
  z.strictObject({ kind: z.literal('countdown'), label: MessageSchema, minutes: z.number() }),
  /** A picture of what will be covered. */
  z.strictObject({ kind: z.literal('photo'), label: MessageSchema }),
  /** The name of an authorised person, and where it is written. */
  z.strictObject({ kind: z.literal('approval'), who: z.enum(PERMISSIONS) }),
]);
export type Hold = z.infer<typeof Hold>;

/** A timed part of a step: a held load, a pass under the lamp. It meets no hold; `times` over the whole step. */
export const Timed = z.strictObject({
  label: MessageSchema,
  minutes: z.number().gt(0),
  times: z.int().min(1),
});
export type Timed = z.infer<typeof Timed>;

/** The effect of a step on the work: the order of these is a law for every family. */
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

/** One step of a plan. */
export const Step = z.strictObject({
  /** Its id in this plan; `name` is from a closed list. */
  id: z.string(),
  name: z.string(),
  station: StationId,
  /** Its round; null for the whole job. */
  round: z.string().nullable(),
  does: z.enum(DOES),
  title: MessageSchema,
  /** Its sentences in their order, one instruction each. */
  says: z.array(MessageSchema).optional(),
  /** Warnings that stand before it: the command, then the harm. */
  warns: z.array(MessageSchema).optional(),
  /** All its sentences in one, from plans made before each stood by itself. */
  text: MessageSchema.optional(),
  /** Minutes of work, all batches together. */
  minutes: z.number().min(0),
  people: z.int().min(1),
  /** Repeated for each batch of its round. */
  eachBatch: z.boolean(),
  /** Makes sparks, or may. */
  sparks: z.boolean(),
  hold: Hold.nullable(),
  timed: Timed.optional(),
  wrong: z.array(Wrong),
  figures: z.array(z.string()),
  /** Ids of the supplies that it uses. */
  uses: z.array(z.string()),
});
export type Step = z.infer<typeof Step>;

/** A time limit that decides a repair's quality: not before `least`, not after `most` without replacement steps. */
export const Link = z.strictObject({
  from: z.union([
    z.strictObject({ step: z.string() }),
    z.strictObject({ round: z.string(), at: MilestoneId, until: MilestoneId.nullable() }),
  ]),
  to: z.string(),
  least: z.number(),
  most: z.number().nullable(),
  /** Steps that were added because `most` would be missed; empty if it is kept. */
  instead: z.array(z.string()),
  why: MessageSchema,
});
export type Link = z.infer<typeof Link>;

/** One scheduled piece of work, minutes from the start of the stop. */
export const Slot = z.strictObject({
  step: z.string(),
  batch: z.int().nullable(),
  from: z.number(),
  to: z.number(),
  people: z.int().min(0),
});
export type Slot = z.infer<typeof Slot>;

/** What replaces a step that would begin too late. */
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

/** Ids that a step names; as a function if they depend on the card, which the schedule does not need. */
type Listed = readonly string[] | (() => readonly string[]);
export const listed = (ids: Listed = []): string[] => [
  ...(typeof ids === 'function' ? ids() : ids),
];

/** A step as a method writes it: absent parts have defaults. */
export interface StepDraft {
  name: string;
  station: StationId;
  title: Message;
  /** A function, because schedules are computed far more often than text is read. */
  says: () => Says;
  warns?: Says;
  does: Does;
  /** Minutes of work; for a touch, its round sets them. */
  minutes: number;
  round?: Pick<Round, 'id'>;
  /** Done for each batch of its round, within the batch's working life. */
  touch?: boolean;
  people?: number;
  sparks?: boolean;
  hold?: Hold | null;
  timed?: Timed;
  wrong?: readonly Wrong[];
  figures?: Listed;
  /** Ids of supplies. */
  uses?: Listed;
  after?: readonly After[];
}

/** A job as its family writes it: rounds of material, steps in working order, other needs. */
export interface Draft {
  rounds: Round[];
  steps: StepDraft[];
  needs: Need[];
  figures: () => Figure[];
}

/** The sentences of a step of a saved plan. */
export const sentencesOf = ({ says, text }: Pick<Step, 'says' | 'text'>): Message[] =>
  says ?? saidOf(text);

/** The warnings that stand before a step of a saved plan. */
export const warningsOf = ({ warns }: Pick<Step, 'warns'>): Message[] => warns ?? [];

/** Everything that a step tells its reader, as one text. */
export const stepWords = (
  step: Pick<Step, 'says' | 'warns' | 'text'>,
  units: UnitSystem = 'metric',
): string => [...warningsOf(step), ...sentencesOf(step)].map((said) => word(said, units)).join(' ');

/** Minutes of a step's work and of the wait that it starts. */
export const stepTime = ({ minutes, hold }: Pick<Step, 'minutes' | 'hold'>): number =>
  minutes + (hold?.kind === 'countdown' ? hold.minutes : 0);
