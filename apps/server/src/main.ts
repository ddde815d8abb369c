import { readEnv } from './env';
import { startServer } from './start';

await startServer({ env: readEnv(process.env) });
