import { t } from '../../text/text';
import { formatFigure, line } from '../../calc/calc';
import { m } from '../../message/message';
import { filmRound } from '../../methods/film';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import type { Round } from '../../work/round';
import { coats, floorMm2, isPowder, type W } from './coats';

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
        netMl: (cracksMm * work.trade.floor.chaseWidthMm * work.trade.floor.chaseDepthMm) / 1000,
        buildMm: work.trade.floor.chaseDepthMm,
        paths: ['floor.cracksMm'],
        working: () => [
          line({
            symbol: 'V',
            label: t('cracks'),
            expression: `${formatFigure(cracksMm)}·${work.trade.floor.chaseWidthMm}·${work.trade.floor.chaseDepthMm}`,
            value:
              (cracksMm * work.trade.floor.chaseWidthMm * work.trade.floor.chaseDepthMm) / 1000,
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
    ? Array.from({ length: work.trade.floor.sealCoats }, (_, i) =>
        filmRound(work, {
          id: `seal-${i + 1}`,
          purpose: 'seal',
          title: m('Sealer, coat {n}', { n: i + 1 }),
          areaMm2: floorMm2(work),
          touch: 'seal',
          wetted: true,
          // Applied over the mortar once that is dry.
          need: { damp: 'dry' },
          needed: i === work.trade.floor.sealCoats - 1 ? demand.needed : null,
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
