import type { SystemCard } from '@kelmot/core';

/** Minutes at 5, 10, 20 and 30 °C: the temperatures of the demo cards' times. */
export const at = (t5: number, t10: number, t20: number, t30: number) => [
  { tempC: 5, minutes: t5 },
  { tempC: 10, minutes: t10 },
  { tempC: 20, minutes: t20 },
  { tempC: 30, minutes: t30 },
];

type Milestones = SystemCard['cure']['milestones'];

/** How a chemistry slows in the cold: its times at 5, 10, 20 and 30 °C relative to those at 20 °C. */
const SPEEDS = {
  epoxy: [3.4, 2.2, 1, 0.53],
  fast: [2.4, 1.75, 1, 0.55],
  cement: [2.5, 1.8, 1, 0.68],
  rubber: [3.0, 2.05, 1, 0.6],
  urethane: [2.2, 1.6, 1, 0.62],
  solvent: [2.0, 1.5, 1, 0.7],
  acrylate: [1.9, 1.45, 1, 0.75],
} as const;

/** Milestones from their minutes at 20 °C and the chemistry, at the four temperatures. */
export function cured(
  at20: Partial<Record<keyof Milestones, number>>,
  speed: keyof typeof SPEEDS,
): Milestones {
  const [t5, t10, t20, t30] = SPEEDS[speed];
  const round = (x: number) => Number(x.toPrecision(3));
  return Object.fromEntries(
    Object.entries(at20).map(([id, minutes]) => [
      id,
      at(round(minutes * t5), round(minutes * t10), round(minutes * t20), round(minutes * t30)),
    ]),
  );
}
