import type { Trade } from '../trade/trade';
import { m, q, type Message } from '../message/message';
import { SUBSTRATE_NAMES, type Substrate } from './substrates';
import { DRY_MEDIA, MEDIUM_NAMES, type Medium } from './words';

/** What a substrate meets in service, as far as it can corrode it. */
interface Met {
  medium: Medium;
  ph: number;
  mediumC: number;
}

/** Corrosion limits by substrate: usual values for bare material in flow. One row for each pair. */
const EATEN: {
  by: string;
  parents: readonly Substrate[];
  when: (met: Met) => boolean;
}[] = [
  {
    by: 'alkali',
    parents: ['cast-aluminium'],
    when: ({ medium, ph }) => ph > 9 || medium === 'lime-milk' || medium === 'caustic',
  },
  { by: 'acid', parents: ['cast-aluminium', 'concrete', 'masonry'], when: ({ ph }) => ph < 4.5 },
  { by: 'acid', parents: ['carbon-steel', 'cast-iron', 'bronze'], when: ({ ph }) => ph < 4 },
  {
    by: 'acid',
    parents: ['stainless'],
    when: ({ medium, ph }) => medium === 'mineral-acid' || ph < 2,
  },
  {
    by: 'salt',
    parents: ['carbon-steel', 'cast-iron', 'cast-aluminium'],
    when: ({ medium }) => medium === 'brine',
  },
  { by: 'chlorides', parents: ['stainless'], when: ({ medium }) => medium === 'brine' },
  {
    by: 'food',
    parents: ['concrete', 'masonry'],
    when: ({ medium }) => medium === 'fatty-acid' || medium === 'sugar',
  },
];

/** Why the bare substrate round a repair would continue to corrode in this medium; null if it resists. */
export function eaten(parent: Substrate, met: Met): Message | null {
  if (DRY_MEDIA.includes(met.medium)) return null;
  const found = EATEN.find((e) => e.parents.includes(parent) && e.when(met));
  if (!found) return null;
  return m(
    '{by, select, alkali {Alkali} acid {Acid} salt {Salt} food {What is sour or sweet} other {Chlorides}} in {medium} (pH {ph}) {by, select, chlorides {pit} other {eats}} bare {parent}: it would go on round the repair.',
    {
      by: found.by,
      medium: MEDIUM_NAMES[met.medium].toLowerCase(),
      ph: met.ph,
      parent: SUBSTRATE_NAMES[parent].toLowerCase(),
    },
  );
}

/** The warning if chlorides are hot enough to crack stainless steel under any repair; null if not. */
export function cracked(
  parent: Substrate,
  { medium, mediumC }: Met,
  { strength: { chlorideCracksC } }: Trade,
): Message | null {
  if (parent !== 'stainless' || medium !== 'brine' || mediumC < chlorideCracksC) return null;
  return m('Chlorides at {got} crack stainless steel; from {from} on a repair hides it.', {
    got: q(mediumC, 'temperature'),
    from: q(chlorideCracksC, 'temperature'),
  });
}
