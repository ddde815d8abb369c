/** How far a material has come on its way: wet and placed, past placing, curing, set. */
export const CURE_STATES = ['wet', 'late', 'curing', 'set'] as const;
export type CureState = (typeof CURE_STATES)[number];
