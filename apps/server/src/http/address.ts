import { isIP } from 'node:net';
import type { Context } from 'hono';
import type { AppEnv } from './env';

/** The address of the caller: of its socket, or what the outermost of our own proxies says that it was called from. */
export function addressOf(c: Context<AppEnv>): string {
  const proxies = c.get('proxies');
  const named = (c.req.header('x-forwarded-for') ?? '').split(',').map((a) => a.trim());
  // What stands further left was sent by the caller, who may write there what he likes.
  const outermost = proxies > 0 ? named.at(-proxies) : undefined;
  return outermost && isIP(outermost)
    ? outermost
    : (c.env?.incoming?.socket.remoteAddress ?? '127.0.0.1');
}
