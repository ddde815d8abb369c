import { dropEarlyAnswers } from './earlyAnswers';
import { api } from './api';
import type { AppStore } from './store';

const ONCE = { subscribe: false } as const;

/** Asks who is signed in, and in parallel for all that the bench shows, before anything is drawn. */
export async function preloadBench({ dispatch, getState }: AppStore): Promise<void> {
  if (getState().settings.leaving) return dropEarlyAnswers();
  const { data: me } = await dispatch(api.endpoints.me.initiate(undefined, ONCE));
  if (!me) return dropEarlyAnswers();
  void dispatch(api.endpoints.site.initiate(undefined, ONCE));
  for (const status of ['open', 'closed'] as const)
    void dispatch(api.endpoints.repairs.initiate({ status, q: '' }, ONCE));
}
