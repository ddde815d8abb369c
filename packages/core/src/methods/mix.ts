import { t } from '../text/text';
import type { SystemCard } from '../materials/card';
import { celsius, joined, m, type Message } from '../message/message';
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

const people = (n: number): Message =>
  m(
    '{n, plural, one {One person.} =2 {One mixes, one places.} other {One mixes, one places, # in all: agree who does what.}}',
    { n },
  );

/** Get tools ready and agree roles, then mix each batch. The links of a round are on its first mix. */
export function mixSteps(work: Work, round: Round, after: readonly After[] = []): StepDraft[] {
  const { card, batching } = round;
  const crew = crewOf(round) + batching.moreHands;
  const { title, text, wrong: wrongs } = mixWords(work, round);
  const own = { round } as const;
  const id = round.id;
  return [
    step('lay-out', {
      station: 'mix',
      does: 'ready',
      title: t('Get tools ready, agree roles'),
      minutes: 5,
      text: () =>
        joined([
          people(crew),
          m(
            'Use {card}. Do not open the packs early. Use a clean tool for each part, so that the rest does not set. {tool}.',
            {
              card: card.code,
              tool: card.mix.tool,
            },
          ),
          batching.chose && m('For this {chose}.', { chose: batching.chose }),
        ]),
      ...own,
      people: crewOf(round),
      uses: () => [card.code],
      figures: () => [`supply.${card.code}`],
    }),
    ...(batching.pailC === null
      ? []
      : [
          step('cool', {
            station: 'mix',
            does: 'ready',
            title: t('Cool the parts'),
            minutes: 30,
            text: () =>
              m('Both parts to {temp} in the cool box before mixing; the surface stays as it is.', {
                temp: celsius(batching.pailC ?? 0),
              }),
            ...own,
          }),
        ]),
    {
      name: 'mix',
      station: 'mix',
      does: 'mix',
      title,
      text,
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
