import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { m } from '../../message/message';
import { mainSpec } from '../../methods/build';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import type { Work } from '../../work/work';
import type { SumpSurvey } from './survey';

export type W = Work<SumpSurvey>;

export const fittings = ({ survey }: W) =>
  survey.damages.filter((d) => d.shape === 'fitting').length;
const patches = ({ survey }: W) => survey.damages.filter((d) => d.shape === 'patch').length;

export const clothMm2 = ({ survey, trade: { sump } }: W) =>
  survey.damages.reduce(
    (s, d) =>
      s +
      (d.shape === 'patch'
        ? (d.lengthMm + 2 * sump.lapMm) * (d.widthMm + 2 * sump.lapMm) * sump.cloths
        : 0),
    0,
  );
export const clothLines = (work: W) => [
  line({
    symbol: 'A',
    label: t('cloth'),
    expression: t('both sides grown by {n} mm, {cloths} cloths', {
      n: 2 * work.trade.sump.lapMm,
      cloths: work.trade.sump.cloths,
    }),
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
              { name: 'carry', placing: 0.5, fixed: work.trade.sump.carryMin },
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
            touches: [
              mixTouch(work.card),
              { name: 'bed', placing: 1, fixed: work.trade.sump.setMin },
            ],
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
