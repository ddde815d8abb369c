/** Ids that sort by time: one maker for the whole server. */
export { v7 as uuidv7 } from 'uuid';
