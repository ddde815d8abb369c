import { t } from '../../text/text';
import { formatFigure, line } from '../../calc/calc';
import { m } from '../../message/message';
import { filmRound } from '../../methods/film';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import type { Round } from '../../work/round';
import { coats, floorMm2, isPowder, type W } from './coats';

/** How far the etch cleaner is diluted: parts of water to one part of cleaner, by volume. */
export const ETCH_PARTS = 10;
/** Width and depth to which a crack in the floor is cut open before it is filled, mm. */
export const CHASE = { widthMm: 5, depthMm: 15 };
const SEAL_COATS = 2;

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function roundsOf(work: W) {
  const { survey, demand, card } = work;
  const cracksMm = survey.floor.cracksMm ?? 0;
  const crackCard =
    cracksMm > 0 ? work.second({ purpose: 'crack', wetted: false, under: card }) : null;
  const crack = crackCard
    ? work.round({
        id: 'crack',
        purpose: 'crack',
        title: m('Cracks first'),
        ...crackCard,
        netMl: (cracksMm * CHASE.widthMm * CHASE.depthMm) / 1000,
        buildMm: CHASE.depthMm,
        paths: ['floor.cracksMm'],
        working: () => [
          line({
            symbol: 'V',
            label: t('cracks'),
            expression: `${formatFigure(cracksMm)}·${CHASE.widthMm}·${CHASE.depthMm}`,
            value: (cracksMm * CHASE.widthMm * CHASE.depthMm) / 1000,
            unit: 'ml',
            source: 'survey',
          }),
        ],
        touches: [mixTouch(crackCard.card), { name: 'crack-fill', placing: 1 }],
        needed: null,
      })
    : null;
  const rounds = coats(work);
  const last = rounds[rounds.length - 1] as Round;
  const seals = isPowder(work)
    ? Array.from({ length: SEAL_COATS }, (_, i) =>
        filmRound(work, {
          id: `seal-${i + 1}`,
          purpose: 'seal',
          title: m('Sealer, coat {n}', { n: i + 1 }),
          areaMm2: floorMm2(work),
          touch: 'seal',
          wetted: true,
          // Applied over the mortar once that is dry.
          need: { damp: 'dry' },
          needed: i === SEAL_COATS - 1 ? demand.needed : null,
        }),
      )
    : [];
  const end = seals[seals.length - 1] ?? last;
  const ready = [notBefore(end, demand.needed)];
  return {
    work,
    survey,
    crack,
    coatRounds: rounds,
    last,
    seals,
    end,
    ready,

    rounds: [...(crack ? [crack] : []), ...rounds, ...seals],
  };
}
export type Rounds = ReturnType<typeof roundsOf>;
