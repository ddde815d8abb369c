import { combineReducers, configureStore, type UnknownAction } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { answers } from '@/store/answers';
import { withEntries } from '@/store/entries';
import { entriesReceived, persister } from '@/store/persister';
import { sender } from '@/store/sender';
import { api } from './api';
import { clockReducer } from './clock';
import { draftsReducer } from './drafts';
import { outboxReducer } from './outbox';
import { settingsReducer } from './settings';
import { toolsReducer } from './tools';
import { signalSeen, viewReducer } from './view';

const slices = combineReducers({
  [api.reducerPath]: api.reducer,
  clock: clockReducer,
  drafts: draftsReducer,
  outbox: outboxReducer,
  settings: settingsReducer,
  tools: toolsReducer,
  view: viewReducer,
});
export type RootState = ReturnType<typeof slices>;

/** The slices, with entries from the device or another tab applied. */
const rootReducer = (state: RootState | undefined, action: UnknownAction): RootState =>
  state && entriesReceived.match(action)
    ? withEntries(state, action.payload)
    : slices(state, action);

export function makeStore() {
  const store = configureStore({
    reducer: rootReducer,
    middleware: (defaults) =>
      defaults()
        .prepend(persister.middleware, sender.middleware, answers.middleware)
        .concat(api.middleware),
  });
  setupListeners(store.dispatch);
  // The platform reports a lost network before any request fails; only an answer shows that signal is back.
  globalThis.addEventListener?.('offline', () => store.dispatch(signalSeen(false)));
  return store;
}
export type AppStore = ReturnType<typeof makeStore>;
export type AppDispatch = AppStore['dispatch'];
