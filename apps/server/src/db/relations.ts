import { relations } from 'drizzle-orm';
import { users } from './people';
import { checks, mixes, mixMarks, plans, readings, repairs, reviews, signoffs } from './repairs';

/** Relations, so that one query reads a whole repair. */
export const repairRelations = relations(repairs, ({ one, many }) => ({
  plan: one(plans, { fields: [repairs.planId], references: [plans.id] }),
  signoffs: many(signoffs),
  reviews: many(reviews),
}));
export const planRelations = relations(plans, ({ many }) => ({
  readings: many(readings),
  mixes: many(mixes),
  checks: many(checks),
}));
export const readingRelations = relations(readings, ({ one }) => ({
  plan: one(plans, { fields: [readings.planId], references: [plans.id] }),
  person: one(users, { fields: [readings.by], references: [users.id] }),
}));
export const mixRelations = relations(mixes, ({ one }) => ({
  plan: one(plans, { fields: [mixes.planId], references: [plans.id] }),
  person: one(users, { fields: [mixes.by], references: [users.id] }),
  mark: one(mixMarks, { fields: [mixes.id], references: [mixMarks.mixId] }),
}));
export const checkRelations = relations(checks, ({ one }) => ({
  plan: one(plans, { fields: [checks.planId], references: [plans.id] }),
  person: one(users, { fields: [checks.by], references: [users.id] }),
}));
export const signoffRelations = relations(signoffs, ({ one }) => ({
  repair: one(repairs, { fields: [signoffs.repairId], references: [repairs.id] }),
}));
export const reviewRelations = relations(reviews, ({ one }) => ({
  repair: one(repairs, { fields: [reviews.repairId], references: [repairs.id] }),
}));
