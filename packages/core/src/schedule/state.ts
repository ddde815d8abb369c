/** The state of placed material: wet, too late to place, curing, set. */
export const CURE_STATES = ['wet', 'late', 'curing', 'set'] as const;
export type CureState = (typeof CURE_STATES)[number];
