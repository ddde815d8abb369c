import { spawn, type ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { plantDatabase } from '../../apps/server/test/cluster';

const ROOT = fileURLToPath(new URL('../../', import.meta.url));

export interface Running {
  base: string;
  /** Its database, as the application and as its owner. */
  appUrl: string;
  ownerUrl: string;
  /** Stops the process and starts another on the same database: what was acknowledged must still be there. */
  restart: () => Promise<void>;
  stop: () => Promise<void>;
}

/** Compiled with the tests, or through a loader for a single file. */
const programOf = (main: string): string[] =>
  process.env.COMPILED_INTO
    ? ['--enable-source-maps', `${process.env.COMPILED_INTO}/${main.replace(/\.ts$/, '.mjs')}`]
    : ['--import', 'tsx', main];

/** The real server, with a separate clock for each walk. */
const IN_ITS_HOUR = 'e2e/lib/demo.ts';
/** The demo server, unchanged. */
export const AS_IT_IS = 'apps/demo/src/main.ts';

/** The real server in its own process, on its own database in the test cluster, with the demo data. */
export async function startServer({
  webRoot = `${ROOT}apps/client/dist`,
  main = IN_ITS_HOUR,
}: { webRoot?: string; main?: string } = {}): Promise<Running> {
  const { appUrl, ownerUrl } = await plantDatabase('e2e');
  let child: ChildProcess;
  let port = 0;

  const start = (): Promise<void> =>
    new Promise((resolve, reject) => {
      child = spawn(process.execPath, programOf(main), {
        cwd: ROOT,
        env: {
          ...process.env,
          DATABASE_URL: appUrl,
          DATABASE_OWNER_URL: ownerUrl,
          PORT: String(port),
          AUTH_SECRET: 'a secret of the tests alone',
          WEB_ROOT: webRoot,
          SIGN_INS_PER_MINUTE: '200',
          LOG_LEVEL: 'error',
        },
        stdio: ['ignore', 'pipe', 'inherit'],
      });
      child.once('exit', (code) => reject(new Error(`server stopped with ${code}`)));
      child.stdout?.on('data', (chunk: Buffer) => {
        const found = /KELMOT_URL http:\/\/[^:]+:(\d+)/.exec(chunk.toString());
        if (!found) return;
        port = Number(found[1]);
        resolve();
      });
    });
  const stop = (): Promise<void> =>
    new Promise((resolve) => {
      child.removeAllListeners('exit');
      child.once('exit', () => resolve());
      child.kill('SIGTERM');
    });

  await start();
  return {
    appUrl,
    ownerUrl,
    get base() {
      return `http://127.0.0.1:${port}`;
    },
    restart: async () => {
      await stop();
      await start();
    },
    stop,
  };
}
