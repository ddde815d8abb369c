import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { m } from '../../message/message';
import { mainSpec } from '../../methods/build';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import type { Work } from '../../work/work';
import type { SumpSurvey } from './survey';

export type W = Work<SumpSurvey>;

/** Number of glass cloths in a patch, wetted out one on top of the other. */
export const CLOTHS = 2;
/** Overlap beyond the damage, mm. */
export const LAP_MM = 50;
/** Minutes in addition to placing: to carry a patch and slide it on, and to set a fitting and twist it. */
const CARRY_MIN = 2;
const SET_MIN = 2;

export const fittings = ({ survey }: W) =>
  survey.damages.filter((d) => d.shape === 'fitting').length;
const patches = ({ survey }: W) => survey.damages.filter((d) => d.shape === 'patch').length;

export const clothMm2 = ({ survey }: W) =>
  survey.damages.reduce(
    (s, d) =>
      s + (d.shape === 'patch' ? (d.lengthMm + 2 * LAP_MM) * (d.widthMm + 2 * LAP_MM) * CLOTHS : 0),
    0,
  );
export const clothLines = (work: W) => [
  line({
    symbol: 'A',
    label: t('cloth'),
    expression: t('both sides grown by {n} mm, {cloths} cloths', { n: 2 * LAP_MM, cloths: CLOTHS }),
    value: clothMm2(work),
    unit: 'mm²',
  }),
];

/** Fittings and patches are separate rounds, so that each batch is placed within its own working life. */
function twoRounds(work: W) {
  const ml = (shape: string) =>
    work.bodies.reduce((s, b, i) => s + (work.survey.damages[i]?.shape === shape ? b.netMl : 0), 0);
  const patch =
    patches(work) > 0
      ? work.round(
          mainSpec(work, {
            id: 'patch',
            purpose: 'patch',
            title: m('Glass patch'),
            netMl: ml('patch'),
            areaMm2: 0,
            touches: [
              mixTouch(work.card),
              { name: 'wet-out', placing: 0.5 },
              { name: 'carry', placing: 0.5, fixed: CARRY_MIN },
            ],
          }),
        )
      : null;
  const bed =
    fittings(work) > 0
      ? work.round(
          mainSpec(work, {
            id: 'main',
            purpose: 'bed',
            title: m('Bed'),
            netMl: ml('fitting'),
            areaMm2: 0,
            touches: [mixTouch(work.card), { name: 'bed', placing: 1, fixed: SET_MIN }],
          }),
        )
      : null;
  return { patch, bed };
}

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function roundsOf(work: W) {
  const { demand } = work;
  const { patch, bed } = twoRounds(work);
  const all = [patch, bed].filter((r) => r !== null);
  const last = all[all.length - 1] as NonNullable<typeof bed>;
  const ready = all.map((r) => notBefore(r, demand.needed));
  return { work, patch, bed, last, ready, rounds: all };
}
export type Rounds = ReturnType<typeof roundsOf>;
