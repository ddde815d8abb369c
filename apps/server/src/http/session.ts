import { t } from '@kelmot/core';
import { z } from '@hono/zod-openapi';
import { Role, type Me } from '@kelmot/contract';
import { and, eq, gt, sql } from 'drizzle-orm';
import type { Context } from 'hono';
import { getSignedCookie } from 'hono/cookie';
import { createMiddleware } from 'hono/factory';
import { overTls, type AuthOptions } from '../services/auth';
import type { Db } from '../db/client';
import { sessions, users } from '../db/people';
import type { AppEnv } from './env';
import { ProblemError } from '../common/problemError';

/**
 * How long a session is remembered without asking the database, ms: a session that another server ended lasts no
 * longer.
 */
const KNOWN_MS = 5000;
/** Most sessions that are remembered. */
const MOST_KNOWN = 5000;

/** The auth library's cookie; over TLS it has a security prefix. */
const COOKIE = 'kelmot.session_token';

/** The header that names the person a device sends as. */
const PERSON = 'kelmot-person';
/** The header of every write that can be queued on a device, for the API document. */
export const asPerson = z.object({
  [PERSON]: z
    .string()
    .optional()
    .describe(t('The account that it is meant as; another’s session is refused with 412.')),
});

/** Looks up who is signed in. */
export interface Sessions {
  of: (c: Context<AppEnv>) => Promise<Me | null>;
  /** The session token of a request; empty if it has none. */
  tokenOf: (c: Context<AppEnv>) => Promise<string>;
  /** Clears all remembered sessions. */
  forget: () => void;
}

/**
 * Reads a request's session: checks the signature of the auth library's cookie, looks it up in one prepared query, and
 * remembers it for some seconds, so that a screen's ten requests ask once.
 */
export function makeSessions(
  db: Db,
  { secret, publicUrl }: Pick<AuthOptions, 'secret' | 'publicUrl'>,
): Sessions {
  const prefix = overTls(publicUrl) ? 'secure' : undefined;
  const known = new Map<string, { me: Me; until: number }>();
  const find = db
    .select({ user: users })
    .from(sessions)
    .innerJoin(users, eq(users.id, sessions.userId))
    .where(
      and(
        eq(sessions.token, sql.placeholder('token')),
        // By this server's clock, which also wrote it.
        gt(sessions.expiresAt, sql.placeholder('now')),
      ),
    )
    .prepare('who_is_signed_in');
  const tokenOf = async (c: Context<AppEnv>): Promise<string> =>
    (prefix
      ? await getSignedCookie(c, secret, COOKIE, prefix)
      : await getSignedCookie(c, secret, COOKIE)) || '';
  return {
    tokenOf,
    forget: () => known.clear(),
    of: async (c) => {
      const cookie = c.req.header('cookie') ?? '';
      const before = known.get(cookie);
      if (before && before.until > Date.now()) return before.me;
      const token = await tokenOf(c);
      const [found] = token ? await find.execute({ token, now: new Date() }) : [];
      if (!found) return null;
      const { id, name, username, role, siteId, approves } = found.user;
      const me: Me = { id, name, username, role: Role.parse(role), siteId, approves };
      if (known.size >= MOST_KNOWN) known.clear();
      known.set(cookie, { me, until: Date.now() + KNOWN_MS });
      return me;
    },
  };
}

/** Lets signed-in people pass, and puts them into the context as `me`. */
export const requireSession = (sessions: Sessions) =>
  createMiddleware<AppEnv>(async (c, next) => {
    const me = await sessions.of(c);
    if (!me) throw new ProblemError(401, t('Sign in first'));
    // What one person typed is never taken as another's who has signed in on the same device since.
    const meant = c.req.header(PERSON);
    if (meant !== undefined && meant !== me.id)
      throw new ProblemError(412, t('Somebody else is signed in'), {
        detail: t('Sign in as who typed it.'),
      });
    c.set('me', me);
    await next();
  });

/**
 * Refuses a write that another website made the browser send: only same origin and JSON. Hono's own guard checks forms
 * only, which are not accepted here; it lets JSON from other origins pass.
 */
export const sameOrigin = createMiddleware<AppEnv>(async (c, next) => {
  if (c.req.method !== 'GET' && c.req.method !== 'HEAD') {
    const origin = c.req.header('origin');
    // A page without an origin sends "null", which is not one of our pages.
    const from = origin === undefined ? null : URL.canParse(origin) ? new URL(origin).host : '';
    if (from !== null && from !== (c.get('host') ?? c.req.header('host'))) {
      throw new ProblemError(403, t('This write came from another site'));
    }
    const type = c.req.header('content-type') ?? '';
    if (!type.startsWith('application/json')) {
      throw new ProblemError(415, t('Send JSON'), {
        detail: t('Set content-type to application/json.'),
      });
    }
  }
  await next();
});
