import { t } from '../text/text';
import type { Mix } from '../materials/mix';
import { soakMinutes } from '../materials/stages';
import {
  grams,
  joined,
  m,
  minutes,
  ml,
  q,
  type Message,
  type Quantified,
} from '../message/message';
import type { Round } from '../work/round';
import type { Wrong } from '../work/step';
import { solidsFor, waterPerBag, weighing } from '../work/weighing';
import type { Work } from '../work/work';
import { wrong } from './step';

const STREAKS = wrong(
  t('Streaks of either colour'),
  t('Mix up to one minute more. If it is still streaked, throw it away.'),
);
const HOT = wrong(
  t('The bucket feels warm'),
  t('Stop placing. Spread the rest thin on a sheet; never leave it in the bucket.'),
);

/** The parts of one batch by the card's names, on a scale or in cups. */
function partsText(work: Work, round: Round): Message | null {
  const [batch] = round.batches;
  const weigh = weighing(round.card.mix, round.consistency, work.survey.surface.slope);
  if (!batch || !weigh || batch.aG === null || batch.bG === null) return null;
  const names = { nameA: weigh.nameA.toLowerCase(), nameB: weigh.nameB.toLowerCase() };
  const cups = { aMl: ml(batch.aG / weigh.densityA), bMl: ml(batch.bG / weigh.densityB) };
  return work.schools.ratio === 'volume'
    ? m('Measure {aMl} {nameA} and {bMl} {nameB} in straight cups, struck level.', {
        ...cups,
        ...names,
      })
    : m('Weigh {aG} {nameA} and {bG} {nameB}.', {
        aG: grams(batch.aG),
        bG: grams(batch.bG),
        ...names,
      });
}

const KEEP = m('Time on the pail; a sample of each batch is kept.');

type MixKind = Mix['kind'];

interface MixWords {
  title: Message;
  text: () => Message;
  wrong: Wrong[];
}

/** The input for the texts of one kind of mix. */
interface Mixing<K extends MixKind = MixKind> {
  work: Work;
  round: Round;
  mix: Extract<Mix, { kind: K }>;
  time: Quantified;
  /** Number of batches. */
  n: number;
  /** How to see that it is mixed, from the card. */
  mixed: Message;
  title: Message;
}

function twoPart({ work, round, mix, time, mixed, title }: Mixing<'two-part'>): MixWords {
  const whole = work.schools.split === 'whole' || mix.wholeKit;
  return whole && round.card.packUnit === 'ml'
    ? {
        title,
        text: () =>
          joined([
            m(
              'Whole kits: all of the hardener into all of the base, scrape the tin. Never split by eye: the pack is filled for what stays in it.',
            ),
            m('Mix {time}, scrape wall and base.', { time }),
            mixed,
            KEEP,
          ]),
        wrong: [STREAKS, HOT],
      }
    : {
        title,
        text: () =>
          joined([
            partsText(work, round),
            m('A clean tool for each part. Mix {time}, scrape wall and base of the pail.', {
              time,
            }),
            mixed,
            KEEP,
          ]),
        wrong: [
          STREAKS,
          HOT,
          wrong(t('Off ratio'), t('Add what the scale check says, before mixing starts.')),
        ],
      };
}

function powderWater({ work, round, mix, time, title }: Mixing<'powder-water'>): MixWords {
  const water = waterPerBag(mix, round.consistency) * 1000;
  const [batch] = round.batches;
  const stone =
    batch && batch.aG !== null && round.aggregatePct > 0
      ? m('Then clean dry aggregate, {stone}, {pct} of the powder.', {
          stone: grams((batch.aG * round.aggregatePct) / 100),
          pct: q(round.aggregatePct, 'percent'),
        })
      : null;
  return {
    title,
    text: () =>
      joined([
        partsText(work, round),
        m(
          'Powder into water, never the other way: {water} a bag. Three quarters of the water first, then the powder; mix {time}{rests, select, yes {, rest {rest}} other {}}; the last of the water to reach the slump.',
          {
            water: ml(water),
            time,
            rests: mix.restMinutes > 0 ? 'yes' : 'no',
            rest: minutes(mix.restMinutes),
          },
        ),
        stone,
        m('Scrape the pail’s edge.'),
      ]),
    wrong: [
      wrong(t('Too stiff'), t('Mix again after the rest; water only up to the card’s.')),
      wrong(
        t('Water stands on it'),
        t('It is too wet: throw it away. Powder added later does not correct it.'),
      ),
      wrong(
        t('It stiffens in the tub'),
        t('Add no more water. Throw it away, and make the next one smaller.'),
      ),
    ],
  };
}

function cartridge({ mix, n, mixed }: Mixing<'cartridge'>): MixWords {
  return {
    title: m('Ready {n, plural, one {the cartridge} other {# cartridges}}', { n }),
    text: () =>
      joined([
        m(
          'Seal, plug and flow restrictor in their order. Level both parts, then the nozzle seated. Purge {purge} on a card: that is the cure witness, set it aside.',
          { purge: ml(mix.purgeMl) },
        ),
        mixed,
      ]),
    wrong: [
      wrong(t('Two colours out of the nozzle'), t('Purge on; still two: a new nozzle.')),
      wrong(t('It goes hard in the nozzle'), t('New nozzle, purge again.')),
    ],
  };
}

function waterSet({ work, mix, n }: Mixing<'water-set'>): MixWords {
  const still = work.schools.soak === 'still';
  const soak = minutes(soakMinutes(mix, work.schools.soak));
  return {
    title: m('Soak {n, plural, one {one roll} other {# rolls, one at a time}}', { n }),
    text: () =>
      joined([
        m('Gloves on, two pairs. Open one pouch only when ready to wrap.'),
        still
          ? m('Under water {soak} and still, no squeezing, lift out, let it drip.', { soak })
          : m('Under water {soak}, squeeze {n, plural, one {once} other {# times}}, lift out.', {
              soak,
              n: mix.squeezes,
            }),
        m('It sets in minutes: wrap at once.'),
      ]),
    wrong: [
      wrong(
        t('Roll stiff in the pouch'),
        t('The pouch leaked: throw it away and open the next one.'),
      ),
      wrong(
        t('It sets before it is on'),
        t('Cut it off, go on over it with the next roll; colder water.'),
      ),
    ],
  };
}

function dissolved({ work, round, mix, time }: Mixing<'dissolved'>): MixWords {
  const level = work.survey.surface.slope === 'level';
  const solids = solidsFor(mix, work.survey.surface.slope) * 100;
  return {
    title: m('Make the filler'),
    text: () =>
      joined([
        partsText(work, round),
        m(
          'Pellets of the same plastic into the solvent, {solids} solids: {level, select, yes {syrup for a flat} other {paste for a wall}}. Lid on between stirs, {time} in all. Too thick: solvent. Too thin: pellets.',
          {
            solids: q(solids, 'percent'),
            level: level ? 'yes' : 'no',
            time,
          },
        ),
      ]),
    wrong: [
      wrong(t('Skin on it'), t('Stir it in with a little solvent; lid on.')),
      wrong(t('Lumps'), t('Lid on, wait, stir again: they dissolve.')),
    ],
  };
}

function lightCured({ time }: Mixing<'light-cured'>): MixWords {
  return {
    title: m('Ready the resin'),
    text: () =>
      m(
        'Out of the light until it is placed. Milled glass stirred in slowly, {time}, so that no air goes in. No pigment: it blocks the light.',
        { time },
      ),
    wrong: [
      wrong(
        t('Strings or a skin'),
        t('Light has reached it: throw it away and take a fresh syringe.'),
      ),
    ],
  };
}

function crumb({ work, round, time, title }: Mixing<'crumb'>): MixWords {
  return {
    title,
    text: () =>
      joined([
        partsText(work, round),
        m(
          'The binder into the granules, mix {time} until every grain is wet and none is dry at the bottom.',
          { time },
        ),
      ]),
    wrong: [
      wrong(t('Dry grains'), t('Mix on: a dry grain comes out of the mat.')),
      wrong(t('Binder runs off'), t('Add granules by the ratio; pooled binder closes the mat.')),
    ],
  };
}

function single({ round, time, n, mixed }: Mixing<'single'>): MixWords {
  return {
    title: round.card.packs.some((p) => p.size < 100)
      ? m('Make {n, plural, =0 {it} one {it} other {# pieces}} ready', { n })
      : m('Make it ready'),
    text: () =>
      joined([
        mixed,
        m('Knead or stir {time}. Clean gloves: grease on them is grease in the bond.', {
          time,
        }),
      ]),
    wrong: [wrong(t('Two colours in it'), t('Knead on to one colour, up to its working life.'))],
  };
}

const WORDS: { [K in MixKind]: (mixing: Mixing<K>) => MixWords } = {
  'two-part': twoPart,
  'powder-water': powderWater,
  cartridge,
  'water-set': waterSet,
  dissolved,
  'light-cured': lightCured,
  crumb,
  single,
};

/** What a mixing step says: its title, its instruction and what can go wrong. It depends on how the card is mixed. */
export function mixWords(work: Work, round: Round): MixWords {
  const { mix } = round.card;
  const n = round.batches.length;
  const words = WORDS[mix.kind] as (mixing: Mixing) => MixWords;
  return words({
    ...{ work, round, mix, n },
    time: minutes(mix.mixMinutes),
    mixed: m('{sign}.', { sign: mix.mixedSign }),
    title: m('Mix {n, plural, =0 {it} one {one batch} other {# batches}}', { n }),
  });
}
