import { leftoverUses, makePlan } from '@kelmot/core';

/** Answers once everything is read. */
export const ready = () => true;

/** What is worked out beside the server’s own thread: the very functions of core. */
export const plan = (ask: Parameters<typeof makePlan>) => makePlan(...ask);
export const leftovers = (ask: Parameters<typeof leftoverUses>) => leftoverUses(...ask);
