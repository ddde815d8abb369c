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

/** A laminate stiffer than this is carbon: on wet steel it causes galvanic corrosion, MPa. */
const CARBON_MPA = 40_000;
/** Resin brushed into the profile before the first ply, mm. */
export const PRIME_MM = 0.25;
/** Rolling down and wetting out a ply, as a share of the minutes for laying it. */
const COMPACT_SHARE = 0.5;
/** A glass tape whose card names no sizes. */
const GLASS = { plyMm: 0.45, resinShare: 0.55, widthMm: 150 };

const carbon = ({ card }: W) => (card.laminate?.hoopModulusMPa ?? 0) > CARBON_MPA;
const design = ({ wrap }: W) => (wrap?.design?.ok ? wrap.design : null);
/** A hole gets a plug; a thinned wall is filled to the pipe's round. Both before laminating. */
export const holed = ({ survey }: W) => survey.damages[0]?.shape === 'hole';

const resinOf = (work: W): number => tapeMl(work) * (work.card.tape?.resinShare ?? 1);
/** The area under the wrap, mm². */
const wetMm2Of = ({ wrap, survey }: W): number =>
  (wrap?.lengthsMm[0] ?? 0) * Math.PI * (survey.damages[0]?.outsideDiameterMm ?? 0);

/** Fills a thinned wall to the pipe's round, or plugs a hole; null if the wrap alone covers it. */
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
      netMl: (wetMm2Of(work) * PRIME_MM) / 1000,
      areaMm2: 0,
      pieces: 0,
      buildMm: PRIME_MM,
      working: undefined,
      touches: [mixTouch(work.card), { name: 'prime', placing: COMPACT_SHARE }],
      needed: null,
    }),
  );

/** Glass keeps carbon off the metal; null for other fibres. */
function isolationRound(work: W): Round | null {
  if (!carbon(work)) return null;
  const glass = work.second({ purpose: 'isolation-ply', wetted: false, under: work.card });
  if (!glass) return null;
  const { tape } = glass.card;
  const wetMm2 = wetMm2Of(work);
  const ply = tape?.plyMm ?? GLASS.plyMm;
  return work.round(
    mainSpec(work, {
      id: 'isolation',
      purpose: 'isolation-ply',
      title: m('Glass ply'),
      ...glass,
      netMl: (wetMm2 * ply * (tape?.resinShare ?? GLASS.resinShare)) / 1000,
      areaMm2: 0,
      pieces: wetMm2 / 1e6 / ((tape?.widthMm ?? GLASS.widthMm) / 1000),
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
        line('Vl', 'laminate', 'width · ply · metres', tapeMl(work), 'ml'),
        line(
          's',
          'resin in it',
          'as on the card',
          (card.tape?.resinShare ?? 1) * 100,
          '%',
          `card ${card.code}`,
        ),
      ],
      touches: [
        mixTouch(card),
        { name: 'place', placing: 1 },
        { name: 'compact', placing: COMPACT_SHARE },
      ],
    }),
  );
}

/** The rounds, and what its steps, needs and figures read. */
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
