import { t } from '../text/text';
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
    question: t('How clean'),
    options: [opt('card', t('The card’s least')), opt('always', t('The lasting grade always'))],
    usual: 'card',
    why: t(
      'The card’s least grade is what its rated service was tested at; hand tools only for stop-gaps.',
    ),
    everywhere: true,
  },
  {
    id: 'ratio',
    question: t('Ratio'),
    options: [opt('mass', t('By mass on a scale')), opt('volume', t('By volume in cups'))],
    usual: 'mass',
    why: t('A scale shows a slip that a cup hides; the volume stands beside it.'),
    mixes: ['two-part'],
    everywhere: true,
  },
  {
    id: 'split',
    question: t('Part kits'),
    options: [opt('card', t('As the card says')), opt('whole', t('Whole kits only'))],
    usual: 'card',
    why: t('Whole kits where the card says so; else measured, since what is left over is money.'),
    mixes: ['two-part'],
    everywhere: true,
  },
  {
    id: 'soak',
    question: t('Soak of the wrap'),
    options: [opt('card', t('As the card says')), opt('still', t('Longer and still'))],
    usual: 'card',
    why: t('The card’s soak was tried with its resin; a longer one washes it out.'),
    mixes: ['water-set'],
  },
  {
    id: 'plug',
    question: t('Plug'),
    options: [opt('plug', t('Plug, then wrap')), opt('wrap', t('Wrap alone'))],
    usual: 'plug',
    why: t('The plug takes the leak while the wrap sets; the wrap is the second line.'),
  },
  {
    id: 'proud',
    question: t('Proud or flush'),
    options: [
      opt('overfill', t('Overfill and grind')),
      opt('strike', t('Strike flush while soft')),
    ],
    usual: 'overfill',
    why: t('Under a thin coat a hollow shows; ground flush it does not. Mortar is struck flush.'),
  },
  {
    id: 'sand',
    question: t('Sand below'),
    options: [
      opt('depth', t('Sand first, over the working depth')),
      opt('none', t('Pack by hand, no sand')),
    ],
    usual: 'depth',
    why: t('Resin over the working depth is money in the ground.'),
  },
  {
    id: 'wet',
    question: t('Wet jobs'),
    options: [opt('dry', t('Drain and dry')), opt('wet', t('Set it under water'))],
    usual: 'dry',
    why: t('Dry bonds hold longer; under water where draining costs more.'),
  },
  {
    id: 'moving',
    question: t('Moving cracks'),
    options: [
      opt('check', t('By the movement check')),
      opt('rigid', t('Rigid resin')),
      opt('tied', t('Tied mortar, full depth')),
      opt('flexible', t('Flexible sealant')),
    ],
    usual: 'check',
    why: t('The sum says what the crack does to each: rigid fill alone comes back where it moves.'),
  },
  {
    id: 'tyre',
    question: t('Tyres'),
    options: [
      opt('cover', t('Cover, for protection')),
      opt('shop', t('Section repair at the shop')),
    ],
    usual: 'cover',
    why: t(
      'A cover protects and carries nothing; a sidewall is never plugged; anything else is referred.',
    ),
  },
  {
    id: 'wait',
    question: t('Wait between coats'),
    options: [opt('window', t('The window')), opt('overnight', t('Overnight, to be safe'))],
    usual: 'window',
    why: t('The window has a start and an end: overnight can be too late as well.'),
    everywhere: true,
  },
];

export type Schools = Readonly<Record<string, string>>;

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
