import { DemoUser, Me, NewPassword, OwnCode, SignedIn } from '@kelmot/contract';
import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import type { Db } from '../db/client';
import { addressOf } from '../http/address';
import { ensureDevice, deviceOf } from '../http/device';
import type { AppEnv } from '../http/env';
import { json } from '../http/openapi';
import type { Sessions } from '../http/session';
import { throwIfInvalid } from '../http/throwIfInvalid';
import { dropCode, setCode } from '../services/deviceCodes';
import { changeOwnPassword } from '../services/people';

const meRoute = createRoute({
  method: 'get',
  path: '/me',
  responses: json(200, 'Who is signed in', Me),
});
const demoRoute = createRoute({
  method: 'get',
  path: '/demo/users',
  responses: json(200, 'Sign-ins of a demo server; empty on any other', z.array(DemoUser)),
});

const passwordRoute = createRoute({
  method: 'post',
  path: '/me/password',
  request: { body: { required: true, content: { 'application/json': { schema: NewPassword } } } },
  responses: json(200, 'A new password is set, and every other session has ended', SignedIn),
});

const codeRoute = createRoute({
  method: 'post',
  path: '/me/code',
  request: { body: { required: true, content: { 'application/json': { schema: OwnCode } } } },
  responses: json(200, 'This device knows them by the code from now on', SignedIn),
});
const noCodeRoute = createRoute({
  method: 'post',
  path: '/me/code/drop',
  responses: json(200, 'This device has forgotten the code', SignedIn),
});

/**
 * What people may read and change about themselves: the password, and a code for this device. The administrator sets
 * name and role.
 */
export const meRoutes = (db: Db, sessions: Sessions, secure: boolean) =>
  new OpenAPIHono<AppEnv>({ defaultHook: throwIfInvalid })
    .openapi(meRoute, (c) => c.json(c.get('me'), 200))
    .openapi(codeRoute, async (c) => {
      const here = { device: ensureDevice(c, secure), address: addressOf(c) };
      await setCode(db, c.get('me'), { own: c.req.valid('json'), here });
      return c.json({ ok: true as const }, 200);
    })
    .openapi(noCodeRoute, async (c) => {
      await dropCode(db, c.get('me'), deviceOf(c));
      return c.json({ ok: true as const }, 200);
    })
    .openapi(passwordRoute, async (c) => {
      const from = { address: addressOf(c), token: await sessions.tokenOf(c) };
      await changeOwnPassword(db, c.get('me'), { passwords: c.req.valid('json'), here: from });
      sessions.forget();
      return c.json({ ok: true as const }, 200);
    });

/** Public: on a demo server it lists the demo people; any other server answers with an empty list. */
export const demoRoutes = (users: DemoUser[]) =>
  new OpenAPIHono<AppEnv>().openapi(demoRoute, (c) => c.json(users, 200));
