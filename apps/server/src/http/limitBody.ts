import type { Context } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { createMiddleware } from 'hono/factory';
import type { AppEnv } from './env';

/**
 * Refuses a body of more than `maxSize` bytes. One that says its length is judged by it, since no more of it is read
 * than that: to look at the body itself would make a stream for every write. One that does not is counted.
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
