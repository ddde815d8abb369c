import { Asset, CardFile, CardOutcome, Site } from '@kelmot/contract';
import { Card, SUBSTRATES, MEDIA, WEAR } from '@kelmot/core';
import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { asc, eq } from 'drizzle-orm';
import type { Db } from '../db/client';
import { readCards } from '../db/cardQueries';
import { assets } from '../db/plant';
import { addressOf } from '../http/address';
import type { AppEnv } from '../http/env';
import { json } from '../http/openapi';
import { asPerson } from '../http/session';
import { throwIfInvalid } from '../http/throwIfInvalid';
import { importCards } from '../services/cards';
import { siteOf } from '../services/planning';

const siteRoute = createRoute({
  method: 'get',
  path: '/site',
  responses: json(200, 'The site and its settings', Site),
});
const assetsRoute = createRoute({
  method: 'get',
  path: '/assets',
  responses: json(200, 'All plant, by tag', z.array(Asset)),
});
const cardsRoute = createRoute({
  method: 'get',
  path: '/cards',
  responses: json(200, 'The newest version of every card', z.array(Card)),
});

const importRoute = createRoute({
  method: 'post',
  path: '/cards',
  request: {
    headers: asPerson,
    body: { required: true, content: { 'application/json': { schema: CardFile } } },
  },
  responses: json(200, 'What became of each card', z.array(CardOutcome)),
});

const oneOf = <V extends string>(values: readonly V[], text: string | null): V | null =>
  values.find((v) => v === text) ?? null;

export const plantRoutes = (db: Db, instruments: Site['instruments']) =>
  new OpenAPIHono<AppEnv>({ defaultHook: throwIfInvalid })
    .openapi(siteRoute, async (c) => {
      const { siteId } = c.get('me');
      return c.json({ id: siteId, settings: await siteOf(db, siteId), instruments }, 200);
    })
    .openapi(assetsRoute, async (c) => {
      const rows = await db
        .select()
        .from(assets)
        .where(eq(assets.siteId, c.get('me').siteId))
        .orderBy(asc(assets.tag));
      const list = rows.map(({ siteId: _site, ...a }) => ({
        ...a,
        material: oneOf(SUBSTRATES, a.material),
        medium: oneOf(MEDIA, a.medium),
        wear: oneOf(WEAR, a.wear),
      }));
      return c.json(list, 200);
    })
    .openapi(cardsRoute, async (c) => c.json(await readCards(db, c.get('me').siteId), 200))
    .openapi(importRoute, async (c) =>
      c.json(
        await importCards(db, c.get('me'), { file: c.req.valid('json'), address: addressOf(c) }),
        200,
      ),
    );
