import { Role } from '@kelmot/contract';
import { createMiddleware } from 'hono/factory';
import type { Auth } from '../auth';
import type { AppEnv } from './env';
import { ProblemError } from './problem';

/** Lets through who is signed in, and puts them in the context as `me`. */
export const requireSession = (auth: Auth) =>
  createMiddleware<AppEnv>(async (c, next) => {
    const session = await auth.api.getSession({ headers: c.req.raw.headers });
    if (!session) throw new ProblemError(401, 'Sign in first');
    const { id, name, username, role } = session.user;
    c.set('me', { id, name, username: username ?? '', role: Role.parse(role) });
    await next();
  });

/** Refuses a write that another site made the browser send: same origin and JSON only. */
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
