import { t } from '../text/text';
import type { Permission } from '../materials/words';
import { m, type Message } from '../message/message';
import type { QuantityId } from '../units/quantities';
import type { Demand, DemandFigure } from '../survey/demand';
import type { Work } from '../work/work';

export const VERDICTS = ['fits', 'if', 'no'] as const;
export type Verdict = (typeof VERDICTS)[number];
export const VERDICT_NAMES: Record<Verdict, string> = {
  fits: t('Fits'),
  if: t('Fits if'),
  no: t('Does not fit'),
};

/** A figure against its limit. `sense` says which side of the limit is good. */
export interface Against {
  value: number;
  limit: number;
  quantity: QuantityId;
  sense: 'max' | 'min';
}

/** The smallest survey change that would turn the verdict. `text` is typed into the field at `path`. */
export interface Relax {
  say: Message;
  path: string;
  text: string;
}

/** Tolerance: a limit that is met exactly counts as met, despite rounding of a converted unit. */
const NEAR = 1e-9;
const slack = (limit: number) => NEAR * Math.max(1, Math.abs(limit));
export const atMost = (value: number, limit: number): boolean => value <= limit + slack(limit);
export const atLeast = (value: number, limit: number): boolean => value >= limit - slack(limit);

export interface Judgement {
  verdict: Verdict;
  /** The reason in one sentence. */
  because: Message;
  against?: Against;
  /** The condition of an `if`: carried into the plan. */
  condition?: Message;
  /** How it is built, for `fits` with more than one coat or batch: the plan does it, in its own minutes. */
  build?: Message;
  relax?: Relax;
  /** Who must approve it by name. */
  who?: Permission;
  /** Met by an earlier look after return to service. */
  early?: true;
  /** Steps that meet it: a job that has all of them needs no separate tick. */
  steps?: readonly string[];
}

/** Whether a person must meet it first, because no approval and no step does. */
export const isMetByHand = (
  { verdict, who, early, steps }: Judgement,
  has: ReadonlySet<string>,
): boolean => verdict === 'if' && !who && !early && !(steps && steps.every((s) => has.has(s)));

/** A rule of matching: one question about one card for one survey. */
export interface Rule<S = Work> {
  id: string;
  name: string;
  question: string;
  /** Its figure is strength in service: the smallest of these is the margin of a card. */
  strength?: true;
  judge: (subject: S) => Judgement;
}

/** Words, or a function that makes them: thousands of verdicts are judged for each one that is read. */
export type Words = string | Message | (() => Message);
const written = (words: Words): Message =>
  typeof words === 'string' ? m(words) : typeof words === 'function' ? words() : words;

/** Conditions in a row within a sentence. */
export const joinConditions = (terms: readonly Message[]): Message =>
  m(
    terms.map((_, i) => `{t${i}}`).join(', and '),
    Object.fromEntries(terms.map((t, i) => [`t${i}`, t])),
  );

type More = Pick<Judgement, 'against' | 'relax' | 'who' | 'early' | 'steps'>;
const NOTHING: More = {};

/** The condition for a card that is only fair here; the plan says how soon. */
export const LOOKED_EARLY = t('it is looked at again in half the usual time');

/** A judgement whose sentences are made when read. */
class Lazily implements Judgement {
  readonly verdict: Verdict;
  readonly against?: Against;
  readonly relax?: Relax;
  readonly who?: Permission;
  readonly early?: true;
  readonly steps?: readonly string[];
  private readonly words: Words;
  private readonly terms?: Words;

  constructor(verdict: Verdict, { words, terms }: { words: Words; terms?: Words }, more: More) {
    this.verdict = verdict;
    this.words = words;
    this.terms = terms;
    this.against = more.against;
    this.relax = more.relax;
    this.who = more.who;
    this.early = more.early;
    this.steps = more.steps;
  }

  get because(): Message {
    return written(this.words);
  }

  get condition(): Message | undefined {
    return this.verdict === 'if' ? this.written() : undefined;
  }

  get build(): Message | undefined {
    return this.verdict === 'fits' ? this.written() : undefined;
  }

  private written(): Message | undefined {
    return this.terms === undefined ? undefined : written(this.terms);
  }
}

export const fits = (because: Words, against?: Against): Judgement =>
  new Lazily('fits', { words: because }, against ? { against } : NOTHING);
/** Fits, built in a way that the plan takes care of. */
export const fitsBuilt = (build: Words, because: Words, against?: Against): Judgement =>
  new Lazily('fits', { words: because, terms: build }, against ? { against } : NOTHING);
export const fitsIf = (condition: Words, because: Words, more: More = NOTHING): Judgement =>
  new Lazily('if', { words: because, terms: condition }, more);
export const no = (because: Words, more: More = NOTHING): Judgement =>
  new Lazily('no', { words: because }, more);

/** A hint through the demand: only if its figure came from a field on the form. */
export function relaxBy(
  demand: Demand,
  { figure, text, say }: { figure: DemandFigure; text: string; say: Message },
): Relax | undefined {
  const path = demand.paths[figure];
  return path === undefined ? undefined : { say, path, text };
}

/** A hint to one of the fields that every family asks. */
export const relaxCommon = (
  path:
    | 'readings.surfaceC'
    | 'readings.rhPct'
    | 'window.downMin'
    | 'site.area'
    | 'site.tools'
    | 'site.nearby'
    | 'surface.damp',
  text: string,
  say: Message,
): Relax => ({ say, path, text });
