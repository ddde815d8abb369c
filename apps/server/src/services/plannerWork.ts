import { leftoverUses, makePlan } from '@kelmot/core';

/** Answers once everything is read. */
export const ready = () => true;

/** Runs core in a worker thread. */
export const plan = (ask: Parameters<typeof makePlan>) => makePlan(...ask);
export const leftovers = (ask: Parameters<typeof leftoverUses>) => leftoverUses(...ask);
