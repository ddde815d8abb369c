import type { SystemCard } from '../materials/card';
import type { FamilyId } from '../survey/survey';

/** A question on which practitioners differ: both ways are offered, one is usual here, and it is said why. */
export interface School {
  id: string;
  question: string;
  options: { value: string; label: string }[];
  usual: string;
  why: string;
  /** Asked for these families only; for all where it is left out. */
  families?: readonly FamilyId[];
  /** Asked for these kinds of mix only. */
  mixes?: readonly SystemCard['mix']['kind'][];
}

const opt = (value: string, label: string) => ({ value, label });

/** Asked at Match, kept with the plan. */
export const schools: readonly School[] = [
  {
    id: 'clean',
    question: 'How clean',
    options: [opt('card', 'The card’s least'), opt('always', 'The lasting grade always')],
    usual: 'card',
    why: 'The card’s least grade is what its rated service was tested at; hand tools only for stop-gaps.',
  },
  {
    id: 'ratio',
    question: 'Ratio',
    options: [opt('mass', 'By mass on a scale'), opt('volume', 'By volume in cups')],
    usual: 'mass',
    why: 'A scale shows a slip that a cup hides; the volume stands beside it.',
    mixes: ['two-part'],
  },
  {
    id: 'split',
    question: 'Part kits',
    options: [opt('card', 'As the card says'), opt('whole', 'Whole kits only')],
    usual: 'card',
    why: 'Whole kits where the card says so; else measured, since what is left over is money.',
    mixes: ['two-part'],
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
    families: ['F4', 'F5'],
  },
  {
    id: 'proud',
    question: 'Proud or flush',
    options: [opt('overfill', 'Overfill and grind'), opt('strike', 'Strike flush while soft')],
    usual: 'overfill',
    why: 'Under a thin coat a hollow shows; ground flush it does not. Mortar is struck flush.',
    families: ['F1', 'F2', 'F3', 'F6', 'F8', 'F9', 'F10', 'F12', 'F14'],
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
    families: ['F8', 'F10'],
  },
  {
    id: 'wet',
    question: 'Wet jobs',
    options: [opt('dry', 'Drain and dry'), opt('wet', 'Set it under water')],
    usual: 'dry',
    why: 'Dry bonds hold longer; under water where draining costs more.',
    families: ['F11', 'F12', 'F13'],
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
    families: ['F8', 'F10', 'F11'],
  },
  {
    id: 'tyre',
    question: 'Tyres',
    options: [opt('cover', 'Cover, for protection'), opt('shop', 'Section repair at the shop')],
    usual: 'cover',
    why: 'A cover protects and carries nothing; a sidewall is never plugged; anything else is referred.',
    families: ['F7'],
  },
  {
    id: 'wait',
    question: 'Wait between coats',
    options: [opt('window', 'The window'), opt('overnight', 'Overnight, to be safe')],
    usual: 'window',
    why: 'The window has a start and an end: overnight can be too late as well.',
  },
];

export type Schools = Readonly<Record<string, string>>;

/** Twelve hours: what “overnight” means between coats. */
export const OVERNIGHT_MIN = 720;

/** The questions that a family and a card raise. */
export const schoolsFor = (family: FamilyId, card?: SystemCard): School[] =>
  schools.filter(
    (s) =>
      (!s.families || s.families.includes(family)) &&
      (!s.mixes || (card !== undefined && s.mixes.includes(card.mix.kind))),
  );

/** Whether a family raises a question at all. */
export const asksSchool = (family: FamilyId, id: string): boolean => {
  const school = schools.find((s) => s.id === id);
  return school !== undefined && (school.families?.includes(family) ?? true);
};

/** What was chosen, with the usual answer where nothing was. Answers that are none are the usual one. */
export function settled(asked: readonly School[], chosen: Schools = {}): Record<string, string> {
  return Object.fromEntries(
    asked.map((s) => [
      s.id,
      s.options.some((o) => o.value === chosen[s.id]) ? (chosen[s.id] as string) : s.usual,
    ]),
  );
}
