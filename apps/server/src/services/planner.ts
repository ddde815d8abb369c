import { t } from '@kelmot/core';
import type { leftoverUses, makePlan } from '@kelmot/core';
import { Piscina } from 'piscina';
import { ProblemError } from '../common/problemError';

/** Time limit of a plan, ms: longer than any plan takes on a slow machine under load; then its thread is ended. */
const LONGEST_MS = 20_000;

/** A worker thread does not inherit the loader that the server was started with: see the worker. */
const WORKER = process.env.COMPILED_INTO
  ? `file://${process.env.COMPILED_INTO}/apps/server/src/services/plannerWork.mjs`
  : new URL('./planner.worker.mjs', import.meta.url).href;

let started: Promise<Piscina> | undefined;

/** Starts the threads; waits until the first has loaded core, which takes seconds. */
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
 * Runs core in a worker thread, so that other requests do not wait, and ends it after its time limit: an extreme card
 * slows only its own request.
 */
async function workOut<T>({
  name,
  ask,
  what,
  longest,
}: {
  name: string;
  ask: unknown;
  what: string;
  longest: number;
}): Promise<T> {
  started ??= start().catch((error: unknown) => {
    // The next request tries again.
    started = undefined;
    throw error;
  });
  const pool = await started;
  const signal = AbortSignal.timeout(longest);
  try {
    return (await pool.run(ask, { name, signal })) as T;
  } catch (error) {
    if (!signal.aborted) throw error;
    throw new ProblemError(422, t('{what} takes too long to calculate', { what }), {
      detail: t('Its figures are too extreme. Check the card and the survey.'),
    });
  }
}

/** Makes a plan, within the time limit. */
export const planInWorker = (
  ask: Parameters<typeof makePlan>,
  longest = LONGEST_MS,
): Promise<ReturnType<typeof makePlan>> =>
  workOut({ name: 'plan', ask, what: ask[1].code, longest });

/** Finds the uses of a plan's leftovers, within the time limit. */
export const leftoversInWorker = (
  ask: Parameters<typeof leftoverUses>,
  longest = LONGEST_MS,
): Promise<ReturnType<typeof leftoverUses>> =>
  workOut({ name: 'leftovers', ask, what: t('What is left over'), longest });
