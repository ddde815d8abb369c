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

/** For so long it is not asked again whether a session still stands, ms: ended by another server it lasts no longer. */
const KNOWN_MS = 5000;
/** So many are remembered at most. */
const MOST_KNOWN = 5000;

/** The cookie that the auth library sets: over TLS with a prefix that says so. */
const COOKIE = 'kelmot.session_token';

/** Says as whom a device sends something. */
const PERSON = 'kelmot-person';
/** The header of every write that can wait on a device, as the document of the API tells it. */
export const asPerson = z.object({
  [PERSON]: z
    .string()
    .optional()
    .describe('The account that it is meant as; another’s session is refused with 412.'),
});

/** Who is signed in by a cookie. */
export interface Sessions {
  of: (c: Context<AppEnv>) => Promise<Me | null>;
  /** The token of the session of a request; empty where it has none. */
  tokenOf: (c: Context<AppEnv>) => Promise<string>;
  /** Ends what is remembered: of everybody, since it is cheap to ask again. */
  forget: () => void;
}

/**
 * Reads the session of a request: the cookie of the auth library, its signature checked, looked up in one prepared
 * query and then remembered for some seconds, so that a screen of ten requests asks once.
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
        // By this server's clock, which wrote it.
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

/** Lets through who is signed in, and puts them in the context as `me`. */
export const requireSession = (sessions: Sessions) =>
  createMiddleware<AppEnv>(async (c, next) => {
    const me = await sessions.of(c);
    if (!me) throw new ProblemError(401, 'Sign in first');
    // What one person typed is never taken as another's who signed in on the same device meanwhile.
    const meant = c.req.header(PERSON);
    if (meant !== undefined && meant !== me.id)
      throw new ProblemError(412, 'Somebody else is signed in', 'Sign in as who typed it.');
    c.set('me', me);
    await next();
  });

/**
 * Refuses a write that another site made the browser send: same origin and JSON only. Hono's own guard looks at forms
 * alone, which are no writes here; what it lets pass, JSON from elsewhere, is refused too.
 */
export const sameOrigin = createMiddleware<AppEnv>(async (c, next) => {
  if (c.req.method !== 'GET' && c.req.method !== 'HEAD') {
    const origin = c.req.header('origin');
    // A page without an origin says "null", which is no address and no page of ours.
    const from = origin === undefined ? null : URL.canParse(origin) ? new URL(origin).host : '';
    if (from !== null && from !== (c.get('host') ?? c.req.header('host'))) {
      throw new ProblemError(403, 'This write came from another site');
    }
    const type = c.req.header('content-type') ?? '';
    if (!type.startsWith('application/json')) {
      throw new ProblemError(415, 'Send JSON', 'Set content-type to application/json.');
    }
  }
  await next();
});
