import { serve } from '@hono/node-server';
import type { DemoUser, Site } from '@kelmot/contract';
import { pino } from 'pino';
import { makeApp } from './app';
import { makeSessions } from './http/session';
import { makeAuth } from './services/auth';
import { openDatabase, type Tx } from './db/client';
import { prepareDatabase } from './db/prepare';
import type { Env } from './env';
import { noWeather, type WeatherService } from './services/weather';

/** Options for starting the server. */
export interface Starting {
  env: Env;
  /** Runs after the migrations, before the first request: all or nothing. */
  seed?: (tx: Tx) => Promise<void>;
  /** Sign-ins that are offered to everybody. */
  demoUsers?: DemoUser[];
  weather?: WeatherService;
  instruments?: Site['instruments'];
}

/** Migrates, serves, prints its address on standard output, and ends cleanly on a signal. */
export async function startServer({
  env,
  seed,
  demoUsers = [],
  weather = noWeather,
  instruments,
}: Starting): Promise<void> {
  const log = pino({ level: env.LOG_LEVEL });
  const { DATABASE_URL: appUrl, DATABASE_OWNER_URL: ownerUrl = appUrl } = env;
  await prepareDatabase({ ownerUrl, appUrl, seed });
  const database = openDatabase(appUrl, (err) => log.warn({ err }, 'a connection was lost'));
  const reached = { secret: env.AUTH_SECRET, publicUrl: env.PUBLIC_URL };
  const auth = makeAuth(database.db, { ...reached, signInsPerMinute: env.SIGN_INS_PER_MINUTE });
  const closing = new AbortController();
  const app = makeApp({
    db: database.db,
    auth,
    sessions: makeSessions(database.db, reached),
    log,
    webRoot: env.WEB_ROOT,
    demoUsers,
    weather,
    instruments,
    publicUrl: env.PUBLIC_URL,
    proxies: env.TRUSTED_PROXIES,
    closing: closing.signal,
  });
  const server = serve({ fetch: app.fetch, port: env.PORT, hostname: env.HOST }, ({ port }) => {
    log.info({ port }, 'listening');
    process.stdout.write(`KELMOT_URL http://${env.HOST}:${port}\n`);
  });

  /** Stops taking requests, waits for running ones, then closes the database. */
  const stop = () => {
    closing.abort();
    server.close(() => {
      void database.pool.end().then(() => process.exit(0));
    });
    setTimeout(() => process.exit(1), 8000).unref();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}
