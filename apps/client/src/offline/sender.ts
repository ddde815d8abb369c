import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import { api, type ApiError } from '@/store/api';
import {
  keptElsewhere,
  outboxRead,
  queued,
  refused,
  retried,
  sent,
  thrownAway,
  type Outbox,
} from '@/store/outbox';
import type { AppDispatch } from '@/store/store';

/** How long to wait after a lost connection before trying again, ms. */
const RETRY_MS = 4000;

/** Sends the outbox in order, one at a time, with the ids made when typed: twice sent has one effect. */
export const sender = createListenerMiddleware();

let sending = false;

sender.startListening({
  matcher: isAnyOf(queued, outboxRead, retried, thrownAway),
  effect: async (_, listener) => {
    if (sending) return;
    sending = true;
    const dispatch = listener.dispatch as AppDispatch;
    try {
      for (;;) {
        const { queue } = (listener.getState() as { outbox: Outbox }).outbox;
        // A refused command holds back the later ones of its own repair only: their order must stay.
        const held = new Set(queue.filter((w) => w.refused).map((w) => w.command.repairId));
        const next = queue.find((w) => !held.has(w.command.repairId));
        if (!next) return;
        const { command } = next;
        const result = await dispatch(api.endpoints.command.initiate(command));
        if (!result.error) {
          // The command lies over the old state until the new one is here: nothing flickers back in between.
          const fresh = dispatch(
            api.endpoints.repair.initiate(command.repairId, { forceRefetch: true }),
          );
          await fresh;
          dispatch(sent(command.id));
          const { keptWith } = result.data;
          if (keptWith !== null) {
            const { id, repairId, type } = command;
            dispatch(keptElsewhere({ id, repairId, type, plan: keptWith }));
          }
          fresh.unsubscribe();
          // A fetch that was under way before the write may have answered for this one: ask once more.
          dispatch(
            api.util.invalidateTags([
              'Repairs',
              { type: 'Repair', id: command.repairId },
              'Assets',
            ]),
          );
          continue;
        }
        const error = result.error as ApiError;
        if (
          error.kind === 'problem' &&
          error.problem.status < 500 &&
          error.problem.status !== 401 &&
          error.problem.status !== 429
        ) {
          dispatch(
            refused({ id: command.id, problem: error.problem, current: error.current ?? null }),
          );
          continue;
        }
        await listener.delay(RETRY_MS);
      }
    } finally {
      sending = false;
    }
  },
});
