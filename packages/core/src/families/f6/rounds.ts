import { beltPatch } from '../../geometry/beltPatch';
import { m } from '../../message/message';
import { mainSpec } from '../../methods/build';
import { filmRound } from '../../methods/film';
import { mixTouch } from '../../methods/mix';
import { isHumid } from '../../methods/pace';
import { notBefore } from '../../methods/step';
import { type Round, timeTo } from '../../work/round';
import type { After } from '../../work/step';
import type { Work } from '../../work/work';
import { beltHole, type BeltSurvey } from './survey';

export type W = Work<BeltSurvey>;

export const isSheet = ({ card }: W) => card.packUnit === 'piece';
const through = ({ survey }: W) => survey.damages.filter((d) => d.shape !== 'gouge').length;
const patches = ({ survey, trade: { belt } }: W) =>
  survey.damages.map((d) =>
    beltPatch({
      hole: beltHole(d),
      throughMm: d.shape === 'gouge' ? d.depthMm : d.beltMm,
      lapMm: belt.lapMm,
      coverMm: belt.coverMm,
      through: d.shape !== 'gouge',
      wastePct: 0,
    }),
  );

/**
 * When the conditioner may be covered: after its flash-off time (doubled in humid air) and within its open time.
 */
const flashed = (work: W, round: Round): After => {
  const flash = timeTo(round, 'tackFree', 0);
  return {
    round: round.id,
    at: 'tackFree',
    until: 'overcoatCloses',
    leastMin: flash?.ok && isHumid(work) ? flash.minutes * 2 : 0,
    missed: 'condition',
    why: m('Conditioner: flashed off, and still open.'),
  };
};

const coversOf = ({ covers }: W) => (covers?.ok ? covers.covers : []);

function cementRound(work: W, n: 1 | 2): Round {
  const { card, demand } = work;
  const wetUm = card.wetFilmUm ?? work.trade.belt.wetUm;
  const cemented = coversOf(work).reduce(
    (s, c) => s + 2 * c.strips * c.stripWidthMm * (card.sheet?.lengthMm ?? 0),
    0,
  );
  return work.round(
    mainSpec(work, {
      id: `cement-${n}`,
      purpose: 'cement',
      title: m('Cement, coat {n}', { n }),
      netMl: (cemented * wetUm) / 1e6,
      areaMm2: 0,
      pieces: 0,
      buildMm: wetUm / 1000,
      working: undefined,
      touches: [mixTouch(card), { name: `cement-${n}`, placing: 1 }],
      needed: n === 2 ? demand.needed : null,
    }),
  );
}

const stripRound = (work: W): Round =>
  work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'cover',
      title: m('Strip'),
      netMl: 0,
      areaMm2: 0,
      pieces: coversOf(work).reduce((s, c) => s + c.sheets, 0),
      working: undefined,
      touches: [],
      needed: null,
    }),
  );

const rubberRound = (work: W): Round =>
  work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'fill',
      title: m('Rubber'),
      areaMm2: 0,
      touches: [
        mixTouch(work.card),
        { name: 'pour', placing: work.trade.belt.pourHole },
        { name: 'cover', placing: work.trade.belt.pourCover },
      ],
    }),
  );

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function roundsOf(work: W) {
  const { survey, demand, card } = work;
  const made = patches(work);
  const sum = (of: (p: (typeof made)[number]) => number) => made.reduce((s, p) => s + of(p), 0);
  const primed = sum((p) => p.primerAreaMm2);
  const covers = coversOf(work);
  const strips = covers.reduce((s, c) => s + c.strips, 0);
  const conditioner = filmRound(work, {
    id: 'conditioner',
    purpose: 'conditioner',
    title: m('Conditioner'),
    areaMm2: primed,
    touch: 'condition',
    need: { under: card },
  });
  const sheet = isSheet(work)
    ? { first: cementRound(work, 1), second: cementRound(work, 2) }
    : null;
  const strip = sheet ? stripRound(work) : null;
  const main = sheet ? null : rubberRound(work);
  const last = sheet?.second ?? (main as Round);
  const ready = [notBefore(last, demand.needed)];
  const { slopeDeg } = survey.belt;
  const holes = through(work);
  const after = flashed(work, conditioner);
  return {
    work,
    survey,
    sheet,
    holes,
    slopeDeg,
    conditioner,
    after,
    strip,
    strips,
    covers,
    card,
    main,
    last,
    ready,
    made,
    sum,
    primed,
    rounds: [
      conditioner,
      ...(sheet ? [sheet.first, sheet.second] : []),
      ...(strip ? [strip] : []),
      ...(main ? [main] : []),
    ],
  };
}
export type Rounds = ReturnType<typeof roundsOf>;
