import {
  Ack,
  Command,
  Id,
  LeftoverOffer,
  REPAIR_SORTS,
  RepairPage,
  RepairView,
} from '@kelmot/contract';
import { typedText, t } from '@kelmot/core';
import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import type { Db } from '../db/client';
import { listRepairs, listSorted, placeOf } from '../db/repairQueries';
import { readCursor } from '../db/repairSort';
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
      sort: z.enum(REPAIR_SORTS).optional(),
      order: z.enum(['up', 'down']).default('up'),
      cursor: z.string().max(600).optional(),
    }),
  },
  responses: json(
    200,
    'Repairs, last changed first, or sorted by a column over all rows',
    RepairPage,
  ),
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

/** The position of a cursor in a list; null without a cursor. Throws ProblemError for a malformed one. */
function placeIn<P>(cursor: string | undefined, read: (cursor: string) => P | null): P | null {
  if (cursor === undefined) return null;
  const place = read(cursor);
  if (place) return place;
  throw new ProblemError(422, t('Input out of range'), {
    issues: [
      { path: 'cursor', message: t('is not a position in this list; begin with the first page') },
    ],
  });
}

export const repairRoutes = (db: Db, weather: WeatherService) =>
  new OpenAPIHono<AppEnv>({ defaultHook: throwIfInvalid })
    .openapi(listRoute, async (c) => {
      const { status, q, limit, cursor, sort, order } = c.req.valid('query');
      const filter = { siteId: c.get('me').siteId, status, q, limit };
      const page = sort
        ? listSorted(db, {
            ...filter,
            sort: { by: sort, down: order === 'down' },
            after: placeIn(cursor, readCursor),
          })
        : listRepairs(db, { ...filter, after: placeIn(cursor, placeOf) });
      return c.json(await page, 200);
    })
    .openapi(oneRoute, async (c) => {
      const view = await readRepair(db, {
        siteId: c.get('me').siteId,
        id: c.req.valid('param').id,
      });
      if (!view) throw notFound('repair');
      return c.json(view, 200);
    })
    .openapi(leftoversRoute, async (c) =>
      c.json(await leftoverOffers(db, c.get('me').siteId, c.req.valid('param').id), 200),
    )
    .openapi(commandRoute, async (c) =>
      c.json(
        await runCommand(db, c.get('me'), {
          command: c.req.valid('json'),
          input: { weather, address: addressOf(c) },
        }),
        200,
      ),
    );
