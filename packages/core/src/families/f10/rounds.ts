import { m } from '../../message/message';
import { mainSpec } from '../../methods/build';
import { isSealant } from '../../methods/crack';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import type { Work } from '../../work/work';
import type { YardCrackSurvey } from './survey';

export type W = Work<YardCrackSurvey>;

export const packed = (work: W) => work.schools.sand === 'none';

export const shallow = ({ survey, card }: W) =>
  survey.damages.filter((d) => d.depthMm < card.layer.minMm);

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function roundsOf(work: W) {
  const { survey, demand, card } = work;
  const bead = isSealant(work);
  const place = bead ? ('gun' as const) : ('pack' as const);
  const main = work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'fill',
      title: bead ? m('Bead') : m('Fill'),
      areaMm2: 0,
      touches: [
        mixTouch(card),
        { name: place, placing: packed(work) ? work.trade.bedding.packedTimes : 1 },
        {
          name: 'strike',
          placing: bead ? work.trade.bedding.strikeShare / 2 : work.trade.bedding.strikeShare,
        },
      ],
    }),
  );
  const ready = [notBefore(main, demand.needed)];
  const few = shallow(work).length;
  return { work, few, bead, card, survey, main, place, ready, rounds: [main] };
}
export type Rounds = ReturnType<typeof roundsOf>;
