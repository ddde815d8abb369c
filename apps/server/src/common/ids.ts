import { v5 } from 'uuid';

/** Ids that sort by time; the only source of ids in the server. */
export { v7 as uuidv7 } from 'uuid';

/** The id of a record that a new plan took over from the earlier plan: the same input gives the same id. */
export const carriedId = (planId: string, recordId: string): string => v5(recordId, planId);
