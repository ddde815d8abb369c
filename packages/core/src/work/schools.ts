import type { SystemCard } from '../materials/card';

/** Questions on which practitioners differ. */
export type SchoolId =
  | 'clean'
  | 'ratio'
  | 'split'
  | 'soak'
  | 'plug'
  | 'proud'
  | 'sand'
  | 'wet'
  | 'moving'
  | 'tyre'
  | 'wait';

/** A question on which practitioners differ: both answers are offered, one is usual, with the reason. */
export interface School {
  id: SchoolId;
  question: string;
  options: { value: string; label: string }[];
  usual: string;
  why: string;
  /** Asked for these kinds of mix only. */
  mixes?: readonly SystemCard['mix']['kind'][];
  /** Asked of every family: the shared parts use it. */
  everywhere?: true;
}

const opt = (value: string, label: string) => ({ value, label });

/** Asked at Match, saved with the plan. */
export const schools: readonly School[] = [
  {
    id: 'clean',
    question: 'How clean',
    options: [opt('card', 'The card’s least'), opt('always', 'The lasting grade always')],
    usual: 'card',
    why: 'The card’s least grade is what its rated service was tested at; hand tools only for stop-gaps.',
    everywhere: true,
  },
  {
    id: 'ratio',
    question: 'Ratio',
    options: [opt('mass', 'By mass on a scale'), opt('volume', 'By volume in cups')],
    usual: 'mass',
    why: 'A scale shows a slip that a cup hides; the volume stands beside it.',
    mixes: ['two-part'],
    everywhere: true,
  },
  {
    id: 'split',
    question: 'Part kits',
    options: [opt('card', 'As the card says'), opt('whole', 'Whole kits only')],
    usual: 'card',
    why: 'Whole kits where the card says so; else measured, since what is left over is money.',
    mixes: ['two-part'],
    everywhere: true,
  },
  {
    id: 'soak',
    question: 'Soak of the wrap',
    options: [opt('card', 'As the card says'), opt('still', 'Longer and still')],
    usual: 'card',
    why: 'The card’s soak was tried with its resin; a longer one washes it out.',
    mixes: ['water-set'],
  },
  {
    id: 'plug',
    question: 'Plug',
    options: [opt('plug', 'Plug, then wrap'), opt('wrap', 'Wrap alone')],
    usual: 'plug',
    why: 'The plug takes the leak while the wrap sets; the wrap is the second line.',
  },
  {
    id: 'proud',
    question: 'Proud or flush',
    options: [opt('overfill', 'Overfill and grind'), opt('strike', 'Strike flush while soft')],
    usual: 'overfill',
    why: 'Under a thin coat a hollow shows; ground flush it does not. Mortar is struck flush.',
  },
  {
    id: 'sand',
    question: 'Sand below',
    options: [
      opt('depth', 'Sand first, over the working depth'),
      opt('none', 'Pack by hand, no sand'),
    ],
    usual: 'depth',
    why: 'Resin over the working depth is money in the ground.',
  },
  {
    id: 'wet',
    question: 'Wet jobs',
    options: [opt('dry', 'Drain and dry'), opt('wet', 'Set it under water')],
    usual: 'dry',
    why: 'Dry bonds hold longer; under water where draining costs more.',
  },
  {
    id: 'moving',
    question: 'Moving cracks',
    options: [
      opt('check', 'By the movement check'),
      opt('rigid', 'Rigid resin'),
      opt('tied', 'Tied mortar, full depth'),
      opt('flexible', 'Flexible sealant'),
    ],
    usual: 'check',
    why: 'The sum says what the crack does to each: rigid fill alone comes back where it moves.',
  },
  {
    id: 'tyre',
    question: 'Tyres',
    options: [opt('cover', 'Cover, for protection'), opt('shop', 'Section repair at the shop')],
    usual: 'cover',
    why: 'A cover protects and carries nothing; a sidewall is never plugged; anything else is referred.',
  },
  {
    id: 'wait',
    question: 'Wait between coats',
    options: [opt('window', 'The window'), opt('overnight', 'Overnight, to be safe')],
    usual: 'window',
    why: 'The window has a start and an end: overnight can be too late as well.',
    everywhere: true,
  },
];

export type Schools = Readonly<Record<string, string>>;

/** Twelve hours: “overnight” between coats, minutes. */
export const OVERNIGHT_MIN = 720;

/** The questions of a family, for a card. */
export const schoolsOf = (ids: readonly SchoolId[], card?: SystemCard): School[] =>
  schools.filter(
    (s) =>
      (s.everywhere || ids.includes(s.id)) &&
      (!s.mixes || (card !== undefined && s.mixes.includes(card.mix.kind))),
  );

/** The chosen answers, or the usual one. An invalid answer counts as the usual one. */
export function chosenSchools(
  asked: readonly School[],
  chosen: Schools = {},
): Record<string, string> {
  const answers: Record<string, string> = {};
  for (const { id, options, usual } of asked) {
    const own = chosen[id];
    answers[id] = own !== undefined && options.some((o) => o.value === own) ? own : usual;
  }
  return answers;
}
