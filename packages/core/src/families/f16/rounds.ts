import { m } from '../../message/message';
import { mainSpec } from '../../methods/build';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import { rubberCrumb } from '../../mix/rubberCrumb';
import type { Work } from '../../work/work';
import type { MattingSurvey } from './survey';

export type W = Work<MattingSurvey>;

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function roundsOf(work: W) {
  const { survey, demand, card } = work;
  const { mix } = card;
  const main = work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'fill',
      title: m('Crumb'),
      areaMm2: 0,
      touches: [
        mixTouch(card),
        { name: 'rake', placing: work.trade.crumb.rakeShare },
        { name: 'trowel', placing: work.trade.crumb.trowelShare },
      ],
    }),
  );
  const crumb =
    mix.kind === 'crumb'
      ? rubberCrumb({
          volumeL: main.mixMl / 1000,
          bulkDensityKgL: mix.bulkDensityKgL,
          compaction: mix.compaction,
          binderPct: mix.binderPct,
          primerShare: mix.primerShare,
          wastePct: 0,
        })
      : null;
  const primerG = (crumb?.primerKg ?? 0) * 1000;
  // Uses the binder of the same set: no extra pack is needed.
  const prime = work.round(
    mainSpec(work, {
      id: 'prime',
      purpose: 'primer',
      title: m('Primer'),
      netMl: primerG / work.trade.crumb.binderGMl / (1 + card.wastePct / 100),
      areaMm2: 0,
      buildMm: 0.2,
      pieces: 0,
      unweighed: true,
      working: undefined,
      touches: [
        { name: 'mix', fixed: 1 },
        { name: 'prime', fixed: 5 + demand.prepMm2 / 1e6 },
      ],
      needed: null,
    }),
  );
  const ready = [notBefore(main, demand.needed)];
  return { work, prime, primerG, main, ready, survey, crumb, rounds: [prime, main] };
}
export type Rounds = ReturnType<typeof roundsOf>;
