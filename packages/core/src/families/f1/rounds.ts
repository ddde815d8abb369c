import { m } from '../../message/message';
import { mainSpec, overfill } from '../../methods/build';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import type { Work } from '../../work/work';
import type { FlangeSurvey } from './survey';

export type W = Work<FlangeSurvey>;

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function roundsOf(work: W) {
  const { survey, demand, site } = work;
  const { bolts } = survey.joint;
  const main = work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'build',
      title: m('The face'),
      whole: true,
      overfillPct: overfill(work) || site.overfillPct,
      touches: [
        mixTouch(work.card),
        { name: 'wet-former', placing: work.trade.flange.spreadFormer },
        { name: 'wet-metal', placing: work.trade.flange.spreadMetal },
        {
          name: 'close',
          fixed:
            work.trade.flange.closeMin +
            work.trade.flange.studMin * bolts +
            work.trade.flange.trimMin,
        },
      ],
    }),
  );
  const ready = [notBefore(main, demand.needed)];
  return { work, site, bolts, main, ready, demand, rounds: [main] };
}
export type Rounds = ReturnType<typeof roundsOf>;
