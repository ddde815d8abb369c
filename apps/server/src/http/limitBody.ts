import type { Context } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { createMiddleware } from 'hono/factory';
import type { AppEnv } from './env';

/**
 * Refuses a body of more than `maxSize` bytes. A Content-Length is checked without reading the body; a body without one
 * is counted while it is read.
 */
export function limitBody(maxSize: number, refuse: (c: Context<AppEnv>) => Response) {
  const counted = bodyLimit({ maxSize, onError: refuse });
  return createMiddleware<AppEnv>((c, next): Promise<Response | void> => {
    if (c.req.method === 'GET' || c.req.method === 'HEAD') return next();
    const said = c.req.header('content-length');
    if (said === undefined || c.req.header('transfer-encoding') !== undefined)
      return counted(c, next);
    return Number(said) <= maxSize ? next() : Promise.resolve(refuse(c));
  });
}
