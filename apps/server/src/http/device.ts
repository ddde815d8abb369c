import { createHash, randomBytes } from 'node:crypto';
import type { Context } from 'hono';
import { getCookie, setCookie } from 'hono/cookie';
import type { AppEnv } from './env';

/** What a device is known by: no script of it can read it. */
const COOKIE = 'kelmot.device';
/** As long as a browser keeps anything, s. */
const KEPT_S = 400 * 24 * 3600;

const hashOf = (said: string): string => createHash('sha256').update(said).digest('hex');

/** The device of a request, as it is stored; null for one that nobody has a code on. */
export function deviceOf(c: Context<AppEnv>): string | null {
  const said = getCookie(c, COOKIE);
  return said ? hashOf(said) : null;
}

/** The same, and a device that is not known yet is from now on. */
export function deviceKnown(c: Context<AppEnv>, secure: boolean): string {
  const known = deviceOf(c);
  if (known) return known;
  const said = randomBytes(32).toString('base64url');
  setCookie(c, COOKIE, said, {
    ...{ path: '/api', httpOnly: true, sameSite: 'lax', secure, maxAge: KEPT_S },
  });
  return hashOf(said);
}
