import { combineReducers, configureStore } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { keeper } from '@/offline/keeper';
import { sender } from '@/offline/sender';
import { api } from './api';
import { draftsReducer } from './drafts';
import { outboxReducer } from './outbox';
import { settingsReducer } from './settings';
import { toolsReducer } from './tools';
import { viewReducer } from './view';

const rootReducer = combineReducers({
  [api.reducerPath]: api.reducer,
  drafts: draftsReducer,
  outbox: outboxReducer,
  settings: settingsReducer,
  tools: toolsReducer,
  view: viewReducer,
});
export type RootState = ReturnType<typeof rootReducer>;

export function makeStore() {
  const store = configureStore({
    reducer: rootReducer,
    middleware: (defaults) =>
      defaults().prepend(keeper.middleware, sender.middleware).concat(api.middleware),
  });
  setupListeners(store.dispatch);
  return store;
}
export type AppStore = ReturnType<typeof makeStore>;
export type AppDispatch = AppStore['dispatch'];
