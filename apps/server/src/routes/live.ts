import { t } from '@kelmot/core';
import { Id, LiveQuery } from '@kelmot/contract';
import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { and, eq } from 'drizzle-orm';
import { streamSSE } from 'hono/streaming';
import type { Db } from '../db/client';
import { repairs } from '../db/repairs';
import type { AppEnv } from '../http/env';
import { notFound, ProblemError } from '../common/problemError';
import { requireSession, type Sessions } from '../http/session';
import { throwIfInvalid } from '../http/throwIfInvalid';
import { makeLive } from '../services/live';

/** Interval of empty lines, ms: they keep the connection open and detect closed ones. */
const BEAT_MS = 15_000;
/** Most pages that one person may have open at once. */
const MOST_PAGES = 30;

const route = createRoute({
  method: 'get',
  path: '/repairs/{id}/live',
  request: { params: z.object({ id: Id }), query: LiveQuery },
  responses: {
    200: {
      description:
        'How the repair stands, as an event now and with every change, and who has it open (a LiveState each)',
      content: { 'text/event-stream': { schema: z.string() } },
    },
  },
});

/**
 * Tells open pages about each other, while they are open and the server is not `closing`. Must come before middleware
 * that buffers answers.
 */
export function liveRoutes(db: Db, sessions: Sessions, closing?: AbortSignal) {
  const live = makeLive(db);
  const open = new Set<{ who: string; end: () => void }>();
  closing?.addEventListener('abort', () => open.forEach(({ end }) => end()));
  const app = new OpenAPIHono<AppEnv>({ defaultHook: throwIfInvalid });
  app.use('/repairs/:id/live', requireSession(sessions));
  return app.openapi(route, async (c) => {
    const me = c.get('me');
    const { id } = c.req.valid('param');
    const page = c.req.valid('query');
    if ([...open].filter(({ who }) => who === me.id).length >= MOST_PAGES)
      throw new ProblemError(429, t('Too many pages are open'), {
        detail: t('Close some of them.'),
      });
    // Counted before the first await: simultaneous requests count too.
    const own = { who: me.id, end: () => {} };
    open.add(own);
    let since: string;
    try {
      const [found] = await db
        .select({ id: repairs.id })
        .from(repairs)
        .where(and(eq(repairs.id, id), eq(repairs.siteId, me.siteId)));
      if (!found) throw notFound('repair');
      since = await live.here(id, me, page);
    } catch (error) {
      open.delete(own);
      throw error;
    }
    // Stops proxies from buffering the stream.
    c.header('x-accel-buffering', 'no');
    return streamSSE(c, async (stream) => {
      const ended = new Promise<void>((resolve) => (own.end = resolve));
      stream.onAbort(own.end);
      if (closing?.aborted) own.end();
      const stop = live.watch(id, (state) => {
        void stream.writeSSE({ id: state.mark, data: JSON.stringify(state) });
      });
      const beat = setInterval(() => {
        // Ends for a person who signed out or whose session ended.
        void Promise.all([sessions.of(c), live.here(id, me, page), stream.write(':\n\n')])
          .then(([still, said]) => {
            since = said;
            if (still?.id !== me.id) own.end();
          })
          .catch(() => undefined);
      }, BEAT_MS);
      await ended;
      clearInterval(beat);
      stop();
      open.delete(own);
      await live.gone(id, page.tab, since).catch(() => undefined);
    });
  });
}
