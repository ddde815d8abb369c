import { gritLadder } from '../../film/gritLadder';
import { m } from '../../message/message';
import { coatRounds, isStruckFlush, mainSpec } from '../../methods/build';
import { filmRound, wetUmOf } from '../../methods/film';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import type { Round } from '../../work/round';
import type { Work } from '../../work/work';
import type { PanelSurvey } from './survey';

type W = Work<PanelSurvey>;

export const BLOCK_GRIT = 'P240';

/** Whether the material is a paint without a filler, which is applied in thin coats. */
export const paints = ({ card }: W) => card.layer.volumeSolidsPct < 100;
const areaMm2 = ({ survey }: W) => survey.damages.reduce((s, d) => s + d.lengthMm * d.widthMm, 0);
/** The papers for the topcoat, from coarse to fine. */
export const ladder = ({ trade: { panel } }: W) =>
  gritLadder({ from: panel.gritFrom, to: panel.gritTo, maxStep: panel.gritStep }).grits;
export const grits = (work: W) =>
  ladder(work)
    .map((g) => `P${g}`)
    .join(', ');

/** Thin coats of a paint, each by its own dry film and the card’s volume solids. */
function topRounds(work: W): Round[] {
  const need = { damp: 'dry' } as const;
  const card = work.second({ purpose: 'topcoat', wetted: true, ...need }).card;
  const most = card.layer.maxMm[work.survey.surface.slope] * 1000;
  const n = Math.max(card.layer.leastCoats, Math.ceil(work.trade.panel.topUm / most - 1e-9));
  return Array.from({ length: n }, (_, i) =>
    filmRound(work, {
      id: `top-${i + 1}`,
      purpose: 'topcoat',
      title: m('Topcoat {no} of {n}', { no: i + 1, n }),
      areaMm2: areaMm2(work),
      touch: 'topcoat',
      wetted: true,
      // Applied over the filler after it is sanded.
      need,
      dftUm: work.trade.panel.topUm / n,
      needed: i === n - 1 ? work.demand.needed : null,
    }),
  );
}

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function roundsOf(work: W) {
  const { survey, demand, card } = work;
  const solids = card.layer.volumeSolidsPct / 100;
  const fill = paints(work)
    ? coatRounds(work, { netMl: work.netMl / work.coats / solids, areaMm2: 0, overfillPct: 0 })
    : [
        work.round(
          mainSpec(work, {
            id: 'main',
            purpose: 'paste',
            title: m('Film paste'),
            areaMm2: 0,
            overfillPct: isStruckFlush(work) ? 0 : work.site.overfillPct,
            touches: [
              mixTouch(card),
              { name: 'level-fill', placing: 1 },
              { name: 'demask', fixed: 1 },
            ],
            needed: null,
          }),
        ),
      ];
  const main = fill[0] as Round;
  const tops = paints(work) ? [] : topRounds(work);
  const end = tops[tops.length - 1] ?? (fill[fill.length - 1] as Round);
  const ready = [notBefore(end, demand.needed)];
  const wetUm = tops[0] ? wetUmOf(tops[0]) : (main.buildMm * 1000) / solids;
  return { work, fill, wetUm, main, survey, tops, end, card, ready, rounds: [...fill, ...tops] };
}
export type Rounds = ReturnType<typeof roundsOf>;
