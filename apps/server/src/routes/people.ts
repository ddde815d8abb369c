import { DemoUser, Me } from '@kelmot/contract';
import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import type { AppEnv } from '../http/env';
import { json } from '../http/openapi';

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

export const meRoutes = new OpenAPIHono<AppEnv>().openapi(meRoute, (c) => c.json(c.get('me'), 200));

/** Open to everyone: a demo protects nothing, and any other server answers with an empty list. */
export const demoRoutes = (users: DemoUser[]) =>
  new OpenAPIHono<AppEnv>().openapi(demoRoute, (c) => c.json(users, 200));
