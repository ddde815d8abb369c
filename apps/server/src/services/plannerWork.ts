import { leftoverUses, makePlan } from '@kelmot/core';

/** Resolves once core is loaded. */
export const ready = () => true;

/** Runs core in a worker thread. */
export const plan = (ask: Parameters<typeof makePlan>) => makePlan(...ask);
export const leftovers = (ask: Parameters<typeof leftoverUses>) => leftoverUses(...ask);
