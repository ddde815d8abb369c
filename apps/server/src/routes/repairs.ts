import { Ack, Command, Id, LeftoverOffer, RepairPage, RepairView } from '@kelmot/contract';
import { typedText } from '@kelmot/core';
import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import type { Db } from '../db/client';
import { listRepairs, placeOf } from '../db/repairQueries';
import { readRepair } from '../db/repairView';
import { addressOf } from '../http/address';
import type { AppEnv } from '../http/env';
import { json } from '../http/openapi';
import { asPerson } from '../http/session';
import { throwIfInvalid } from '../http/throwIfInvalid';
import { notFound, ProblemError } from '../common/problemError';
import { runCommand } from '../services/command';
import { leftoverOffers } from '../services/leftovers';
import type { WeatherService } from '../services/weather';

const listRoute = createRoute({
  method: 'get',
  path: '/repairs',
  request: {
    query: z.object({
      status: z.enum(['open', 'closed', 'dropped', 'all']).default('all'),
      q: typedText(80).default(''),
      limit: z.coerce.number().int().min(1).max(200).default(50),
      cursor: z.string().max(200).optional(),
    }),
  },
  responses: json(200, 'Repairs, newest change first', RepairPage),
});
const oneRoute = createRoute({
  method: 'get',
  path: '/repairs/{id}',
  request: { params: z.object({ id: Id }) },
  responses: json(200, 'One repair whole, with its plan and record', RepairView),
});
const leftoversRoute = createRoute({
  method: 'get',
  path: '/repairs/{id}/leftovers',
  request: { params: z.object({ id: Id }) },
  responses: json(
    200,
    'Open repairs that what this one leaves over would do, the best use first',
    z.array(LeftoverOffer),
  ),
});
const commandRoute = createRoute({
  method: 'post',
  path: '/commands',
  request: {
    headers: asPerson,
    body: { required: true, content: { 'application/json': { schema: Command } } },
  },
  responses: json(200, 'The command took effect, now or before', Ack),
});

export const repairRoutes = (db: Db, weather: WeatherService) =>
  new OpenAPIHono<AppEnv>({ defaultHook: throwIfInvalid })
    .openapi(listRoute, async (c) => {
      const { status, q, limit, cursor } = c.req.valid('query');
      const place = cursor === undefined ? null : placeOf(cursor);
      if (cursor !== undefined && !place)
        throw new ProblemError(422, 'Input out of range', undefined, [
          { path: 'cursor', message: 'is no place in this list; begin from the first page' },
        ]);
      const { siteId } = c.get('me');
      return c.json(await listRepairs(db, { siteId, status, q, limit, after: place }), 200);
    })
    .openapi(oneRoute, async (c) => {
      const view = await readRepair(db, c.get('me').siteId, c.req.valid('param').id);
      if (!view) throw notFound('repair');
      return c.json(view, 200);
    })
    .openapi(leftoversRoute, async (c) =>
      c.json(await leftoverOffers(db, c.get('me').siteId, c.req.valid('param').id), 200),
    )
    .openapi(commandRoute, async (c) =>
      c.json(
        await runCommand(db, c.get('me'), c.req.valid('json'), { weather, address: addressOf(c) }),
        200,
      ),
    );
