import { z } from 'zod';
import { Survey } from '../families/registry';
import { SystemCard } from '../materials/card';
import { MilestoneId } from '../materials/milestones';
import { PURPOSES } from '../materials/words';
import { MessageSchema } from '../message/message';
import { SiteSettings } from '../site/site';
import { CAUTION_IDS } from '../work/cautions';
import { Figure } from '../work/figure';
import { Link, Slot, Step } from '../work/step';
import { Supply } from '../work/supplies';
import { CONSISTENCIES } from '../work/weighing';
import { NextOption } from './costs';
import { HeatOption, WorkWindow } from './outlook';

/** The version of the core that made a plan: an old plan keeps its own figures when a formula changes. */
export const CORE_VERSION = '0.3.0';

export const PlanBatch = z.strictObject({
  /** Numbered through the whole job. */
  no: z.int().min(1),
  round: z.string(),
  ml: z.number(),
  /** Grams of the two parts; null where nothing is weighed. */
  aG: z.number().nullable(),
  bG: z.number().nullable(),
  /** Which water a powder takes in this round. */
  consistency: z.enum(CONSISTENCIES),
  lifeMin: z.number(),
  /** On the clock of the plan, minutes from the start of the stop. */
  mixedAtMin: z.number(),
  lastTouchMin: z.number(),
  placeByMin: z.number(),
});
export type PlanBatch = z.infer<typeof PlanBatch>;

export const PlanRound = z.strictObject({
  id: z.string(),
  name: MessageSchema,
  purpose: z.enum(PURPOSES),
  card: z.strictObject({ code: z.string(), version: z.int(), name: z.string() }),
  /** All that is mixed or opened, ml as it is placed. */
  amountMl: z.number(),
  /** Mixed and not placed: the rest of whole kits, ml. */
  spareMl: z.number().default(0),
  /** What it lies on: the parent, or the round before it. */
  on: z.string(),
  buildMm: z.number(),
  consistency: z.enum(CONSISTENCIES),
  /** What it is mixed and cured at, and what the parts are cooled to, °C. */
  tempC: z.number(),
  pailC: z.number().nullable(),
  people: z.int().min(1),
  /** What had to be chosen so that it is placed in its life, as a condition; why this card and no other. */
  chose: MessageSchema.nullable(),
  because: MessageSchema.nullable(),
  batches: z.array(PlanBatch),
  /** Minutes from its mix to each moment of its cure. */
  milestones: z.array(z.strictObject({ id: MilestoneId, minutes: z.number() })),
  /** The moment that the service loads; null where it is covered before. */
  needed: MilestoneId.nullable(),
});
export type PlanRound = z.infer<typeof PlanRound>;

/** How far something is inside a limit of the plan. */
export const Slack = z.strictObject({ about: MessageSchema, slackMin: z.number() });

/** The whole job as data: serialisable, versioned, saved whole with its working. */
export const Plan = z.strictObject({
  version: z.literal(2),
  core: z.string(),
  madeAt: z.iso.datetime({ offset: true }),
  survey: Survey,
  card: SystemCard,
  /** Every material card of its rounds, by code. */
  cards: z.record(z.string(), SystemCard),
  site: SiteSettings,
  figures: z.record(z.string(), Figure),
  conditions: z.array(MessageSchema),
  /** What was chosen where practitioners differ, and second materials that were chosen by a person. */
  schools: z.record(z.string(), z.string()),
  seconds: z.record(z.string(), z.string()),
  /** Held at this to the end of its cure, °C; null: as it is measured. */
  heldC: z.number().nullable(),
  rounds: z.array(PlanRound).min(1),
  steps: z.array(Step),
  links: z.array(Link),
  schedule: z.array(Slot),
  /** Everything to have at hand, the system first. */
  supplies: z.array(Supply),
  /** The round whose card was chosen, and the moment of it that the service waits for. */
  mainRound: z.string(),
  needed: MilestoneId,
  readyMin: z.number(),
  /** Minutes of people, all steps of every station. */
  labourMin: z.number(),
  /** Where the job is fragile: the smallest slacks, smallest first. */
  tightest: z.array(Slack),
  /** How a heater would shorten the needed cure. */
  heat: z.array(HeatOption),
  /** When the forecast allows it, out of doors; null where no forecast was asked. */
  windows: z.array(WorkWindow).nullable(),
  /** What would raise a poor chance of being ready; frost on the way. */
  raise: z.array(MessageSchema),
  warnings: z.array(MessageSchema),
  /** The next best card, where others were at hand to compare. */
  next: NextOption.nullable(),
  nextLookDays: z.int(),
  lifeDays: z.number(),
  /** For a stop-gap: days until it must be replaced by the lasting repair. */
  replaceInDays: z.int().nullable(),
  /** How it would come off again. */
  removal: z.array(MessageSchema),
  cautions: z.array(z.strictObject({ id: z.enum(CAUTION_IDS), text: z.string() })),
  gear: z.array(z.string()),
  approvers: z.array(z.string()),
});
export type Plan = z.infer<typeof Plan>;

/** Every batch of a plan in the order it is mixed. */
export const planBatches = ({ rounds }: Pick<Plan, 'rounds'>): PlanBatch[] =>
  rounds.flatMap((r) => r.batches).sort((a, b) => a.no - b.no);

/** The round of a plan by its id. */
export const planRound = ({ rounds }: Pick<Plan, 'rounds'>, id: string): PlanRound | undefined =>
  rounds.find((r) => r.id === id);

/** Minutes a batch may be touched, from its mix. */
export const usableMinutes = ({ placeByMin, mixedAtMin }: PlanBatch): number =>
  placeByMin - mixedAtMin;
