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

export const LOOK_DAYS = { lasting: 180, stopgap: 14 };
/** A laminate stiffer than this is carbon: on wet steel it causes galvanic corrosion, MPa. */
const CARBON_MPA = 40_000;
/** Resin brushed into the profile before the first ply, mm. */
export const PRIME_MM = 0.25;
/** Rolling down and wetting out a ply, as a share of the minutes for laying it. */
const COMPACT_SHARE = 0.5;

const carbon = ({ card }: W) => (card.laminate?.hoopModulusMPa ?? 0) > CARBON_MPA;
const design = ({ wrap }: W) => (wrap?.design?.ok ? wrap.design : null);
/** A hole gets a plug; a thinned wall is filled to the pipe's round. Both before laminating. */
export const holed = ({ survey }: W) => survey.damages[0]?.shape === 'hole';

/** The rounds, and what its steps, needs and figures read. */
export function roundsOf(work: W) {
  const { survey, demand, card, wrap } = work;
  const metal = demand.material;
  const fairing =
    holed(work) && work.schools.plug === 'wrap'
      ? null
      : work.second({ purpose: holed(work) ? 'plug' : 'fair', wetted: holed(work), under: card });
  const fair = fairing
    ? work.round(
        mainSpec(work, {
          id: holed(work) ? 'plug' : 'fair',
          purpose: holed(work) ? 'plug' : 'fair',
          title: holed(work) ? m('Plug') : m('Fairing'),
          ...fairing,
          areaMm2: 0,
          touches: [mixTouch(fairing.card), { name: 'fair', placing: 1 }],
          needed: null,
        }),
      )
    : null;
  const resinMl = tapeMl(work) * (card.tape?.resinShare ?? 1);
  const pipe = survey.damages[0];
  const wetMm2 = (wrap?.lengthsMm[0] ?? 0) * Math.PI * (pipe?.outsideDiameterMm ?? 0);
  const prime = work.round(
    mainSpec(work, {
      id: 'prime',
      purpose: 'primer',
      title: m('Prime'),
      netMl: (wetMm2 * PRIME_MM) / 1000,
      areaMm2: 0,
      pieces: 0,
      buildMm: PRIME_MM,
      working: undefined,
      touches: [mixTouch(card), { name: 'prime', placing: COMPACT_SHARE }],
      needed: null,
    }),
  );
  const glass = carbon(work)
    ? work.second({ purpose: 'isolation-ply', wetted: false, under: card })
    : null;
  const ply = glass?.card.tape?.plyMm ?? 0.45;
  const isolation = glass
    ? work.round(
        mainSpec(work, {
          id: 'isolation',
          purpose: 'isolation-ply',
          title: m('Glass ply'),
          ...glass,
          netMl: (wetMm2 * ply * (glass.card.tape?.resinShare ?? 0.55)) / 1000,
          areaMm2: 0,
          pieces: wetMm2 / 1e6 / ((glass.card.tape?.widthMm ?? 150) / 1000),
          buildMm: ply,
          working: undefined,
          touches: [mixTouch(glass.card), { name: 'isolation', placing: 1 }],
          needed: null,
        }),
      )
    : null;
  const main = work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'wrap',
      title: m('Plies'),
      netMl: resinMl,
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
    survey,
    resinMl,
    card,
    rounds: base,
  };
}
export type Rounds = ReturnType<typeof roundsOf>;
