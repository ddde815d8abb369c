import { SECOND_SIGNS, USUAL_SITE, type Card, type SiteSettings } from '@kelmot/core';
import { sql } from 'drizzle-orm';
import {
  check,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import { amount, moment } from './columns';

export const sites = pgTable(
  'sites',
  {
    id: uuid('id').primaryKey(),
    name: text('name').notNull().unique(),
    currency: text('currency').notNull(),
    vesselMl: amount('vessel_ml').notNull(),
    mortarVesselMl: amount('mortar_vessel_ml').notNull().default(USUAL_SITE.mortarVesselMl),
    vesselFill: amount('vessel_fill').notNull(),
    useFraction: amount('use_fraction').notNull(),
    overfillPct: amount('overfill_pct').notNull(),
    machiningMm: amount('machining_mm').notNull(),
    extentMm: amount('extent_mm').notNull(),
    workingDepthMm: amount('working_depth_mm').notNull().default(USUAL_SITE.workingDepthMm),
    labourPerHour: amount('labour_per_hour').notNull(),
    clearanceMarginMm: amount('clearance_margin_mm')
      .notNull()
      .default(USUAL_SITE.clearanceMarginMm),
    tempSdC: amount('temp_sd_c').notNull().default(USUAL_SITE.tempSdC),
    swingIndoorsC: amount('swing_indoors_c').notNull().default(USUAL_SITE.swingIndoorsC),
    swingOutdoorsC: amount('swing_outdoors_c').notNull().default(USUAL_SITE.swingOutdoorsC),
    gateMinutes: amount('gate_minutes').notNull().default(USUAL_SITE.gateMinutes),
    bareMinutes: amount('bare_minutes').notNull().default(USUAL_SITE.bareMinutes),
    crew: integer('crew').notNull().default(USUAL_SITE.crew),
    leaveMinutes: amount('leave_minutes').notNull().default(USUAL_SITE.leaveMinutes),
    leaveCost: amount('leave_cost').notNull().default(USUAL_SITE.leaveCost),
    termMinutes: amount('term_minutes').notNull().default(USUAL_SITE.termMinutes),
    heaterPerHour: amount('heater_per_hour').notNull().default(USUAL_SITE.heaterPerHour),
    shift: jsonb('shift').$type<SiteSettings['shift']>(),
    zone: text('zone').notNull().default(USUAL_SITE.zone),
    secondSigns: text('second_signs', { enum: SECOND_SIGNS })
      .notNull()
      .default(USUAL_SITE.secondSigns),
  },
  (t) => [
    check(
      'sites_shares',
      sql`${t.vesselFill} > 0 and ${t.vesselFill} <= 1 and ${t.useFraction} > 0 and ${t.useFraction} <= 1`,
    ),
  ],
);

export const assets = pgTable(
  'assets',
  {
    id: uuid('id').primaryKey(),
    siteId: uuid('site_id')
      .notNull()
      .references(() => sites.id),
    tag: text('tag').notNull(),
    name: text('name').notNull(),
    position: text('position').notNull(),
    kind: text('kind').notNull(),
    material: text('material'),
    medium: text('medium'),
    mediumC: amount('medium_c'),
    ph: amount('ph'),
    wear: text('wear'),
    costPerHour: amount('cost_per_hour').notNull(),
  },
  (t) => [
    unique('assets_tag').on(t.siteId, t.tag),
    check('assets_cost', sql`${t.costPerHour} >= 0`),
  ],
);

/** A card never changes: an edit makes the next version, so that old plans keep theirs. */
export const cards = pgTable(
  'cards',
  {
    siteId: uuid('site_id')
      .notNull()
      .references(() => sites.id),
    code: text('code').notNull(),
    version: integer('version').notNull(),
    role: text('role').notNull(),
    body: jsonb('body').$type<Card>().notNull(),
    createdAt: moment('created_at').notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.siteId, t.code, t.version] }),
    check('cards_version', sql`${t.version} >= 1`),
  ],
);
