import { rowOf } from '@kelmot/contract';
import { makePlan, weatherFor } from '@kelmot/core';
import { applyOutbox } from './applyOutbox';

/** Applies the outbox to the server's answers, plans what was chosen here, and makes list rows. */
export const planning = { applyOutbox, makePlan, rowOf, weatherFor };
export type Planning = typeof planning;
