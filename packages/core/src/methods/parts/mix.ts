import type { Mix } from '../../materials/mix';
import type { StepDraft } from '../../plan/step';
import { consistencyOf, crewOf, type WorkUp } from '../../plan/workUp';
import { solidsFor, waterPerBag } from '../../plan/weighing';
import { say } from '../../units/format';

/** Steps of Mix, by how the material is made ready: no family needs its own. */

const station = 'mix' as const;
type Wrong = NonNullable<StepDraft['wrong']>;

const layOut = (work: WorkUp): StepDraft => ({
  id: 'lay-out',
  station,
  title: 'Lay out, say who',
  text: () =>
    `${people(work)} Open nothing early. A clean tool for each part. ${work.card.mix.tool}.`,
  minutes: 5,
  people: crewOf(work),
  hold: { kind: 'check' },
  figures: ['packs'],
});

const people = (work: WorkUp): string => {
  const n = crewOf(work);
  if (n === 1) return 'One person.';
  return n === 2 ? 'One mixes, one places.' : 'One mixes, one spreads, one finishes.';
};

const batchTitle = ({ batches }: WorkUp) =>
  `Mix ${batches <= 1 ? 'one batch' : `${batches} batches`}`;

const STREAKS: Wrong = [
  {
    sign: 'Streaks of either colour',
    remedy: 'Mix on, up to one minute more. Still streaked: bin it.',
  },
];
const HOT: Wrong = [
  {
    sign: 'Pail warm in the hand',
    remedy: 'Stop placing. Spread the rest thin on sheet; never leave it in the pail.',
  },
];

/** What a kind of mix is told: its title, its words, what can go wrong. */
function words(work: WorkUp, mix: Mix): { title: string; text: () => string; wrong: Wrong } {
  const time = say(mix.mixMinutes, 'time');
  const { survey } = work;
  switch (mix.kind) {
    case 'two-part':
      return mix.wholeKit
        ? {
            title: batchTitle(work),
            text: () =>
              `Whole kits: all of the hardener into all of the base, scrape the tin. Never split by eye: the pack is filled for what stays in it. Mix ${time}, scrape wall and base. ${mix.mixedSign}. Time on the pail; a sample of each batch is kept.`,
            wrong: [...STREAKS, ...HOT],
          }
        : {
            title: batchTitle(work),
            text: () =>
              `Weigh both parts, mix ${time}, scrape wall and base of the pail. ${mix.mixedSign}. Time on the pail; a sample of each batch is kept.`,
            wrong: [
              ...STREAKS,
              ...HOT,
              { sign: 'Off ratio', remedy: 'Add what the scale check says, before mixing starts.' },
            ],
          };
    case 'powder-water': {
      const coat = consistencyOf(work, 1);
      const water = say(waterPerBag(mix, coat) * 1000, 'volume');
      const last = consistencyOf(work, work.coats);
      const finish =
        last === coat ? '' : ` Finish coat: ${say(waterPerBag(mix, last) * 1000, 'volume')} a bag.`;
      const stone =
        work.aggregatePct > 0
          ? ` Then clean dry aggregate, ${work.aggregatePct} % of the powder.`
          : '';
      return {
        title: batchTitle(work),
        text: () =>
          `Powder into water, never the other way. ${water} of water a bag: three quarters first, the powder, mix ${time}, rest ${say(mix.restMinutes, 'time')}, then the rest of the water to reach the slump.${finish}${stone} Scrape the pail’s edge.`,
        wrong: [
          { sign: 'Too stiff', remedy: 'Mix again after the rest; water only up to the card’s.' },
          {
            sign: 'Water stands on it',
            remedy: 'Too wet: bin it. Powder added later does not mend it.',
          },
          {
            sign: 'It stiffens in the tub',
            remedy: 'No more water. Bin it; make the next one smaller.',
          },
        ],
      };
    }
    case 'cartridge':
      return {
        title: 'Ready the cartridge',
        text: () =>
          `Seal, plug and flow restrictor out or in by their order. Level both parts, then the nozzle seated. Purge ${say(mix.purgeMl, 'volume')} on a card: that is the cure witness, set it aside. ${mix.mixedSign}.`,
        wrong: [
          { sign: 'Two colours out of the nozzle', remedy: 'Purge on; still two: a new nozzle.' },
          { sign: 'It goes hard in the nozzle', remedy: 'New nozzle, purge again.' },
        ],
      };
    case 'water-set':
      return {
        title: `${work.batches} ${work.batches === 1 ? 'roll' : 'rolls'}, one at a time`,
        text: () =>
          `Gloves on. Open one pouch only when ready to wrap. Under water ${work.context.schools?.soak === 'still' ? 'twice as long and still' : say(mix.soakSeconds / 60, 'time')}, squeeze ${mix.squeezes} times, lift out. It sets in minutes: wrap at once.`,
        wrong: [
          { sign: 'Roll stiff in the pouch', remedy: 'The pouch leaked: bin it, open the next.' },
          {
            sign: 'It sets before it is on',
            remedy: 'Cut it off, go on over it with the next roll; colder water.',
          },
        ],
      };
    case 'dissolved': {
      const solids = solidsFor(mix, survey.surface.slope);
      return {
        title: 'Make the filler',
        text: () =>
          `Pellets of the same plastic into the solvent, ${say(solids * 100, 'percent')} solids: ${survey.surface.slope === 'level' ? 'syrup for a flat' : 'paste for a wall'}. Lid on between stirs, small batches. Too thick: solvent. Too thin: pellets.`,
        wrong: [
          { sign: 'Skin on it', remedy: 'Stir it in with a little solvent; lid on.' },
          { sign: 'Lumps', remedy: 'Lid on, wait, stir again: they dissolve.' },
        ],
      };
    }
    case 'light-cured':
      return {
        title: 'Ready the resin',
        text: () =>
          'Out of the light until it is placed. Stir slowly so that no air goes in. No pigment: it blocks the light.',
        wrong: [
          { sign: 'Strings or a skin', remedy: 'It has seen light: bin it, take a fresh syringe.' },
        ],
      };
    case 'crumb':
      return {
        title: batchTitle(work),
        text: () =>
          `Prime first with ${mix.primerShare * 100} % of the binder. The rest into the granules, mix ${time} until every grain is wet and none is dry at the bottom.`,
        wrong: [
          { sign: 'Dry grains', remedy: 'Mix on: a dry grain comes out of the mat.' },
          {
            sign: 'Binder runs off',
            remedy: 'Add granules by the ratio; pooled binder closes the mat.',
          },
        ],
      };
    case 'single':
      return {
        title: 'Make it ready',
        text: () =>
          `${mix.mixedSign}. Knead or stir ${time}. Clean gloves: grease on them is grease in the bond.`,
        wrong: [
          { sign: 'Two colours in it', remedy: 'Knead on to one colour, up to its working life.' },
        ],
      };
  }
}

/** Lay out, then mix. */
export function mixSteps(work: WorkUp): StepDraft[] {
  const { card, batch, batches } = work;
  const { mix } = card;
  const { title, text, wrong } = words(work, mix);
  const rest = mix.kind === 'powder-water' ? mix.restMinutes : 0;
  return [
    layOut(work),
    {
      id: 'mix',
      station,
      title,
      text,
      minutes: (mix.mixMinutes + rest) * Math.max(batches, 1),
      people: crewOf(work),
      figures: ['total', 'batch', 'life'],
      hold: batch.ok ? null : { kind: 'check' },
      wrong,
    },
  ];
}
