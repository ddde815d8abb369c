import { t } from '@kelmot/core';
import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { CodeSignIn, DevicePerson, SignIn, SignedIn } from '@kelmot/contract';
import type { Context } from 'hono';
import { eq } from 'drizzle-orm';
import { CLIENT_ADDRESS, startSession, type Auth } from '../services/auth';
import type { Db } from '../db/client';
import { users } from '../db/people';
import { addressOf } from '../http/address';
import { deviceOf } from '../http/device';
import type { Sessions } from '../http/session';
import type { AppEnv } from '../http/env';
import { json } from '../http/openapi';
import { ProblemError } from '../common/problemError';
import { throwIfInvalid } from '../http/throwIfInvalid';
import { peopleOf, checkCode } from '../services/deviceCodes';
import { writeAudit, auditRejections, recentRejections } from '../services/auditLines';

const signInRoute = createRoute({
  method: 'post',
  path: '/auth/sign-in/username',
  request: { body: { required: true, content: { 'application/json': { schema: SignIn } } } },
  responses: json(200, 'Signed in: the session is a cookie that no script can read', SignedIn),
});
const hereRoute = createRoute({
  method: 'get',
  path: '/auth/here',
  responses: json(200, 'Whom this device knows by a code', z.array(DevicePerson)),
});
const codeRoute = createRoute({
  method: 'post',
  path: '/auth/sign-in/code',
  request: { body: { required: true, content: { 'application/json': { schema: CodeSignIn } } } },
  responses: json(200, 'Signed in, and the previous person is signed out', SignedIn),
});
const signOutRoute = createRoute({
  method: 'post',
  path: '/auth/sign-out',
  responses: json(200, 'Signed out: the session has ended', SignedIn),
});

/** Rejected sign-ins for one name within a minute, from all addresses, before the name must wait. */
const TRIES_OF_A_NAME = 10;

const tooOften = () => new ProblemError(429, t('Too many tries; wait a minute'));

/** Passes a request to the auth library and keeps only the cookies of its answer: scripts get no token. */
async function ask(auth: Auth, c: Context<AppEnv>, body: object) {
  const headers = new Headers(c.req.raw.headers);
  headers.delete('content-length');
  headers.set(CLIENT_ADDRESS, addressOf(c));
  const asked = new Request(c.req.url, { method: 'POST', headers, body: JSON.stringify(body) });
  const answer = await auth.handler(asked);
  if (answer.status >= 500) throw new ProblemError(503, t('Signing in does not work now'));
  if (answer.status === 429) throw tooOften();
  // Does not reveal whether the name or the password was wrong.
  if (!answer.ok) throw new ProblemError(401, t('Name or password is wrong'));
  for (const cookie of answer.headers.getSetCookie())
    c.header('set-cookie', cookie, { append: true });
}

/**
 * The two endpoints of the auth library that are used; all others are closed. Each sign-in is written to the audit with
 * person and address.
 */
export const authRoutes = (auth: Auth, db: Db, sessions: Sessions) =>
  new OpenAPIHono<AppEnv>({ defaultHook: throwIfInvalid })
    .openapi(signInRoute, async (c) => {
      const { password, username: typed } = c.req.valid('json');
      const username = typed.toLowerCase();
      if ((await recentRejections(db, username)) >= TRIES_OF_A_NAME) throw tooOften();
      const address = addressOf(c);
      const body = { type: 'sign-in', username };
      await auditRejections(
        db,
        { by: null, address },
        { line: { body }, work: () => ask(auth, c, { username, password }) },
      );
      const [user] = await db
        .select({ id: users.id })
        .from(users)
        .where(eq(users.username, username));
      await writeAudit(
        db,
        { by: user?.id ?? null, address },
        { type: 'sign-in', body: { username } },
      );
      return c.json({ ok: true as const }, 200);
    })
    .openapi(hereRoute, async (c) => c.json(await peopleOf(db, deviceOf(c)), 200))
    .openapi(codeRoute, async (c) => {
      const address = addressOf(c);
      const person = await checkCode(db, { device: deviceOf(c), address }, c.req.valid('json'));
      await startSession(auth, c, { person, address, before: await sessions.tokenOf(c) });
      sessions.forget();
      return c.json({ ok: true as const }, 200);
    })
    .openapi(signOutRoute, async (c) => {
      await ask(auth, c, {});
      sessions.forget();
      return c.json({ ok: true as const }, 200);
    });
