import { serve } from '@hono/node-server';
import { demoUsers, simulatedWeather } from '@kelmot/demo';
import { pino } from 'pino';
import { makeApp } from './app';
import { makeAuth } from './auth';
import { openDatabase } from './db/client';
import { readEnv } from './env';
import { seedDemo } from './jobs/seedDemo';
import { noWeather } from './services/weather';

const env = readEnv(process.env);
const log = pino({ level: env.LOG_LEVEL });
const database = openDatabase(env.DATABASE_URL);
await database.migrate();
const demo = env.KELMOT_DEMO === '1';
if (demo && (await seedDemo(database.db, Date.now()))) log.info('demo plant seeded');

const auth = makeAuth(database.db, {
  secret: env.AUTH_SECRET,
  signInsPerMinute: env.SIGN_INS_PER_MINUTE,
});
const app = makeApp({
  db: database.db,
  auth,
  log,
  webRoot: env.WEB_ROOT,
  demoUsers: demo ? demoUsers : [],
  weather: demo ? simulatedWeather : noWeather,
});
const server = serve({ fetch: app.fetch, port: env.PORT, hostname: env.HOST }, ({ port }) => {
  log.info({ port }, 'listening');
  process.stdout.write(`KELMOT_URL http://${env.HOST}:${port}\n`);
});

/** Stops taking requests, lets those under way end, then closes the database. */
function stop(): void {
  server.close(() => {
    void database.pool.end().then(() => process.exit(0));
  });
  setTimeout(() => process.exit(1), 8000).unref();
}
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
