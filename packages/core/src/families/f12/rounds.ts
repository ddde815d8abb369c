import { coatRounds } from '../../methods/build';
import { setsInWater } from '../../methods/gate';
import { notBefore } from '../../methods/step';
import type { Round } from '../../work/round';
import type { Work } from '../../work/work';
import type { TankSurvey } from './survey';

export type W = Work<TankSurvey>;

export const dissolved = ({ card }: W) => card.mix.kind === 'dissolved';

export const holes = ({ survey }: W) => survey.damages.filter((d) => d.shape === 'hole').length;
const reach = ({ survey, site, trade }: W) =>
  Math.max(site.extentMm, ...survey.damages.map((d) => d.wallMm * trade.tank.lapWalls));

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function roundsOf(work: W) {
  const { survey, demand } = work;
  const rounds = coatRounds(work, { areaMm2: 0, overfillPct: 0 });
  const last = rounds[rounds.length - 1] as Round;
  const ready = [notBefore(last, demand.needed)];
  // A material that sets under water needs no draining if that was chosen.
  const wet = setsInWater(work) && work.schools.wet === 'wet';
  const lap = reach(work);
  return { work, wet, survey, lap, last, ready, rounds };
}
export type Rounds = ReturnType<typeof roundsOf>;
