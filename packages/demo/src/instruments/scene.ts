/** The ways a simulated instrument can misbehave. */
export const MISBEHAVIOURS = ['drift', 'drop-out', 'stuck', 'wrong-unit'] as const;
export type Misbehaviour = (typeof MISBEHAVIOURS)[number];

/** The real values to measure, base units. */
export interface Scene {
  /** The value of each channel; for a scale, each pour in turn, with a tare between. */
  truth: readonly number[];
  seed: number;
  misbehaves: Misbehaviour | null;
}
