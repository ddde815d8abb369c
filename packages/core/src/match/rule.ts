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

export const fits = (because: string, against?: Against): Judgement => ({
  verdict: 'fits',
  because,
  against,
});
export const fitsIf = (
  condition: string,
  because: string,
  more: Partial<Judgement> = {},
): Judgement => ({
  verdict: 'if',
  condition,
  because,
  ...more,
});
export const no = (because: string, more: Partial<Judgement> = {}): Judgement => ({
  verdict: 'no',
  because,
  ...more,
});
