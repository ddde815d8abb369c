import { perDamage } from './perDamage';
import { sentences } from '../message/sentences';
import { t } from '../text/text';
import { line } from '../calc/calc';
import { formOf, type Form } from '../materials/form';
import type { Says } from '../message/sentences';
import { m, mm, type Message } from '../message/message';
import { letterOf } from '../survey/letter';
import type { Touch } from '../work/batching';
import type { Round, RoundSpec } from '../work/round';
import type { After, StepDraft } from '../work/step';
import { leastWait, type Work } from '../work/work';
import { mixSteps, mixTouch } from './mix';
import { step, wrong } from './step';

/**
 * Whether the material is struck flush while soft; otherwise it is left proud and ground. In a classified area nothing
 * is ground.
 */
export const isStruckFlush = ({ schools, survey }: Pick<Work, 'schools' | 'survey'>): boolean =>
  schools.proud === 'strike' || survey.site.area !== 'safe';

/** Overfill in percent: only where it is ground off again. */
export const overfill = (work: Work): number => (isStruckFlush(work) ? 0 : work.site.overfillPct);

/** The working of the damages’ volumes, ending in the volume that stays. */
const bodyWorking = (work: Work) => () => [
  ...work.bodies.flatMap((b, i) =>
    b.volumes.flatMap((v) =>
      v.working.map((w) =>
        work.bodies.length > 1 ? { ...w, label: `${letterOf(i)}: ${w.label}` } : w,
      ),
    ),
  ),
  line({
    symbol: 'ΣV',
    label: t('all damages'),
    expression: work.bodies.map((b) => b.netMl.toFixed(1)).join(' + '),
    value: work.netMl,
    unit: 'ml',
  }),
];

/** The round of a job's main material, with the family's changes. */
export const mainSpec = (
  work: Work,
  more: Partial<RoundSpec> & Pick<RoundSpec, 'id' | 'purpose' | 'title' | 'touches'>,
): RoundSpec => ({
  card: work.card,
  netMl: work.netMl,
  areaMm2: work.areaMm2,
  profileUm: work.profileUm?.max ?? 0,
  buildMm: work.buildMm,
  paths: work.bodies.flatMap((b) => b.body.paths),
  working: bodyWorking(work),
  needed: work.demand.needed,
  ...more,
});

const WINDOW = m('The next coat goes on when the last is firm, before its overcoat window closes.');

/** The wait before the next coat: both ends of the overcoat window. */
export const overcoat = (
  work: Work,
  before: Round,
  missed: 'abrade' | 'dampen' = 'abrade',
): After => ({
  round: before.id,
  at: 'overcoatOpens',
  until: 'overcoatCloses',
  missed,
  leastMin: leastWait(work),
  why: WINDOW,
});

export interface CoatWords {
  first: Says;
  last?: Says;
  people?: number;
  touches?: readonly Touch[];
}

/** The coats of the main material as separate rounds, thin enough for the slope. */
export function coatRounds(work: Work, more: Partial<RoundSpec> = {}): Round[] {
  const { coats, netMl, areaMm2, coatMm } = work;
  return Array.from({ length: coats }, (_, i) =>
    work.round(
      mainSpec(work, {
        id: coats === 1 ? 'main' : `coat-${i + 1}`,
        purpose: 'coat',
        title: coats === 1 ? m('The fill') : m('Coat {n} of {coats}', { n: i + 1, coats }),
        netMl: netMl / coats,
        // Half of the profile is filled by the first coat only.
        areaMm2: i === 0 ? areaMm2 : 0,
        buildMm: coatMm,
        overfillPct: i === coats - 1 ? overfill(work) : 0,
        touches: [mixTouch(work.card), { name: 'place', placing: 1 }],
        needed: i === coats - 1 ? work.demand.needed : null,
        ...more,
      }),
    ),
  );
}

/** Mixing and placing each coat: a wetting coat first, within the window or after abrading. */
export function coatSteps(
  work: Work,
  rounds: readonly Round[],
  { words, firstAfter = [] }: { words: CoatWords; firstAfter?: readonly After[] },
): StepDraft[] {
  return rounds.flatMap((round, i) => {
    const before = rounds[i - 1];
    const after = before ? [overcoat(work, before)] : firstAfter;
    const last = i === rounds.length - 1;
    return [
      ...mixSteps(work, round, after),
      step.touch(round, 'place', {
        title: rounds.length === 1 ? t('Place it') : round.title,
        says: () => [
          i === 0
            ? words.first
            : sentences(`Place this coat inside the overcoat window of the coat before.`),
          sentences(
            `
              {first, select, yes {Build up} other {Add}} {thick}.
              Work from the middle to the edges, so that air gets out.
            `,
            {
              first: i === 0 ? 'yes' : 'no',
              thick: perDamage(work.bodies.map((b) => mm(b.buildMm / rounds.length))),
            },
          ),
          last && words.last,
        ],
        people: words.people ?? 2,
        figures: [
          ...(i === 0 ? ['coats'] : []),
          'coat',
          // A wet film is measured with a comb, which cannot measure a fill.
          ...(work.coatMm < work.trade.film.combMm ? ['wetFilm'] : []),
          ...(i === 0 ? [] : [`cure.${rounds[i - 1]?.id}.overcoatOpens`]),
        ],
        wrong: [
          wrong(
            t('It sags'),
            t('Take off what sags while it is wet. Build the rest as another coat.'),
          ),
          wrong(
            t('Air is trapped'),
            t('Cut the bubble open. Press the air out and close it while it is wet.'),
          ),
        ],
      }),
    ];
  });
}

/** How tools are cleaned while the material is soft, by its form. */
const CLEAN: Record<Form, Message[]> = {
  paste: sentences(`
    Wipe the tools clean with solvent before the paste sets.
    Spread what is left in a thin layer to cool.
  `),
  putty: sentences(`Wipe the tools and gloves clean before the putty sets.`),
  liquid: sentences(`
    Clean the tools with solvent before the material sets.
    Spread what is left in a thin layer to cool.
  `),
  mortar: sentences(`Wash the tools before the mortar sets.`),
  foam: sentences(`
    Wipe the tools clean with a dry rag, then with solvent.
    Let what is left expand in an open bag outdoors.
  `),
  cartridge: sentences(`
    Leave the mixer on the cartridge as its cap.
    Wipe the tools clean with solvent.
  `),
  tape: sentences(`Wash the resin off the tools at once. Set resin does not come off.`),
  cloth: sentences(`
    Clean the rollers and squeegees with solvent before the resin sets.
    Spread what is left in a thin layer to cool.
  `),
  sheet: sentences(`Clean the roller.`),
  granules: sentences(`Clean the trowels with solvent before the binder sets.`),
  cement: sentences(`Clean the brush with solvent.`),
  sealant: sentences(`Wipe the gun and the spatula clean.`),
  drops: sentences(`Wipe the tip clean and put its cap on.`),
  'light-cured': sentences(`
    Wipe the tools clean with solvent.
    Keep what is left away from light.
  `),
};

/** Cleans the tools before the material sets. */
export const cleanTools = (round: Round): StepDraft =>
  step('tools', {
    station: 'build',
    does: 'tidy',
    title: t('Clean the tools'),
    minutes: 5,
    says: [CLEAN[formOf(round.card)], sentences(`Close the packs that are not empty.`)],
    round,
  });
