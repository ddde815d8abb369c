import { createHash, randomBytes } from 'node:crypto';
import type { Context } from 'hono';
import { getCookie, setCookie } from 'hono/cookie';
import type { AppEnv } from './env';

/** The cookie that identifies a device; scripts cannot read it. */
const COOKIE = 'kelmot.device';
/** The longest time that browsers keep a cookie, s. */
const KEPT_S = 400 * 24 * 3600;

const hashOf = (said: string): string => createHash('sha256').update(said).digest('hex');

/** The device of a request, as it is stored; null if the request has no cookie. */
export function deviceOf(c: Context<AppEnv>): string | null {
  const said = getCookie(c, COOKIE);
  return said ? hashOf(said) : null;
}

/** The same; gives a new device its cookie. */
export function ensureDevice(c: Context<AppEnv>, secure: boolean): string {
  const known = deviceOf(c);
  if (known) return known;
  const said = randomBytes(32).toString('base64url');
  setCookie(c, COOKIE, said, {
    ...{ path: '/api', httpOnly: true, sameSite: 'lax', secure, maxAge: KEPT_S },
  });
  return hashOf(said);
}
