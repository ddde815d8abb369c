import { sentences } from '../message/sentences';
import { t } from '../text/text';
import type { SystemCard } from '../materials/card';
import { celsius, m } from '../message/message';
import type { Touch } from '../work/batching';
import type { Round } from '../work/round';
import type { After, StepDraft } from '../work/step';
import type { Need } from '../work/supplies';
import { crewOf, type Work } from '../work/work';
import { mixWords } from './mixWords';
import { step } from './step';

/** Steps of Mix, by how the material is prepared: no family needs its own. */

/** Minutes of mixing, and a powder's rest: both within the working life. */
export const mixTouch = ({ mix }: SystemCard): Touch => ({
  name: 'mix',
  fixed: mix.mixMinutes + (mix.kind === 'powder-water' ? mix.restMinutes : 0),
});

/** Minutes to get the first material and its tools ready, and each further one. */
const READY_MIN = 5;
const ONE_MORE_MIN = 2;
const lowered = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** Getting the materials and tools of these rounds ready, each once. */
function layOut(rounds: readonly [Round, ...Round[]]): Omit<StepDraft, 'name'> {
  const crew = Math.max(...rounds.map((r) => crewOf(r) + r.batching.moreHands));
  const cards = [...new Map(rounds.map(({ card }) => [card.code, card])).values()];
  return {
    station: 'mix',
    does: 'ready',
    title: m('Get tools ready{roles, select, yes {, agree roles} other {}}', {
      roles: crew > 1 ? 'yes' : 'no',
    }),
    minutes: READY_MIN + ONE_MORE_MIN * (cards.length - 1),
    says: () => [
      crew > 1 &&
        sentences(
          `{n, plural, =2 {One person mixes and one places.} other {One person mixes. Agree who of the other # does what.}}`,
          { n: crew > 2 ? crew - 1 : crew },
        ),
      cards.map((card) =>
        sentences(`Get ready: {card}, {tool}.`, { card: card.code, tool: lowered(card.mix.tool) }),
      ),
      sentences(`Keep the packs closed until you mix.`),
    ],
    hold: { kind: 'check' },
    round: rounds[0],
    people: Math.max(...rounds.map((r) => crewOf(r))),
    uses: () => cards.map((card) => card.code),
    figures: () => cards.map((card) => `supply.${card.code}`),
  };
}

/** The steps of a job with its tools made ready once, before the first mix, for all its rounds. */
export function withToolsOnce(
  steps: readonly StepDraft[],
  [first, ...others]: readonly Round[],
): StepDraft[] {
  const at = steps.findIndex((s) => s.name === 'lay-out');
  if (at < 0 || !first) return [...steps];
  const once: StepDraft = { name: 'lay-out', ...layOut([first, ...others]) };
  return steps.flatMap((s, i) => (i === at ? [once] : s.name === 'lay-out' ? [] : [s]));
}

/** Get tools ready, then mix each batch. The links of a round are on its first mix. */
export function mixSteps(work: Work, round: Round, after: readonly After[] = []): StepDraft[] {
  const { card, batching } = round;
  const { title, says, warns, wrong: wrongs } = mixWords(work, round);
  const own = { round } as const;
  const id = round.id;
  return [
    step('lay-out', layOut([round])),
    ...(batching.pailC === null
      ? []
      : [
          step('cool', {
            station: 'mix',
            does: 'ready',
            title: t('Cool the parts'),
            minutes: 30,
            says: () =>
              sentences(
                `
                  Put both parts into the cool box until they are at {temp}.
                  Do not cool the repair surface.
                `,
                { temp: celsius(batching.pailC ?? 0) },
              ),
            ...own,
          }),
        ]),
    {
      name: 'mix',
      station: 'mix',
      does: 'mix',
      title,
      says: () => [
        batching.chose && sentences(`This plan needs: {chose}.`, { chose: batching.chose }),
        says(),
      ],
      warns,
      minutes: (round.touches.find((t) => t.name === 'mix')?.fixed ?? 0) * round.batches.length,
      people: 1,
      touch: true,
      round,
      figures: [`round.${id}.total`, `round.${id}.batch`, `round.${id}.life`],
      hold: { kind: 'check' },
      wrong: wrongs,
      uses: () => [
        card.code,
        ...(round.aggregatePct > 0 ? ['aggregate'] : []),
        ...(card.mix.kind === 'water-set' || card.mix.kind === 'powder-water' ? ['water'] : []),
      ],
      after,
    },
  ];
}

/** Aggregate that extends a mortar, g; 0 if none. */
const aggregateG = (round: Round): number =>
  round.batches.reduce((s, b) => s + ((b.aG ?? 0) * round.aggregatePct) / 100, 0);

/** Aggregate for a fill of this depth, percent of the powder. */
export const aggregateFor = ({ mix }: SystemCard, buildMm: number): number =>
  mix.kind === 'powder-water' && buildMm > mix.aggregateOverMm ? mix.maxAggregatePct : 0;

/** Water for the powders of a job, g = ml. */
export const waterMl = (rounds: readonly Round[]): number =>
  rounds
    .filter((r) => r.card.mix.kind === 'powder-water')
    .reduce((s, r) => s + r.batches.reduce((t, b) => t + (b.bG ?? 0), 0), 0);

/** The mixing water and the aggregate for the mortars among the rounds; empty for other materials. */
export function mortarNeeds(rounds: readonly Round[]): Need[] {
  const water = waterMl(rounds);
  const aggregate = rounds.reduce((s, r) => s + aggregateG(r), 0);
  const needs: Need[] = [
    {
      kind: 'plain',
      id: 'water',
      name: t('Clean water'),
      for: m('mixing'),
      amount: water,
      quantity: 'volume',
    },
    {
      kind: 'plain',
      id: 'aggregate',
      name: t('Clean dry aggregate'),
      for: m('extending the deep fill'),
      amount: aggregate,
      quantity: 'mass',
    },
  ];
  return needs.filter((need) => 'amount' in need && need.amount > 0);
}
