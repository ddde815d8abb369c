import { m, type Message } from '../../message/message';
import { coatRounds, mainSpec } from '../../methods/build';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import { rollMl, tapeMl } from '../../methods/wrap';
import type { Work } from '../../work/work';
import type { PipeLeakSurvey } from './survey';

export type W = Work<PipeLeakSurvey>;

export const isWrap = ({ wrap }: W) => wrap !== null;
/** Whether a plug is placed before the wrap. */
const plugged = (work: W) => isWrap(work) && work.schools.plug !== 'wrap';
const extentOf = (work: W) =>
  isWrap(work) ? (work.demand.wrap?.extentMm ?? work.site.extentMm) : work.site.extentMm * 2;

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function roundsOf(work: W) {
  const { survey, demand, card } = work;
  const places = survey.damages.length;
  const second = plugged(work)
    ? work.second({ purpose: 'plug', wetted: true, longestMm: demand.longestMm, under: card })
    : null;
  const plug = second
    ? work.round(
        mainSpec(work, {
          id: 'plug',
          purpose: 'plug',
          title: m('Plug'),
          ...second,
          areaMm2: 0,
          touches: [mixTouch(second.card), { name: 'plug', placing: 1, spread: places }],
          needed: null,
        }),
      )
    : null;
  const wrap = isWrap(work)
    ? work.round(
        mainSpec(work, {
          id: 'main',
          purpose: 'wrap',
          title: m('Wrap'),
          netMl: tapeMl(work) / (1 + card.wastePct / 100),
          areaMm2: 0,
          pieces: work.wrap?.metres ?? 0,
          packIds: work.wrap?.packIds,
          mostMl: rollMl(work),
          touches: [mixTouch(card), { name: 'place', placing: 1 }],
          working: undefined,
        }),
      )
    : null;
  const main = wrap ? [wrap] : coatRounds(work);
  const last = main[main.length - 1] as NonNullable<typeof wrap>;
  const ready = [notBefore(last, demand.needed)];
  const extent = extentOf(work);
  const hands: Message = m('Write the time of each roll on the pipe.');
  return {
    work,
    extent,
    survey,
    card,
    plug,
    places,
    wrap,
    hands,
    main,
    last,
    ready,
    rounds: [...(plug ? [plug] : []), ...main],
  };
}
export type Rounds = ReturnType<typeof roundsOf>;
