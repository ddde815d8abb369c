import { formOf, type Form } from '../materials/form';
import { prepKindOf, type PrepKind } from '../materials/substrates';
import { word } from '../message/word';
import { isMessage, isQuantified, type Message, type MessageValue } from '../message/message';
import { filled } from '../text/text';
import { sentencesOf, warningsOf, type Step } from '../work/step';
import type { Plan } from './plan';

/** What is true of a step: a sentence may say nothing else. Read from the saved plan alone. */
export interface Facts {
  /** Forms of the material of the step: of its round, or of all rounds where a step has none. */
  forms: readonly Form[];
  /** Forms of all materials of the job. */
  inJob: readonly Form[];
  mixes: readonly string[];
  surface: PrepKind;
  tool: string;
  slope: string;
  zone: boolean;
  closed: boolean;
  /** Names of all steps of the plan. */
  steps: readonly string[];
}

/** A word that is true only where its facts are. */
interface Term {
  word: RegExp;
  needs: string;
  holds: (facts: Facts) => boolean;
}

const inForm =
  (...forms: Form[]) =>
  (facts: Facts) =>
    facts.forms.some((form) => forms.includes(form));
const mixed = (kind: string) => (facts: Facts) => facts.mixes.includes(kind);

/** The words of plans that depend on material, tool, surface or place. */
export const TERMS: readonly Term[] = [
  { word: /\bknead/i, needs: 'a putty', holds: inForm('putty') },
  { word: /\bputty (sets|from)\b/i, needs: 'a putty', holds: inForm('putty') },
  { word: /\b(nozzle|mixer) (on|goes|in)\b/i, needs: 'a cartridge', holds: inForm('cartridge') },
  { word: /\bload the gun\b/i, needs: 'a sealant', holds: inForm('sealant') },
  {
    word: /\b(packet|roll under water)\b/i,
    needs: 'a tape',
    holds: (f) => f.inJob.includes('tape'),
  },
  {
    word: /\b(ply|plies|dry cloth)\b/i,
    needs: 'a wrap',
    holds: (f) => f.inJob.includes('tape') || f.inJob.includes('cloth') || f.surface === 'rubber',
  },
  { word: /\b(granules|binder)\b/i, needs: 'granules', holds: inForm('granules') },
  { word: /\bpellets\b/i, needs: 'a dissolved filler', holds: mixed('dissolved') },
  { word: /(?<!old )\bmortar\b/i, needs: 'a mortar', holds: (f) => f.inJob.includes('mortar') },
  { word: /\bcement on the belt\b/i, needs: 'a rubber cement', holds: inForm('cement') },
  { word: /\bdrops on the tyre\b/i, needs: 'a sheet', holds: inForm('sheet') },
  {
    word: /\bhardener\b/i,
    needs: 'two parts',
    holds: (f) => mixed('two-part')(f) || mixed('single')(f),
  },
  {
    word: /\bkept sample\b/i,
    needs: 'a sample that was kept',
    holds: mixed('two-part'),
  },
  { word: /\bkept purge\b/i, needs: 'a purge that was kept', holds: mixed('cartridge') },
  { word: /\blevels by itself\b/i, needs: 'a level surface', holds: (f) => f.slope === 'level' },
  {
    word: /\bgrit blasting\b/i,
    needs: 'a blast machine on metal or concrete',
    holds: (f) => f.tool === 'blast' && (f.surface === 'metal' || f.surface === 'concrete'),
  },
  {
    word: /\b(gas lance|naked flame|use (a|the) flame)\b/i,
    needs: 'no flame at all',
    holds: () => false,
  },
  {
    word: /\bgrind(?!ing)\b/i,
    needs: 'a safe area',
    holds: (f) => !f.zone,
  },
  {
    word: /\bwith the template\b/i,
    needs: 'a template that a step makes',
    holds: (f) => f.steps.includes('template'),
  },
  { word: /\bbelt\b/i, needs: 'rubber', holds: (f) => f.surface === 'rubber' },
  { word: /\bcasting\b/i, needs: 'metal', holds: (f) => f.surface === 'metal' },
  { word: /\bconcrete\b/i, needs: 'concrete', holds: (f) => f.surface === 'concrete' },
  { word: /\bbare metal\b/i, needs: 'metal', holds: (f) => f.surface === 'metal' },
];

/** What is true of one step of a plan. */
export function factsOf(plan: Plan, step: Pick<Step, 'round'>): Facts {
  const rounds = plan.rounds.filter((r) => step.round === null || r.id === step.round);
  const cards = rounds.flatMap((r) => plan.cards[r.card.code] ?? []);
  const { survey } = plan;
  return {
    forms: cards.map((card) => formOf(card)),
    inJob: plan.rounds.flatMap((r) => plan.cards[r.card.code] ?? []).map((card) => formOf(card)),
    mixes: cards.map((card) => card.mix.kind),
    surface: prepKindOf(survey.parent.material),
    tool: survey.site.tools,
    slope: survey.surface.slope,
    zone: survey.site.area !== 'safe',
    closed: survey.site.closed,
    steps: plan.steps.map((s) => s.name),
  };
}

/** Everything that a step tells: its title, warnings, sentences, and what can go wrong. */
const allOf = (step: Step): Message[] => [
  step.title,
  ...warningsOf(step),
  ...sentencesOf(step),
  ...step.wrong.flatMap((w) => [w.sign, w.remedy]),
];

/** Sentences of a plan that are not true of its material, tool, surface or place, with the fact that is missing. */
export function falseSentences(plan: Plan): { step: string; said: string; needs: string }[] {
  return plan.steps.flatMap((step) => {
    const facts = factsOf(plan, step);
    return allOf(step).flatMap((message) => {
      const said = word(message);
      return TERMS.filter((term) => term.word.test(said) && !term.holds(facts)).map(
        ({ needs }) => ({
          step: step.id,
          said,
          needs,
        }),
      );
    });
  });
}

/** A sentence of a step has at most this many words; a measured value counts as one. */
export const MOST_WORDS = 20;

const asOneWord = (value: MessageValue): string | number => {
  if (typeof value === 'string' || typeof value === 'number') return value;
  if (!Array.isArray(value) && !isQuantified(value) && isMessage(value)) return shortened(value);
  return 'value';
};
const shortened = ({ text, values }: Message): string =>
  filled(text, Object.fromEntries(Object.entries(values).map(([k, v]) => [k, asOneWord(v)])));

/** Instructions and warnings of a plan that are too long to be read at work, with their number of words. */
export function longSentences(plan: Plan): { step: string; said: string; words: number }[] {
  return plan.steps.flatMap((step) =>
    [...warningsOf(step), ...sentencesOf(step), ...step.wrong.flatMap((w) => [w.sign, w.remedy])]
      .flatMap((message) => shortened(message).split(/(?<=[.!?:])\s+/))
      .map((said) => ({
        step: step.id,
        said,
        words: said.split(/\s+/).filter((w) => /[A-Za-z]/.test(w)).length,
      }))
      .filter(({ words }) => words > MOST_WORDS),
  );
}
