import { LEAST_NOTE } from '@kelmot/contract';

/** What was typed as a statement or a reason, without its ends; null where it is too short for one. */
export const reasonOf = (text: string): string | null =>
  text.trim().length < LEAST_NOTE ? null : text.trim();
