import { t } from '@kelmot/core';
import { ProblemError } from '../common/problemError';

/** The database's error about a failed query. */
interface Failure {
  code?: unknown;
  cause?: unknown;
  message?: unknown;
}

const asFailure = (error: unknown): Failure | null =>
  typeof error === 'object' && error !== null ? error : null;

/** The driver's own error, unwrapped. */
function innermost(error: unknown): Failure | null {
  let at = asFailure(error);
  for (let depth = 0; depth < 5 && at && typeof at.code !== 'string'; depth += 1)
    at = asFailure(at.cause) ?? (typeof at.message === 'string' ? at : null);
  return at;
}

/** The value cannot be stored: out of range, malformed, or with a character that text cannot hold. */
const UNKEPT = /^(22|23514)/;
/** A temporary failure: connection lost or refused, timeout of a lock or statement, serialisation failure. */
const NOT_NOW = /^(08|53|55P03|57|40|ECONN|EPIPE|ETIMEDOUT)/;
/** The pool reports these as text only. */
const NO_CONNECTION = /timeout exceeded when trying to connect|connection terminated/i;

/**
 * The problem to report for a failed query, so that no input and no state of the database is an unexpected error. Null
 * for our own fault.
 */
export function problemOfQuery(error: unknown): ProblemError | null {
  const found = innermost(error);
  const code = typeof found?.code === 'string' ? found.code : '';
  if (code === '23505')
    return new ProblemError(409, t('This id is in use'), {
      detail: t('Make a new id, then send it again.'),
    });
  if (code === '23503')
    return new ProblemError(422, t('It names something that is not here'), {
      detail: t('Load again, then send.'),
    });
  if (UNKEPT.test(code))
    return new ProblemError(422, t('Input out of range'), {
      detail: t('A value is not one that can be kept.'),
    });
  const words = typeof found?.message === 'string' ? found.message : '';
  if (NOT_NOW.test(code) || NO_CONNECTION.test(words))
    return new ProblemError(503, t('The database is busy or away'), {
      detail: t('Nothing was written. It is sent again by itself.'),
    });
  return null;
}
