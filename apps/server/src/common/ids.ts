import { v5 } from 'uuid';

/** Ids that sort by time: one maker for the whole server. */
export { v7 as uuidv7 } from 'uuid';

/** Names what a new plan took over from the one before: the same record has one id there. */
export const carriedId = (planId: string, recordId: string): string => v5(recordId, planId);
