import { m } from '../../message/message';
import { mainSpec, overfill } from '../../methods/build';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import type { Work } from '../../work/work';
import type { FlangeSurvey } from './survey';

/** Fractions of the placing time on the card: spreading a thin ring is faster than filling a cavity. */
const SPREAD = { former: 0.1, metal: 0.25 };
/**
 * Minutes to pull the tape and close the flange square, for each stud, and to trim the excess that is pressed out.
 */
const CLOSE_MIN = 3;
const STUD_MIN = 0.5;
const TRIM_MIN = 3;

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
        { name: 'wet-former', placing: SPREAD.former },
        { name: 'wet-metal', placing: SPREAD.metal },
        { name: 'close', fixed: CLOSE_MIN + STUD_MIN * bolts + TRIM_MIN },
      ],
    }),
  );
  const ready = [notBefore(main, demand.needed)];
  return { work, site, bolts, main, ready, demand, rounds: [main] };
}
export type Rounds = ReturnType<typeof roundsOf>;
