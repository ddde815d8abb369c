import { setImmediate } from 'node:timers/promises';

/** How what is asked at once is asked together. */
export interface Gathering<Asked, Answer> {
  /** Asks many at once, answered in their order. Null, or all of them refused by an error: each is asked alone. */
  together: (many: Asked[]) => Promise<(Answer | null)[]>;
  alone: (one: Asked) => Promise<Answer | null>;
  /** No two with the same are asked together. */
  apart: (one: Asked) => string;
  most: number;
}

/**
 * Gathers what is asked while an asking is under way, and asks it together once that has ended: alone it waits for
 * nothing, and under load many share one round trip. One that cannot be answered with the others holds none of them up.
 */
export function gathered<Asked, Answer>({
  together,
  alone,
  apart,
  most,
}: Gathering<Asked, Answer>): (one: Asked) => Promise<Answer | null> {
  interface Waiting {
    one: Asked;
    answer: (is: Answer | Promise<Answer | null>) => void;
  }
  let waiting: Waiting[] = [];
  let isUnderWay = false;

  const taken = (): Waiting[] => {
    const own = new Map<string, Waiting>();
    waiting = waiting.filter((w) => {
      const key = apart(w.one);
      if (own.size === most || own.has(key)) return true;
      own.set(key, w);
      return false;
    });
    return [...own.values()];
  };
  async function work(): Promise<void> {
    isUnderWay = true;
    while (waiting.length > 0) {
      // Whatever came in the same turn is read before one is taken.
      await setImmediate();
      const own = taken();
      const answers = await together(own.map((w) => w.one)).catch(() => []);
      own.forEach(({ one, answer }, i) => answer(answers[i] ?? alone(one)));
    }
    isUnderWay = false;
  }
  return (one) =>
    new Promise((answer) => {
      waiting.push({ one, answer });
      if (!isUnderWay) void work();
    });
}
