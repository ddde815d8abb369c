import { LEAST_NOTE } from '@kelmot/contract';

/** A typed statement or reason, trimmed; null if it is too short. */
export const trimmedReason = (text: string): string | null =>
  text.trim().length < LEAST_NOTE ? null : text.trim();
