import { t } from '@kelmot/core';
import { setTimeout } from 'node:timers/promises';
import { serveStatic } from '@hono/node-server/serve-static';
import { OpenAPIHono } from '@hono/zod-openapi';
import type { DemoUser, Site } from '@kelmot/contract';
import { sql } from 'drizzle-orm';
import { etag } from 'hono/etag';
import { requestId } from 'hono/request-id';
import { compress } from 'hono/compress';
import { secureHeaders } from 'hono/secure-headers';
import type { Logger } from 'pino';
import { overTls, type Auth } from './services/auth';
import type { Db } from './db/client';
import type { AppEnv } from './http/env';
import { limitBody } from './http/limitBody';
import { onError, problem } from './http/problem';
import { requireSession, sameOrigin, type Sessions } from './http/session';
import { authRoutes } from './routes/auth';
import { liveRoutes } from './routes/live';
import { demoRoutes, meRoutes } from './routes/people';
import { plantRoutes } from './routes/plant';
import { repairRoutes } from './routes/repairs';
import { shelfRoutes } from './routes/shelf';
import type { WeatherService } from './services/weather';

export interface AppDeps {
  db: Db;
  auth: Auth;
  sessions: Sessions;
  log: Logger;
  webRoot: string;
  demoUsers: DemoUser[];
  weather: WeatherService;
  instruments?: Site['instruments'];
  /** The address that browsers use, if it differs from the server's own. */
  publicUrl?: string;
  /** Number of our own proxies in front of it. */
  proxies?: number;
  /** Aborted when the server stops; ends what has no end of its own. */
  closing?: AbortSignal;
}

/** Time limit of the readiness answer, whatever the database does, ms. */
const READY_MS = 900;
const LARGEST_BODY = 512 * 1024;
/** Files with a content hash in their name never change. */
const HASHED = /[.-][0-9a-f]{32}\./;

/** The HTTP application: the API under /api, the web client elsewhere. */
export function makeApp(deps: AppDeps) {
  const { db, auth, sessions, log, webRoot, demoUsers, weather, publicUrl, proxies = 0 } = deps;
  const { closing, instruments = 'none' } = deps;
  const host = publicUrl === undefined ? undefined : new URL(publicUrl).host;
  const app = new OpenAPIHono<AppEnv>();
  app.onError(onError);
  app.use(requestId());
  app.use(async (c, next) => {
    c.set('proxies', proxies);
    c.set('host', host);
    c.set('log', log.child({ requestId: c.get('requestId') }));
    const begun = performance.now();
    await next();
    const ms = Math.round(performance.now() - begun);
    c.get('log').info(
      { method: c.req.method, path: c.req.path, status: c.res.status, ms },
      'request',
    );
  });
  app.use(
    secureHeaders({
      strictTransportSecurity: overTls(publicUrl) ? 'max-age=15552000; includeSubDomains' : false,
      contentSecurityPolicy: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        workerSrc: ["'self'", 'blob:'],
        connectSrc: ["'self'"],
        frameAncestors: ["'none'"],
      },
    }),
  );
  // Answers to writes are short; only reads are compressed.
  app.get('*', compress());

  app.get('/healthz', (c) => c.json({ ok: true }));
  app.get('/readyz', async (c) => {
    const answered = db.execute(sql`select 1`).then(
      () => true,
      () => false,
    );
    const ready = await Promise.race([answered, setTimeout(READY_MS, false)]);
    return ready
      ? c.json({ ok: true })
      : problem(c, 503, { title: t('The database does not answer') });
  });

  const api = new OpenAPIHono<AppEnv>();
  api.use(
    limitBody(LARGEST_BODY, (c) =>
      problem(c, 413, {
        title: t('Too large'),
        detail: t('At most 512 KiB in one write.'),
      }),
    ),
  );
  api.use(sameOrigin);
  // Before the middleware that buffers whole answers (ETag): an event stream has no end.
  api.route('/', liveRoutes(db, sessions, closing));
  // An unchanged answer is not sent again: a screen that polls every twenty seconds gets 304.
  api.get('*', etag());
  api.get('*', async (c, next) => {
    await next();
    if (!c.res.headers.has('cache-control')) c.header('cache-control', 'private, no-cache');
  });
  api.route('/', authRoutes(auth, db, sessions));
  api.route('/', demoRoutes(demoUsers));
  api.doc31('/openapi.json', {
    openapi: '3.1.0',
    info: { title: 'Kelmot', version: '0.1.0' },
    servers: [{ url: '/api' }],
  });
  api.use(requireSession(sessions));
  api.route('/', meRoutes(db, sessions, overTls(publicUrl)));
  api.route('/', plantRoutes(db, instruments));
  api.route('/', repairRoutes(db, weather));
  api.route('/', shelfRoutes(db, weather));
  api.all('*', (c) => problem(c, 404, { title: t('No such address') }));
  app.route('/api', api);

  app.use(
    '*',
    serveStatic({
      root: webRoot,
      // Files that were compressed at build time are sent as they are.
      precompressed: true,
      onFound: (path, c) =>
        c.header(
          'cache-control',
          HASHED.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache',
        ),
    }),
  );
  app.get(
    '*',
    serveStatic({
      root: webRoot,
      path: 'index.html',
      precompressed: true,
      onFound: (_, c) => c.header('cache-control', 'no-cache'),
    }),
  );
  return app;
}
