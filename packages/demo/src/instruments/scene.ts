/** How a simulated instrument can be told to misbehave. */
export const MISBEHAVIOURS = ['drift', 'drop-out', 'stuck', 'wrong-unit'] as const;
export type Misbehaviour = (typeof MISBEHAVIOURS)[number];

/** What is really there to be measured, base units. */
export interface Scene {
  /** What each channel would show; of a scale what is poured in turn, tared in between. */
  truth: readonly number[];
  seed: number;
  misbehaves: Misbehaviour | null;
}
