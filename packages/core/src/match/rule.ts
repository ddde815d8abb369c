import type { WorkUp } from '../plan/workUp';
import type { QuantityId } from '../units/quantities';

export type Verdict = 'fits' | 'if' | 'no';
export const VERDICT_NAMES: Record<Verdict, string> = {
  fits: 'Fits',
  if: 'Fits if',
  no: 'Does not fit',
};

/** A figure against its limit, for the limit rule. `sense` says on which side of the limit is good. */
export interface Against {
  value: number;
  limit: number;
  quantity: QuantityId;
  sense: 'max' | 'min';
}

/** The smallest change of the survey that would turn the verdict. `text` is typed into the field at `path`. */
export interface Relax {
  say: string;
  path: string;
  text: string;
}

export interface Judgement {
  verdict: Verdict;
  /** The reason in one sentence. */
  because: string;
  against?: Against;
  /** What must be held to, for `if`: carried into the plan as a hold. */
  condition?: string;
  relax?: Relax;
}

/** A rule of matching: one question asked of one card for one survey. */
export interface Rule {
  id: string;
  name: string;
  question: string;
  judge: (work: WorkUp) => Judgement;
}

/** Words, or how to write them: thousands of verdicts are judged for each one that is read. */
type Words = string | (() => string);

/** A judgement whose sentences are written when somebody reads them, once. */
class Lazily implements Judgement {
  readonly verdict: Verdict;
  readonly against?: Against;
  readonly relax?: Relax;
  /** Set by who asks the question; here from the start, so that every verdict has one shape. */
  rule: Pick<Rule, 'id' | 'name' | 'question'> | undefined = undefined;
  private words: Words;
  private terms?: Words;

  constructor(verdict: Verdict, words: Words, more: More, terms?: Words) {
    this.verdict = verdict;
    this.words = words;
    this.terms = terms;
    this.against = more.against;
    this.relax = more.relax;
  }

  get because(): string {
    if (typeof this.words === 'function') this.words = this.words();
    return this.words;
  }

  get condition(): string | undefined {
    if (typeof this.terms === 'function') this.terms = this.terms();
    return this.terms;
  }
}
type More = Pick<Judgement, 'against' | 'relax'>;
const NOTHING: More = {};

export const fits = (because: Words, against?: Against): Judgement =>
  new Lazily('fits', because, against ? { against } : NOTHING);
export const fitsIf = (condition: Words, because: Words, more: More = NOTHING): Judgement =>
  new Lazily('if', because, more, condition);
export const no = (because: Words, more: More = NOTHING): Judgement =>
  new Lazily('no', because, more);
