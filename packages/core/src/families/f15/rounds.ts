import { uvPasses } from '../../film/uvPasses';
import { m } from '../../message/message';
import { mainSpec } from '../../methods/build';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import type { Work } from '../../work/work';
import type { BoardSurvey } from './survey';

type W = Work<BoardSurvey>;

export const pins = ({ survey }: W) => survey.damages.reduce((s, d) => s + d.pins, 0);
/** Number and duration of the lamp passes for each burned area; null if the resin does not cure by light. */
const lamps = ({ card, survey }: W) => {
  const { mix } = card;
  if (mix.kind !== 'light-cured') return null;
  return survey.damages.map((d) =>
    uvPasses({
      depthMm: d.depthMm,
      depthPerPassMm: mix.depthPerPassMm,
      doseJcm2: mix.doseJcm2,
      irradianceWcm2: survey.board.lampWcm2,
      filler: mix.filler,
    }),
  );
};

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function roundsOf(work: W) {
  const { survey, demand } = work;
  const burns = survey.damages.length;
  const lamp = lamps(work);
  const passes = lamp?.reduce((s, l) => s + l.passes, 0) ?? burns;
  const seconds = lamp?.reduce((s, l) => s + l.totalSeconds, 0) ?? 0;
  const each = lamp?.[0]?.secondsPerPass ?? 0;
  const main = work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'fill',
      title: m('Board resin'),
      areaMm2: 0,
      overfillPct: 0,
      touches: [
        mixTouch(work.card),
        { name: 'passes', placing: 1, spread: seconds / 60 + passes * work.trade.board.lampSetMin },
      ],
    }),
  );
  const ready = [notBefore(main, demand.needed)];
  return { work, survey, burns, main, lamp, passes, each, ready, demand, seconds, rounds: [main] };
}
export type Rounds = ReturnType<typeof roundsOf>;
