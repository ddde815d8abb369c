import { setImmediate } from 'node:timers/promises';

/** How a group of requests is handled together. */
export interface Batching<Asked, Answer> {
  /**
   * Handles many requests at once; answers in their order. A null answer, or an error for all: these are handled alone.
   */
  together: (many: Asked[]) => Promise<(Answer | null)[]>;
  alone: (one: Asked) => Promise<Answer | null>;
  /** Two requests with the same key are never in one group. */
  apart: (one: Asked) => string;
  most: number;
}

/**
 * Batching: requests that arrive while a group is handled form the next group. A single request never waits; under load
 * many share one round trip. A request that fails in a group is handled alone and does not hold up the others.
 */
export function batched<Asked, Answer>({
  together,
  alone,
  apart,
  most,
}: Batching<Asked, Answer>): (one: Asked) => Promise<Answer | null> {
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
      // Lets all requests of the same turn arrive before the first group starts.
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
