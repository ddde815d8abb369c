import type { Me } from '@kelmot/contract';
import type { HttpBindings } from '@hono/node-server';
import type { Logger } from 'pino';

/** The context of every handler. */
export interface AppEnv {
  Bindings: HttpBindings;
  Variables: { requestId: string; log: Logger; me: Me; proxies: number; host: string | undefined };
}
