import { rowOf } from '@kelmot/contract';
import { makePlan, weatherFor } from '@kelmot/core';
import { layOver } from './layOver';

/** How what waits on this device is laid over what the server said, planned where that was chosen here, and listed. */
export const planning = { layOver, makePlan, rowOf, weatherFor };
export type Planning = typeof planning;
