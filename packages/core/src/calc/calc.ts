import type { z } from 'zod';
import type { NamedResult, Names } from './field';

/** One line of a sum as a person would write it down. `value` is in `unit`, unrounded. */
export interface WorkingLine {
  symbol: string;
  label: string;
  expression: string;
  value: number | string;
  unit: string;
  source: string;
}

/** A worked result, or a reasoned refusal of well-formed input. */
export type Answer<R extends object> = Worked<R> | Refusal;
export type Worked<R extends object> = { ok: true } & R & { working: WorkingLine[] };
export interface Refusal {
  ok: false;
  why: string;
}

/** Told how far a long sum has come, from 0 to 1. */
export type Report = (share: number) => void;

/** What docs/formulas.md says of a calculation. Symbols and units come from the working of its example. */
export interface CalcDoc<I> {
  /** The sums in their order, one a line. */
  formula: readonly string[];
  /** Where they come from. */
  source: string;
  /** What they are good for, and where not to trust them. */
  limits: string;
  /** One worked example: real-sounding input that has an answer. */
  example: I;
}

/** A calculation as `bin/calc` and the quick tools list it: a name, a purpose, a schema, a pure function. */
export interface Calc extends CalcDoc<object> {
  name: string;
  purpose: string;
  input: z.ZodType;
  /** Takes long enough to be run in a worker, with progress. */
  heavy: boolean;
  /** The result a person looks for first, where it is not the first one named. */
  headline?: string;
  /** What each field of the result is called. */
  result: Names;
  run: (input: unknown, report?: Report) => Answer<object>;
}

interface CalcSpec<S extends z.ZodType, R extends object> extends CalcDoc<z.input<S> & object> {
  name: string;
  purpose: string;
  input: S;
  heavy?: boolean;
  headline?: keyof R & string;
  run: (input: z.output<S>, report?: Report) => Answer<R>;
  result: NamedResult<R>;
}

/** Binds a pure function to the schema of its input, so that every edge parses the same way. */
export function defineCalc<S extends z.ZodType, R extends object>(spec: CalcSpec<S, R>): Calc {
  const { input, run, result, heavy = false } = spec;
  return {
    ...spec,
    result: result as Names,
    heavy,
    run: (raw, report) => plain(run(input.parse(raw), report)),
  };
}

export const refuse = (why: string): Refusal => ({ ok: false, why });

const LINES = Symbol('lines');

/** Holds the lines of a sum until somebody looks; they are then written once. JSON does not see them: see `plain`. */
class Lazily {
  [LINES]: WorkingLine[] | (() => WorkingLine[]);
  readonly ok = true as const;

  constructor(result: object, lines: WorkingLine[] | (() => WorkingLine[])) {
    this[LINES] = lines;
    Object.assign(this, result);
  }

  get working(): WorkingLine[] {
    const lines = this[LINES];
    if (typeof lines !== 'function') return lines;
    return (this[LINES] = lines());
  }
}

/**
 * A result with its working. A sum that is made thousands of times and shown once gives its lines as a function: they
 * are written when they are asked for. What leaves the core as data is made plain first, see `plain`.
 */
export const worked = <R extends object>(
  result: R,
  working: WorkingLine[] | (() => WorkingLine[]),
): Worked<R> => new Lazily(result, working) as unknown as Worked<R>;

/** An answer as plain data, its working written out: for printing, sending and saving. */
export const plain = <R extends object>(answer: Answer<R>): Answer<R> =>
  answer.ok ? { ...answer, working: answer.working } : answer;

export function line(
  symbol: string,
  label: string,
  expression: string,
  value: number | string,
  unit = '',
  source = '',
): WorkingLine {
  return { symbol, label, expression, value, unit, source };
}

/** Takes the result of a calculation that was given input known to have an answer. Throws with the reason otherwise. */
export function must<R extends object>(answer: Answer<R>): Worked<R> {
  if (!answer.ok) throw new Error(answer.why);
  return answer;
}

/** A figure inside an expression: four significant digits, no exponent, no trailing zeros, a real minus. */
export function fig(x: number): string {
  if (x === 0) return '0';
  const magnitude = Math.abs(x);
  if (magnitude >= 1e7 || magnitude < 1e-4) return x.toExponential(3);
  const digits = Math.max(0, 3 - Math.floor(Math.log10(magnitude)));
  const text = x.toFixed(Math.min(digits, 8)).replace('-', '−');
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}
