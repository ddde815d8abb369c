import { randomUUID } from 'node:crypto';
import { serveStatic } from '@hono/node-server/serve-static';
import { OpenAPIHono } from '@hono/zod-openapi';
import type { DemoUser } from '@kelmot/contract';
import { sql } from 'drizzle-orm';
import { bodyLimit } from 'hono/body-limit';
import { compress } from 'hono/compress';
import { secureHeaders } from 'hono/secure-headers';
import type { Logger } from 'pino';
import { CLIENT_ADDRESS, type Auth } from './auth';
import type { Db } from './db/client';
import type { AppEnv } from './http/env';
import { onError, problem } from './http/problem';
import { requireSession, sameOrigin } from './http/session';
import { demoRoutes, meRoutes } from './routes/people';
import { plantRoutes } from './routes/plant';
import { repairRoutes } from './routes/repairs';
import { shelfRoutes } from './routes/shelf';
import type { WeatherService } from './services/weather';

export interface AppDeps {
  db: Db;
  auth: Auth;
  log: Logger;
  webRoot: string;
  demoUsers: DemoUser[];
  weather: WeatherService;
}

const LARGEST_BODY = 512 * 1024;
/** Files with a content hash in their name never change. */
const HASHED = /[.-][0-9a-f]{32}\./;

/** Kelmot's whole HTTP face: API under /api, everything else the web client. */
export function makeApp({ db, auth, log, webRoot, demoUsers, weather }: AppDeps) {
  const app = new OpenAPIHono<AppEnv>();
  app.onError(onError);
  app.use(async (c, next) => {
    const requestId = randomUUID();
    c.set('requestId', requestId);
    c.set('log', log.child({ requestId }));
    c.header('x-request-id', requestId);
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
      strictTransportSecurity: false,
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
  app.use(compress());

  app.get('/healthz', (c) => c.json({ ok: true }));
  app.get('/readyz', async (c) => {
    try {
      await db.execute(sql`select 1`);
      return c.json({ ok: true });
    } catch {
      return problem(c, 503, 'The database does not answer');
    }
  });

  const api = new OpenAPIHono<AppEnv>();
  api.use(
    bodyLimit({
      maxSize: LARGEST_BODY,
      onError: (c) => problem(c, 413, 'Too large', { detail: 'At most 512 KiB in one write.' }),
    }),
  );
  api.use(sameOrigin);
  api.on(['GET', 'POST'], '/auth/*', (c) => {
    const headers = new Headers(c.req.raw.headers);
    headers.set(CLIENT_ADDRESS, c.env?.incoming?.socket.remoteAddress ?? '127.0.0.1');
    return auth.handler(new Request(c.req.raw, { headers }));
  });
  api.route('/', demoRoutes(demoUsers));
  api.doc31('/openapi.json', {
    openapi: '3.1.0',
    info: { title: 'Kelmot', version: '0.1.0' },
    servers: [{ url: '/api' }],
  });
  api.use(requireSession(auth));
  api.route('/', meRoutes);
  api.route('/', plantRoutes(db));
  api.route('/', repairRoutes(db, weather));
  api.route('/', shelfRoutes(db, weather));
  api.all('*', (c) => problem(c, 404, 'No such address'));
  app.route('/api', api);

  app.use(
    '*',
    serveStatic({
      root: webRoot,
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
      onFound: (_, c) => c.header('cache-control', 'no-cache'),
    }),
  );
  return app;
}
