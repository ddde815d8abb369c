import { t } from '@kelmot/core';
import { dictionary } from '@zxcvbn-ts/language-common';
import { LEAST_PASSWORD } from '@kelmot/contract';
import { ProblemError } from '../common/problemError';

/** Frequent passwords, which are guessed first. */
const COMMON: ReadonlySet<string> = new Set(dictionary['passwords-common']);

/** A frequent word, doubled or with figures and signs added. */
function isSpunOut(password: string): boolean {
  const bare = password.replace(/[^\p{L}]+$/u, '');
  const half = password.slice(0, password.length / 2);
  const doubled = half.length > 0 && half.repeat(2) === password;
  return COMMON.has(bare) || (doubled && COMMON.has(half));
}

/** Why a password is easy to guess; null if it is not. */
export function guessable(password: string, username: string): string | null {
  const small = password.toLowerCase();
  if (password.length < LEAST_PASSWORD)
    return t('must have {leastPassword} characters or more; a few words in a row are good', {
      leastPassword: LEAST_PASSWORD,
    });
  if (small.includes(username.toLowerCase())) return t('must not have the user name in it');
  if (new Set(small).size < 5) return t('is the same few characters again and again; use words');
  if (COMMON.has(small) || isSpunOut(small))
    return t('is one of the passwords that are tried first; use a few words of your own');
  return null;
}

/** Refuses a password that is easy to guess, and says what would be better. */
export function refuseGuessable(password: string, username: string): void {
  const why = guessable(password, username);
  if (why)
    throw new ProblemError(422, t('This password would be guessed'), {
      issues: [{ path: 'next', message: why }],
    });
}
