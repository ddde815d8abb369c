import { demoUsers, simulatedWeather } from '@kelmot/demo';
import { readEnv } from '@kelmot/server/env';
import { startServer } from '@kelmot/server/start';
import { seedDemo } from './seedDemo';

await startServer({
  env: readEnv(process.env),
  prepare: async (db) => void (await seedDemo(db, Date.now())),
  demoUsers,
  weather: simulatedWeather,
});
