import { coatRounds, isStruckFlush } from '../../methods/build';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import type { Work } from '../../work/work';
import type { RebuildSurvey } from './survey';

export type W = Work<RebuildSurvey>;

/** Whether the damage runs round an axis: it is shaped by a former or by machining. */
const isRound = ({ survey }: W) =>
  survey.damages.some((d) => d.shape === 'seat' || d.shape === 'bore');
export const isLining = (work: W) =>
  work.buildMm <= work.trade.rebuild.thinLiningMm && work.coats > 1;

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function roundsOf(work: W) {
  const { survey, site, card, demand } = work;
  const edge = card.layer.minEdgeMm;
  const { machined } = survey.parent;
  const formed = isRound(work) && !machined;
  const rounds = coatRounds(work, {
    touches: [
      mixTouch(card),
      { name: 'place', placing: 1 },
      ...(formed ? [{ name: 'close-former', fixed: work.trade.rebuild.closeMin }] : []),
    ],
  });
  const last = rounds[rounds.length - 1] as (typeof rounds)[number];
  const ready = [notBefore(last, demand.needed)];
  const grinds = !machined && !formed && !isStruckFlush(work);
  return {
    work,
    edge,
    survey,
    site,
    formed,
    last,
    ready,
    machined,
    card,
    grinds,
    demand,
    rounds,
  };
}
export type Rounds = ReturnType<typeof roundsOf>;
