import { t } from '../text/text';
import type { SystemCard } from '../materials/card';
import { formOf, type Form } from '../materials/form';
import type { Mix } from '../materials/mix';
import { soakMinutes } from '../materials/stages';
import { grams, m, minutes, ml, q, type Message, type Quantified } from '../message/message';
import { sentences, type Says } from '../message/sentences';
import type { Round } from '../work/round';
import type { Wrong } from '../work/step';
import { solidsFor, waterPerBag, weighing } from '../work/weighing';
import type { Work } from '../work/work';
import { wrong } from './step';

const STREAKS = wrong(
  t('You see streaks of either colour'),
  t('Mix up to one minute more. If it is still streaked, throw it away.'),
);
const HOT = wrong(
  t('The container feels warm'),
  t('Stop placing this batch. Spread the rest in a thin layer to cool.'),
);

/** The parts of one batch by the card's names, on a scale or in cups. */
function partsText(work: Work, round: Round): Message[] {
  const [batch] = round.batches;
  const weigh = weighing(round.card.mix, round.consistency, work.survey.surface.slope);
  if (!batch || !weigh || batch.aG === null || batch.bG === null) return [];
  const names = { nameA: weigh.nameA.toLowerCase(), nameB: weigh.nameB.toLowerCase() };
  const n = round.batches.length;
  const cups = { aMl: ml(batch.aG / weigh.densityA), bMl: ml(batch.bG / weigh.densityB) };
  return work.schools.ratio === 'volume'
    ? sentences(
        `{n, plural, one {Measure} other {For each batch, measure}} {aMl} of {nameA} and {bMl} of {nameB} in straight cups.`,
        { ...cups, ...names, n },
      )
    : sentences(
        `{n, plural, one {Weigh} other {For each batch, weigh}} {aG} of {nameA} and {bG} of {nameB}.`,
        {
          n,
          aG: grams(batch.aG),
          bG: grams(batch.bG),
          ...names,
        },
      );
}

const MARK = sentences(`
  Write down the start time.
  Keep a small sample of each batch, with its number.
`);

type MixKind = Mix['kind'];

interface MixWords {
  title: Message;
  says: () => Says;
  warns?: Says;
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

/** What can go wrong while two parts are mixed: a putty is in the hand, anything else in a container. */
const wrongsOf = (card: SystemCard): Wrong[] =>
  formOf(card) === 'putty' ? [STREAKS] : [STREAKS, HOT];

/** How two parts become one, by their form. */
const mixTwo = (card: SystemCard, time: Quantified): Message[] =>
  formOf(card) === 'putty'
    ? sentences(`Knead both parts together for {time}.`, { time })
    : sentences(
        `
          Mix both parts for {time}.
          Scrape the sides and the bottom of the container while you mix.
        `,
        { time },
      );

function twoPart({ work, round, mix, time, mixed, title }: Mixing<'two-part'>): MixWords {
  const whole = work.schools.split === 'whole' || mix.wholeKit;
  const together = [mixTwo(round.card, time), mixed, MARK];
  return whole && round.card.packUnit === 'ml'
    ? {
        title,
        says: () => [
          sentences(`
            Pour all of the hardener into all of the base. Never split a kit.
            Scrape the hardener pack empty.
          `),
          together,
        ],
        wrong: wrongsOf(round.card),
      }
    : {
        title,
        says: () => [
          partsText(work, round),
          sentences(`Use a clean tool for each part.`),
          together,
        ],
        wrong: [
          ...wrongsOf(round.card),
          wrong(t('The ratio is wrong'), t('Before you mix, add what the scale check says.')),
        ],
      };
}

function powderWater({ work, round, mix, time, title, mixed }: Mixing<'powder-water'>): MixWords {
  const water = waterPerBag(mix, round.consistency) * 1000;
  const [batch] = round.batches;
  return {
    title,
    says: () => [
      partsText(work, round),
      sentences(
        `
          Pour three quarters of the water into the tub first.
          Add the powder to the water and mix for {time}.
        `,
        { time },
      ),
      mix.restMinutes > 0 &&
        sentences(`Let it rest for {rest}, then mix it again.`, { rest: minutes(mix.restMinutes) }),
      sentences(`Add the rest of the water only until it is right, {water} for a bag at most.`, {
        water: ml(water),
      }),
      batch &&
        batch.aG !== null &&
        round.aggregatePct > 0 &&
        sentences(`Mix in {stone} of clean dry aggregate, {pct} of the powder.`, {
          stone: grams((batch.aG * round.aggregatePct) / 100),
          pct: q(round.aggregatePct, 'percent'),
        }),
      mixed,
    ],
    wrong: [
      wrong(
        t('It is too stiff'),
        t('Mix again after the rest. Add no more water than the card allows.'),
      ),
      wrong(
        t('Water stands on it'),
        t('It is too wet: throw it away. More powder does not correct it.'),
      ),
      wrong(
        t('It stiffens in the tub'),
        t('Add no water. Throw it away and make the next batch smaller.'),
      ),
    ],
  };
}

function cartridge({ mix, n, mixed }: Mixing<'cartridge'>): MixWords {
  return {
    title: m('Ready {n, plural, one {the cartridge} other {# cartridges}}', { n }),
    says: () => [
      sentences(
        `
          Take the plug out and press until both parts are level.
          Put the mixer on.
          Press {purge} onto a card. Keep it: it shows later whether the mix has cured.
        `,
        { purge: ml(mix.purgeMl) },
      ),
      mixed,
    ],
    wrong: [
      wrong(
        t('You see two colours at the mixer'),
        t('Press out more. If you still see two colours, use a new mixer.'),
      ),
      wrong(t('The mixer goes hard'), t('Put a new mixer on and press out the same amount again.')),
    ],
  };
}

function waterSet({ work, mix, n }: Mixing<'water-set'>): MixWords {
  const soak = minutes(soakMinutes(mix, work.schools.soak));
  return {
    title: m('Soak {n, plural, one {one roll} other {# rolls, one at a time}}', { n }),
    warns: sentences(`Put on two pairs of gloves. The resin does not come off skin.`),
    says: () => [
      sentences(`Open one packet, only when you are ready to wrap.`),
      work.schools.soak === 'still'
        ? sentences(
            `
              Hold the roll under water for {soak}. Do not squeeze it.
              Lift it out and let it drip.
            `,
            { soak },
          )
        : sentences(
            `
              Hold the roll under water for {soak} and squeeze it {n, plural, one {once} other {# times}}.
              Lift it out.
            `,
            { soak, n: mix.squeezes },
          ),
      sentences(`Wrap at once: it sets in minutes.`),
    ],
    wrong: [
      wrong(t('The roll is stiff in its packet'), t('Throw it away and open the next packet.')),
      wrong(
        t('It sets before it is on'),
        t('Cut off what is loose. Wrap the next roll over it, soaked in colder water.'),
      ),
    ],
  };
}

function dissolved({ work, round, mix, time }: Mixing<'dissolved'>): MixWords {
  const level = work.survey.surface.slope === 'level';
  const solids = solidsFor(mix, work.survey.surface.slope) * 100;
  return {
    title: m('Make the filler'),
    warns: sentences(`Keep flames and sparks away. The solvent burns.`),
    says: () => [
      partsText(work, round),
      sentences(
        `
          Put the pellets of the same plastic into the solvent: {solids} solids.
          Close the lid. Stir now and then for {time}.
          It must become a {level, select, yes {syrup} other {paste that does not run}}.
        `,
        { solids: q(solids, 'percent'), level: level ? 'yes' : 'no', time },
      ),
    ],
    wrong: [
      wrong(t('It is too thick'), t('Stir in a little solvent.')),
      wrong(t('It is too thin'), t('Add pellets and let them dissolve.')),
      wrong(t('There are lumps or a skin'), t('Stir them in, close the lid and wait.')),
    ],
  };
}

function lightCured({ time }: Mixing<'light-cured'>): MixWords {
  return {
    title: m('Ready the resin'),
    says: () =>
      sentences(
        `
          Keep the resin away from light until it is in place.
          Stir the milled glass in slowly for {time}, so that no air gets in.
          Add no pigment: it keeps the light out.
        `,
        { time },
      ),
    wrong: [
      wrong(
        t('It has strings or a skin'),
        t('Light has reached it. Throw it away and take fresh resin.'),
      ),
    ],
  };
}

function crumb({ work, round, time, title }: Mixing<'crumb'>): MixWords {
  return {
    title,
    says: () => [
      partsText(work, round),
      sentences(
        `
          Pour the binder over the granules and mix for {time}.
          Turn the bottom up: every grain must be wet.
        `,
        { time },
      ),
    ],
    wrong: [
      wrong(t('Grains are dry'), t('Mix on until every grain is wet.')),
      wrong(t('Binder runs off'), t('Add granules by the ratio.')),
    ],
  };
}

/** How a material in one part is made ready, by its form. */
const READY: Partial<Record<Form, (time: Quantified) => Message[]>> = {
  putty: (time) =>
    sentences(
      `
        Put on clean gloves. Grease stops the putty from bonding.
        Cut off what you need.
        Knead it for {time}.
      `,
      { time },
    ),
  sealant: (time) =>
    sentences(
      `
        Cut the nozzle to the width of the joint.
        Load the gun. This takes {time}.
      `,
      { time },
    ),
  drops: (time) => sentences(`Open the tip and keep it dry. This takes {time}.`, { time }),
  cement: (time) => sentences(`Stir the hardener into the cement for {time}.`, { time }),
  sheet: (time) =>
    sentences(`Take the sheet out of its film by its edges. This takes {time}.`, { time }),
  liquid: (time) => sentences(`Stir it from the bottom for {time}.`, { time }),
};

function single({ round, time, n, mixed }: Mixing<'single'>): MixWords {
  const form = formOf(round.card);
  return {
    title:
      form === 'putty'
        ? m('Make {n, plural, =0 {it} one {it} other {# pieces}} ready', { n })
        : m('Make it ready'),
    says: () => [READY[form]?.(time), mixed],
    wrong:
      form === 'putty'
        ? [wrong(t('You see two colours'), t('Knead on to one colour, inside its working life.'))]
        : [],
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
    mixed: m('It is ready at this sign: {sign}.', { sign: mix.mixedSign }),
    title: m('Mix {n, plural, =0 {it} one {one batch} other {# batches}}', { n }),
  });
}
