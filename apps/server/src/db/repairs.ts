import type { ReadingValues } from '@kelmot/contract';
import type { Message, Plan, PlanSummary, Survey } from '@kelmot/core';
import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  date,
  foreignKey,
  index,
  integer,
  jsonb,
  pgEnum,
  pgTable,
  text,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import { amount, bytes, moment } from './columns';
import { users } from './people';
import { assets, cards, sites } from './plant';

export const repairStatus = pgEnum('repair_status', ['open', 'closed', 'dropped']);
export const intent = pgEnum('intent', ['lasting', 'stopgap']);
export const station = pgEnum('station', [
  'survey',
  'match',
  'prep',
  'mix',
  'build',
  'cure',
  'accept',
]);
export const reviewKind = pgEnum('review_kind', ['look', 'replace']);
export const signoffVerdict = pgEnum('signoff_verdict', ['accepted', 'redo']);

export const repairs = pgTable(
  'repairs',
  {
    id: uuid('id').primaryKey(),
    siteId: uuid('site_id')
      .notNull()
      .references(() => sites.id),
    assetId: uuid('asset_id').references(() => assets.id),
    family: text('family').notNull(),
    tag: text('tag').notNull(),
    assetName: text('asset_name').notNull(),
    position: text('position').notNull(),
    title: text('title').notNull(),
    intent: intent('intent').notNull(),
    station: station('station').notNull(),
    status: repairStatus('status').notNull().default('open'),
    survey: jsonb('survey').$type<Survey>().notNull(),
    planId: uuid('plan_id'),
    backBy: moment('back_by').notNull(),
    version: integer('version').notNull().default(1),
    createdBy: text('created_by')
      .notNull()
      .references(() => users.id),
    createdAt: moment('created_at').notNull(),
    updatedAt: moment('updated_at').notNull(),
    /** The text that search looks at. */
    search: text('search').generatedAlwaysAs(
      sql`lower(tag || ' ' || asset_name || ' ' || title || ' ' || position)`,
    ),
  },
  (t) => [
    // Read backwards: newest first.
    index('repairs_all').on(t.siteId, t.updatedAt, t.id),
    index('repairs_status').on(t.siteId, t.status, t.updatedAt, t.id),
    // Trigram index: finds a text anywhere in a name.
    index('repairs_search').using('gin', sql`${t.search} gin_trgm_ops`),
    index('repairs_asset').on(t.assetId),
    check('repairs_version', sql`${t.version} >= 1`),
  ],
);

const repairId = () =>
  uuid('repair_id')
    .notNull()
    .references(() => repairs.id);
const by = () =>
  text('by')
    .notNull()
    .references(() => users.id);

/** Plans are stored whole with their working and never edited: a new plan gets the next number. */
export const plans = pgTable(
  'plans',
  {
    id: uuid('id').primaryKey(),
    repairId: repairId(),
    number: integer('number').notNull(),
    siteId: uuid('site_id')
      .notNull()
      .references(() => sites.id),
    cardCode: text('card_code').notNull(),
    cardVersion: integer('card_version').notNull(),
    core: text('core').notNull(),
    body: jsonb('body').$type<Plan>().notNull(),
    summary: jsonb('summary').$type<PlanSummary>().notNull(),
    madeAt: moment('made_at').notNull(),
    by: by(),
  },
  (t) => [
    unique('plans_number').on(t.repairId, t.number),
    foreignKey({
      name: 'plans_card',
      columns: [t.siteId, t.cardCode, t.cardVersion],
      foreignColumns: [cards.siteId, cards.code, cards.version],
    }),
  ],
);

/** When the server received a record, by its own clock: the device's time is stored beside it. */
const receivedAt = () => moment('received_at').notNull();
const planId = () =>
  uuid('plan_id')
    .notNull()
    .references(() => plans.id);

export const readings = pgTable(
  'readings',
  {
    id: uuid('id').primaryKey(),
    repairId: repairId(),
    planId: planId(),
    stepId: text('step_id').notNull(),
    values: jsonb('values').$type<ReadingValues>().notNull(),
    passed: boolean('passed').notNull(),
    say: jsonb('say').$type<Message>().notNull(),
    takenAt: moment('taken_at').notNull(),
    receivedAt: receivedAt(),
    by: by(),
  },
  (t) => [
    index('readings_repair').on(t.repairId),
    index('readings_plan').on(t.planId, t.receivedAt, t.id),
  ],
);

export const mixes = pgTable(
  'mixes',
  {
    id: uuid('id').primaryKey(),
    repairId: repairId(),
    planId: planId(),
    batchNo: integer('batch_no').notNull(),
    /** Null where nothing is weighed: a whole kit, a cartridge, a roll. */
    aG: amount('a_g'),
    bG: amount('b_g'),
    deviationPct: amount('deviation_pct'),
    inTolerance: boolean('in_tolerance').notNull(),
    lot: text('lot').notNull(),
    /** The scale that sent both weights; null if one was typed, or nothing is weighed. */
    instrument: text('instrument'),
    startedAt: moment('started_at').notNull(),
    receivedAt: receivedAt(),
    by: by(),
  },
  (t) => [
    index('mixes_repair').on(t.repairId),
    index('mixes_plan').on(t.planId, t.receivedAt, t.id),
    check('mixes_grams', sql`${t.aG} > 0 and ${t.bG} > 0`),
  ],
);

export const mixEnd = pgEnum('mix_end', ['placed', 'binned']);

/** How a batch ended, and who said so: a separate row, because a batch's row is never changed. */
export const mixMarks = pgTable('mix_marks', {
  id: uuid('id').primaryKey(),
  mixId: uuid('mix_id')
    .notNull()
    .unique()
    .references(() => mixes.id),
  end: mixEnd('end').notNull(),
  at: moment('at').notNull(),
  receivedAt: receivedAt(),
  by: by(),
});

export const checks = pgTable(
  'checks',
  {
    id: uuid('id').primaryKey(),
    repairId: repairId(),
    planId: planId(),
    stepId: text('step_id').notNull(),
    /** The batch of the tick; null: the whole step. */
    batchNo: integer('batch_no'),
    done: boolean('done').notNull(),
    note: text('note').notNull(),
    at: moment('at').notNull(),
    receivedAt: receivedAt(),
    by: by(),
  },
  (t) => [
    index('checks_repair').on(t.repairId),
    index('checks_plan').on(t.planId, t.receivedAt, t.id),
  ],
);

/** Pictures, reduced in size: a step's reading refers to one. */
export const photos = pgTable(
  'photos',
  {
    id: uuid('id').primaryKey(),
    repairId: repairId(),
    planId: planId(),
    stepId: text('step_id').notNull(),
    mime: text('mime').notNull(),
    data: bytes('data').notNull(),
    takenAt: moment('taken_at').notNull(),
    receivedAt: receivedAt(),
    by: by(),
  },
  (t) => [
    index('photos_repair').on(t.repairId),
    check('photos_size', sql`octet_length(${t.data}) between 12 and 1048576`),
  ],
);

/** A sign-off names its person and is never edited, only superseded. */
export const signoffs = pgTable(
  'signoffs',
  {
    id: uuid('id').primaryKey(),
    repairId: repairId(),
    planId: planId(),
    verdict: signoffVerdict('verdict').notNull(),
    statement: text('statement').notNull(),
    name: text('name').notNull(),
    /** Why it was signed before the server had seen the end of the cure. */
    override: text('override'),
    at: moment('at').notNull(),
    receivedAt: receivedAt(),
    by: by(),
    supersedes: uuid('supersedes'),
  },
  (t) => [
    index('signoffs_repair').on(t.repairId, t.receivedAt),
    foreignKey({ columns: [t.supersedes], foreignColumns: [t.id] }),
  ],
);

export const reviews = pgTable(
  'reviews',
  {
    id: uuid('id').primaryKey(),
    repairId: repairId(),
    kind: reviewKind('kind').notNull(),
    dueOn: date('due_on').notNull(),
    doneAt: moment('done_at'),
  },
  (t) => [index('reviews_due').on(t.dueOn), index('reviews_repair').on(t.repairId, t.dueOn)],
);

/** Applied commands, by the id that their sender made: a repeated command is found here. */
export const commands = pgTable(
  'commands',
  {
    id: uuid('id').primaryKey(),
    type: text('type').notNull(),
    repairId: repairId(),
    by: by(),
    version: integer('version').notNull(),
    /** The number of the earlier plan that a record was kept with. */
    keptWith: integer('kept_with'),
    /** Hash of its content: the same id with other content is another command. Null for rows older than this column. */
    digest: text('digest'),
    at: moment('at').notNull(),
    receivedAt: moment('received_at').notNull().defaultNow(),
  },
  (t) => [index('commands_repair').on(t.repairId)],
);
