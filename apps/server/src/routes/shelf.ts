import { Forecast, Id, KnownAir, ShelfLot, StockMove } from '@kelmot/contract';
import { typedText } from '@kelmot/core';
import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { and, eq } from 'drizzle-orm';
import type { Db } from '../db/client';
import { photos, repairs } from '../db/repairs';
import { readShelf } from '../db/shelfQueries';
import { addressOf } from '../http/address';
import type { AppEnv } from '../http/env';
import { json } from '../http/openapi';
import { asPerson } from '../http/session';
import { throwIfInvalid } from '../http/throwIfInvalid';
import { notFound } from '../common/problemError';
import { knownAir } from '../services/air';
import { moveStock } from '../services/shelf';
import type { WeatherService } from '../services/weather';

const shelfRoute = createRoute({
  method: 'get',
  path: '/shelf',
  responses: json(200, 'Every lot with packs left, soonest to expire first', z.array(ShelfLot)),
});
const moveRoute = createRoute({
  method: 'post',
  path: '/shelf/moves',
  request: {
    headers: asPerson,
    body: { required: true, content: { 'application/json': { schema: StockMove } } },
  },
  responses: json(200, 'The shelf after the move', z.array(ShelfLot)),
});
const forecastRoute = createRoute({
  method: 'get',
  path: '/forecast',
  responses: json(200, 'Weather to come at the site, hour by hour', Forecast),
});
const airRoute = createRoute({
  method: 'get',
  path: '/air',
  request: { query: z.object({ position: typedText(80) }) },
  responses: json(
    200,
    'Air and surface as last known at a place: read there, else from the weather; null where neither is',
    KnownAir.nullable(),
  ),
});
const photoRoute = createRoute({
  method: 'get',
  path: '/photos/{id}',
  request: { params: z.object({ id: Id }) },
  responses: {
    200: { description: 'The picture', content: { 'image/*': { schema: z.any() } } },
  },
});

export const shelfRoutes = (db: Db, weather: WeatherService) =>
  new OpenAPIHono<AppEnv>({ defaultHook: throwIfInvalid })
    .openapi(shelfRoute, async (c) => c.json(await readShelf(db, c.get('me').siteId), 200))
    .openapi(moveRoute, async (c) =>
      c.json(
        await moveStock(db, c.get('me'), { move: c.req.valid('json'), address: addressOf(c) }),
        200,
      ),
    )
    .openapi(forecastRoute, async (c) =>
      c.json({ source: weather.source, hours: await weather.hours(Date.now()) }, 200),
    )
    .openapi(airRoute, async (c) =>
      c.json(
        await knownAir(db, {
          weather,
          place: { siteId: c.get('me').siteId, ...c.req.valid('query') },
          now: Date.now(),
        }),
        200,
      ),
    )
    .openapi(photoRoute, async (c) => {
      const [photo] = await db
        .select({ data: photos.data, mime: photos.mime })
        .from(photos)
        .innerJoin(repairs, eq(repairs.id, photos.repairId))
        .where(and(eq(photos.id, c.req.valid('param').id), eq(repairs.siteId, c.get('me').siteId)));
      if (!photo) throw notFound('picture');
      return c.body(new Uint8Array(photo.data), 200, {
        'content-type': photo.mime,
        'cache-control': 'private, max-age=31536000, immutable',
      });
    });
