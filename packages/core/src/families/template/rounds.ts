import { m } from '../../message/message';
import { mainSpec } from '../../methods/build';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import type { Work } from '../../work/work';
import type { StairSurvey } from './survey';

type W = Work<StairSurvey>;

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function roundsOf(work: W) {
  const main = work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'fill',
      title: m('Nosing'),
      netMl: work.netMl,
      areaMm2: work.areaMm2,
      touches: [mixTouch(work.card), { name: 'fill-nosing', placing: 1 }],
    }),
  );
  const ready = [notBefore(main, work.demand.needed)];
  return { work, main, ready, rounds: [main] };
}
export type Rounds = ReturnType<typeof roundsOf>;
