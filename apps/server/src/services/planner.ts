import type { leftoverUses, makePlan } from '@kelmot/core';
import { Piscina } from 'piscina';
import { ProblemError } from '../common/problemError';

/** Longer than any plan takes, on a slow machine under load: one that takes more is put down, ms. */
const LONGEST_MS = 20_000;

/** A thread has none of the loader that the server was started with, if it was: see the worker. */
const WORKER = process.env.COMPILED_INTO
  ? `file://${process.env.COMPILED_INTO}/apps/server/src/services/plannerWork.mjs`
  : new URL('./planner.worker.mjs', import.meta.url).href;

let started: Promise<Piscina> | undefined;

/** The threads, once the first has read what it works with: that takes seconds, and is nobody's time. */
async function start(): Promise<Piscina> {
  const pool = new Piscina({
    filename: WORKER,
    minThreads: 1,
    maxThreads: 2,
    idleTimeout: 60_000,
  });
  await pool.run(null, { name: 'ready' });
  return pool;
}

/**
 * Works something out in a thread of its own, so that nobody else waits for it, and puts it down after its time: a card
 * whose figures ask for more than can be worked out costs whoever asked for it, and nobody else.
 */
async function workOut<T>(name: string, ask: unknown, what: string, longest: number): Promise<T> {
  started ??= start().catch((error: unknown) => {
    // The next one who asks tries again.
    started = undefined;
    throw error;
  });
  const pool = await started;
  const signal = AbortSignal.timeout(longest);
  try {
    return (await pool.run(ask, { name, signal })) as T;
  } catch (error) {
    if (!signal.aborted) throw error;
    throw new ProblemError(
      422,
      `${what} takes too long to work out`,
      'Its figures ask for more than can be worked out. Look at the card and at the survey.',
    );
  }
}

/** A plan as core makes it, within its time. */
export const planAway = (
  ask: Parameters<typeof makePlan>,
  longest = LONGEST_MS,
): Promise<ReturnType<typeof makePlan>> => workOut('plan', ask, ask[1].code, longest);

/** What a plan leaves over and where it would do, within its time. */
export const leftoversAway = (
  ask: Parameters<typeof leftoverUses>,
  longest = LONGEST_MS,
): Promise<ReturnType<typeof leftoverUses>> =>
  workOut('leftovers', ask, 'What is left over', longest);
