import type { Context } from 'hono';
import type { AppEnv } from './env';

/** The address of the caller, from its socket. */
export const addressOf = (c: Context<AppEnv>): string =>
  c.env?.incoming?.socket.remoteAddress ?? '127.0.0.1';
