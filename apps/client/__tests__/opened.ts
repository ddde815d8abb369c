import type { Command, Me, RepairView } from '@kelmot/contract';
import { configureStore } from '@reduxjs/toolkit';
import { IDA } from '../../../packages/contract/test/view';
import type { OpenRepair } from '@/shared/repair/useRepair';
import { api } from '@/store/api';
import { clockReducer } from '@/store/clock';
import { draftsReducer } from '@/store/drafts';
import { outboxReducer } from '@/store/outbox';
import { settingsReducer } from '@/store/settings';
import { viewReducer } from '@/store/view';

/** The store as the application has it, with nothing kept. */
export const freshStore = () =>
  configureStore({
    reducer: {
      [api.reducerPath]: api.reducer,
      clock: clockReducer,
      settings: settingsReducer,
      view: viewReducer,
      drafts: draftsReducer,
      outbox: outboxReducer,
    },
    middleware: (defaults) => defaults().concat(api.middleware),
  });

/** A repair as a screen gets it; records the commands that it sends. */
export function noted(
  view: RepairView,
  canWrite = true,
  me: Me = IDA,
): { sent: Partial<Command>[]; repair: OpenRepair } {
  const sent: Partial<Command>[] = [];
  const repair: OpenRepair = {
    view,
    error: undefined,
    loading: false,
    waiting: [],
    canWrite,
    me,
    send: (c) => sent.push(c),
  };
  return { sent, repair };
}
