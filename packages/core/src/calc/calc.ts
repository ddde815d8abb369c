import type { z } from 'zod';
import type { NamedResult, Names } from './field';

/** One line of a calculation, as a person would write it. `value` is in `unit`, unrounded. */
export interface WorkingLine {
  symbol: string;
  label: string;
  expression: string;
  value: number | string;
  unit: string;
  source: string;
}

/** A result with its working, or a refusal of valid input with its reason. */
export type Answer<R extends object> = Worked<R> | Refusal;
export type Worked<R extends object> = { ok: true } & R & { working: WorkingLine[] };
export interface Refusal {
  ok: false;
  why: string;
}

/** Receives the progress of a long calculation, 0 to 1. */
export type Report = (share: number) => void;

/** What docs/formulas.md says about a calculation. Symbols and units come from the working of its example. */
export interface CalcDoc<I> {
  /** The formulas in order, one on each line. */
  formula: readonly string[];
  /** Their source. */
  source: string;
  /** Where they are valid, and where not to trust them. */
  limits: string;
  /** One worked example: realistic input that has an answer. */
  example: I;
}

/** A calculation as `bin/calc` and the quick tools list it: a name, a purpose, a schema, a pure function. */
export interface Calc extends CalcDoc<object> {
  name: string;
  purpose: string;
  input: z.ZodType;
  /** Takes so long that it runs in a worker, with progress. */
  heavy: boolean;
  /** The name of the main result, if it is not the first. */
  headline?: string;
  /** The title of each field of the result. */
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

/** Binds a pure function to its input's schema, so that every caller parses in the same way. */
export function defineCalc<S extends z.ZodType, R extends object>(spec: CalcSpec<S, R>): Calc {
  const { input, run, result, heavy = false } = spec;
  return {
    ...spec,
    result: result as Names,
    heavy,
    run: (raw, report) => asPlainData(run(input.parse(raw), report)),
  };
}

export const refuse = (why: string): Refusal => ({ ok: false, why });

const LINES = Symbol('lines');

/** Makes the lines of a working when they are first read, once. JSON does not contain them: see `plain`. */
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
 * A result with its working. For a calculation that runs thousands of times and is shown once, pass the lines as a
 * function: they are made when read. Before it leaves core as data, convert it: see `plain`.
 */
export const worked = <R extends object>(
  result: R,
  working: WorkingLine[] | (() => WorkingLine[]),
): Worked<R> => new Lazily(result, working) as unknown as Worked<R>;

/** An answer as plain data, with its working: for printing, sending and saving. */
export const asPlainData = <R extends object>(answer: Answer<R>): Answer<R> =>
  answer.ok ? { ...answer, working: answer.working } : answer;

export function line({
  symbol,
  label,
  expression,
  value,
  unit = '',
  source = '',
}: {
  symbol: string;
  label: string;
  expression: string;
  value: number | string;
  unit?: string;
  source?: string;
}): WorkingLine {
  return { symbol, label, expression, value, unit, source };
}

/** The result of a calculation whose input is known to have an answer. Throws the reason otherwise. */
export function answerOf<R extends object>(answer: Answer<R>): Worked<R> {
  if (!answer.ok) throw new Error(answer.why);
  return answer;
}

/** A figure in an expression: four significant digits, no exponent, no trailing zeros, a real minus sign. */
export function formatFigure(x: number): string {
  if (x === 0) return '0';
  const magnitude = Math.abs(x);
  if (magnitude >= 1e7 || magnitude < 1e-4) return x.toExponential(3);
  const digits = Math.max(0, 3 - Math.floor(Math.log10(magnitude)));
  const text = x.toFixed(Math.min(digits, 8)).replace('-', '−');
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}
