import { demoUsers, simulatedWeather } from '@kelmot/demo';
import { readEnv } from '@kelmot/server/env';
import { startServer } from '@kelmot/server/start';
import { seedDemo } from './seedDemo';

await startServer({
  env: readEnv(process.env),
  seed: async (tx) => void (await seedDemo(tx, Date.now())),
  demoUsers,
  weather: simulatedWeather,
  instruments: 'simulated',
});
