import { m } from '../../message/message';
import { isStruckFlush, mainSpec, overfill } from '../../methods/build';
import { isMortar, isSealant } from '../../methods/crack';
import { aggregateFor, mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import type { Round } from '../../work/round';
import type { Work } from '../../work/work';
import type { FloorCrackSurvey } from './survey';

export type W = Work<FloorCrackSurvey>;

function mortarRounds(work: W): Round[] {
  const { card, coats } = work;
  return Array.from({ length: coats }, (_, i) =>
    work.round(
      mainSpec(work, {
        id: coats === 1 ? 'main' : `lift-${i + 1}`,
        purpose: 'fill',
        title: coats === 1 ? m('Mortar') : m('Lift {n} of {coats}', { n: i + 1, coats }),
        netMl: work.netMl / coats,
        areaMm2: 0,
        buildMm: work.coatMm,
        aggregatePct: aggregateFor(card, work.buildMm),
        touches: [
          mixTouch(card),
          ...(i === 0 ? [{ name: 'scrub', placing: work.trade.joint.scrubShare }] : []),
          { name: 'under', placing: work.trade.joint.ramShare },
          ...(i === coats - 1 ? [{ name: 'strike', placing: work.trade.joint.strikeShare }] : []),
        ],
        needed: i === coats - 1 ? work.demand.needed : null,
      }),
    ),
  );
}

export const isGunned = (work: W) => work.card.mix.kind === 'cartridge' || isSealant(work);
/** Whether the resin is scraped flush with the surface while it is soft. */
export const isScraped = (work: W) => isStruckFlush(work) && !isSealant(work);

const resinRound = (work: W): Round =>
  work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'fill',
      title: isSealant(work) ? m('Bead') : m('Resin'),
      areaMm2: 0,
      overfillPct: isSealant(work) ? 0 : overfill(work),
      touches: [
        mixTouch(work.card),
        { name: isGunned(work) ? 'gun' : 'pour', placing: 1 },
        ...(isSealant(work) ? [{ name: 'tool', placing: work.trade.joint.scrapeShare }] : []),
        ...(isScraped(work) ? [{ name: 'scrape', placing: work.trade.joint.scrapeShare }] : []),
      ],
    }),
  );

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function roundsOf(work: W) {
  const { survey, demand, card } = work;
  const rounds = isMortar(work) ? mortarRounds(work) : [resinRound(work)];
  const last = rounds[rounds.length - 1] as Round;
  const ready = [notBefore(last, demand.needed)];
  const grinds = !isStruckFlush(work) && !isMortar(work) && !isSealant(work);
  return { work, card, survey, last, grinds, ready, rounds };
}
export type Rounds = ReturnType<typeof roundsOf>;
