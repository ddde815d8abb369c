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
import { HeatOption, WorkWindow } from './outlook';
import { NextOption } from './nextOption';

/** The version of core that made a plan: an old plan keeps its figures when a formula changes. */
export const CORE_VERSION = '0.4.0';

export const PlanBatch = z.strictObject({
  /** Numbered through the whole job. */
  no: z.int().min(1),
  round: z.string(),
  ml: z.number(),
  /** Grams of the two parts; null where nothing is weighed. */
  aG: z.number().nullable(),
  bG: z.number().nullable(),
  /** The water demand of a powder in this round. */
  consistency: z.enum(CONSISTENCIES),
  lifeMin: z.number(),
  /** Minutes from the start of the stop. */
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
  /** All that is mixed or opened, ml placed. */
  amountMl: z.number(),
  /** Mixed but not placed: the rest of whole kits, ml. */
  spareMl: z.number().default(0),
  /** What it lies on: the substrate, or the round before. */
  on: z.string(),
  buildMm: z.number(),
  consistency: z.enum(CONSISTENCIES),
  /** Temperature of mixing and curing, and of cooled parts, °C. */
  tempC: z.number(),
  pailC: z.number().nullable(),
  people: z.int().min(1),
  /** What was changed so that it is placed within its working life; why this card was chosen. */
  chose: MessageSchema.nullable(),
  because: MessageSchema.nullable(),
  batches: z.array(PlanBatch),
  /** Minutes from its mix to each milestone. */
  milestones: z.array(z.strictObject({ id: MilestoneId, minutes: z.number() })),
  /** The milestone that the service loads; null if it is covered before. */
  needed: MilestoneId.nullable(),
});
export type PlanRound = z.infer<typeof PlanRound>;

/** The margin to a limit of the plan. */
export const Slack = z.strictObject({ about: MessageSchema, slackMin: z.number() });

/** The whole job as data: serialisable, versioned, saved with its working. */
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
  /** The chosen schools, and the second materials that a person chose. */
  schools: z.record(z.string(), z.string()),
  seconds: z.record(z.string(), z.string()),
  /** Held at this temperature to the end of its cure, °C; null: as measured. */
  heldC: z.number().nullable(),
  rounds: z.array(PlanRound).min(1),
  steps: z.array(Step),
  links: z.array(Link),
  schedule: z.array(Slot),
  /** All supplies, the system first. */
  supplies: z.array(Supply),
  /** The chosen card's round, and the milestone of it that the service waits for. */
  mainRound: z.string(),
  needed: MilestoneId,
  readyMin: z.number(),
  /** Minutes of people, over all steps. */
  labourMin: z.number(),
  /** The smallest margins of the job, smallest first. */
  tightest: z.array(Slack),
  /** How a heater would shorten the needed cure. */
  heat: z.array(HeatOption),
  /** When the forecast allows it, outdoors; null without a forecast. */
  windows: z.array(WorkWindow).nullable(),
  /** What would raise a low chance of being ready; frost on the way. */
  raise: z.array(MessageSchema),
  warnings: z.array(MessageSchema),
  /** The next best card, if others were available. */
  next: NextOption.nullable(),
  nextLookDays: z.int(),
  lifeDays: z.number(),
  /** For a stop-gap: days until the lasting repair must replace it. */
  replaceInDays: z.int().nullable(),
  /** How to remove it. */
  removal: z.array(MessageSchema),
  cautions: z.array(z.strictObject({ id: z.enum(CAUTION_IDS), text: z.string() })),
  gear: z.array(z.string()),
  /** Tools and small things that the steps name; absent in plans made before they were listed. */
  tools: z.array(z.string()).optional(),
  approvers: z.array(z.string()),
});
export type Plan = z.infer<typeof Plan>;

/** Every batch of a plan in mixing order. */
export const planBatches = ({ rounds }: Pick<Plan, 'rounds'>): PlanBatch[] =>
  rounds.flatMap((r) => r.batches).sort((a, b) => a.no - b.no);

/** The round of a plan by its id. */
export const planRound = ({ rounds }: Pick<Plan, 'rounds'>, id: string): PlanRound | undefined =>
  rounds.find((r) => r.id === id);

/** Minutes from mixing in which a batch may be used. */
export const usableMinutes = ({ placeByMin, mixedAtMin }: PlanBatch): number =>
  placeByMin - mixedAtMin;
