import { isIP } from 'node:net';
import type { Context } from 'hono';
import type { AppEnv } from './env';

/** The caller's address: of its socket, or as reported by the outermost of our own proxies. */
export function addressOf(c: Context<AppEnv>): string {
  const proxies = c.get('proxies');
  const named = (c.req.header('x-forwarded-for') ?? '').split(',').map((a) => a.trim());
  // Entries further left were sent by the caller and cannot be trusted.
  const outermost = proxies > 0 ? named.at(-proxies) : undefined;
  return outermost && isIP(outermost)
    ? outermost
    : (c.env?.incoming?.socket.remoteAddress ?? '127.0.0.1');
}
