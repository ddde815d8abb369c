import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { m } from '../../message/message';
import { mainSpec } from '../../methods/build';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import { tapeMl } from '../../methods/wrap';
import type { Round } from '../../work/round';
import type { Work } from '../../work/work';
import type { PipeWrapSurvey } from './survey';

export type W = Work<PipeWrapSurvey>;

const carbon = ({ card, trade }: W) => (card.laminate?.hoopModulusMPa ?? 0) > trade.wrap.carbonMpa;
const design = ({ wrap }: W) => (wrap?.design?.ok ? wrap.design : null);
/**
 * Whether the damage is a hole, which is plugged before laminating. A thinned wall is filled to the outside diameter
 * instead.
 */
export const holed = ({ survey }: W) => survey.damages[0]?.shape === 'hole';

const resinOf = (work: W): number => tapeMl(work) * (work.card.tape?.resinShare ?? 1);
/** Area of the pipe that the wrap covers, mm². */
const wetMm2Of = ({ wrap, survey }: W): number =>
  (wrap?.lengthsMm[0] ?? 0) * Math.PI * (survey.damages[0]?.outsideDiameterMm ?? 0);

/**
 * The round that fills a thinned wall to the outside diameter of the pipe, or plugs a hole; null if the wrap covers
 * the hole alone.
 */
function fairRound(work: W): Round | null {
  if (holed(work) && work.schools.plug === 'wrap') return null;
  const purpose = holed(work) ? 'plug' : 'fair';
  const fairing = work.second({ purpose, wetted: holed(work), under: work.card });
  return (
    fairing &&
    work.round(
      mainSpec(work, {
        id: purpose,
        purpose,
        title: holed(work) ? m('Plug') : m('Fairing'),
        ...fairing,
        areaMm2: 0,
        touches: [mixTouch(fairing.card), { name: 'fair', placing: 1 }],
        needed: null,
      }),
    )
  );
}

const primeRound = (work: W): Round =>
  work.round(
    mainSpec(work, {
      id: 'prime',
      purpose: 'primer',
      title: m('Prime'),
      netMl: (wetMm2Of(work) * work.trade.wrap.primeMm) / 1000,
      areaMm2: 0,
      pieces: 0,
      buildMm: work.trade.wrap.primeMm,
      working: undefined,
      touches: [mixTouch(work.card), { name: 'prime', placing: work.trade.wrap.compactShare }],
      needed: null,
    }),
  );

/** The glass ply that separates carbon from the metal; null for other fibres. */
function isolationRound(work: W): Round | null {
  if (!carbon(work)) return null;
  const glass = work.second({ purpose: 'isolation-ply', wetted: false, under: work.card });
  if (!glass) return null;
  const { tape } = glass.card;
  const wetMm2 = wetMm2Of(work);
  const ply = tape?.plyMm ?? work.trade.wrap.glassPlyMm;
  return work.round(
    mainSpec(work, {
      id: 'isolation',
      purpose: 'isolation-ply',
      title: m('Glass ply'),
      ...glass,
      netMl: (wetMm2 * ply * (tape?.resinShare ?? work.trade.wrap.glassResinShare)) / 1000,
      areaMm2: 0,
      pieces: wetMm2 / 1e6 / ((tape?.widthMm ?? work.trade.wrap.glassWidthMm) / 1000),
      buildMm: ply,
      working: undefined,
      touches: [mixTouch(glass.card), { name: 'isolation', placing: 1 }],
      needed: null,
    }),
  );
}

function wrapRound(work: W): Round {
  const { card, wrap } = work;
  return work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'wrap',
      title: m('Plies'),
      netMl: resinOf(work),
      areaMm2: 0,
      pieces: wrap?.metres ?? 0,
      packIds: wrap?.packIds,
      working: () => [
        line({
          symbol: 'Vl',
          label: t('laminate'),
          expression: 'width · ply · metres',
          value: tapeMl(work),
          unit: 'ml',
        }),
        line({
          symbol: 's',
          label: t('resin in it'),
          expression: t('as on the card'),
          value: (card.tape?.resinShare ?? 1) * 100,
          unit: '%',
          source: `card ${card.code}`,
        }),
      ],
      touches: [
        mixTouch(card),
        { name: 'place', placing: 1 },
        { name: 'compact', placing: work.trade.wrap.compactShare },
      ],
    }),
  );
}

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function roundsOf(work: W) {
  const { demand, card, wrap } = work;
  const metal = demand.material;
  const fair = fairRound(work);
  const prime = primeRound(work);
  const isolation = isolationRound(work);
  const main = wrapRound(work);
  const ready = [notBefore(main, demand.needed)];
  const made = design(work);
  const base: Round[] = [...(fair ? [fair] : []), prime, ...(isolation ? [isolation] : []), main];
  const wetOn = (before: Round) => ({
    step: before === prime ? 'prime' : 'isolation',
    least: 0,
    most: before.batches[before.batches.length - 1]?.useMin ?? 60,
    missed: 'abrade' as const,
    why: m('Wet on wet: while the coat under it still is open.'),
  });
  return {
    work,
    wrap,
    fair,
    prime,
    isolation,
    wetOn,
    metal,
    main,
    made,
    ready,
    resinMl: resinOf(work),
    card,
    rounds: base,
  };
}
export type Rounds = ReturnType<typeof roundsOf>;
