import type { RepairView } from '@kelmot/contract';
import { act, renderHook } from '@testing-library/react-native';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { planOf, viewOf } from '../../../packages/contract/test/view';
import { draftOf } from '@/features/survey/draftOf';
import { useDraftBase } from '@/features/survey/useDraftBase';
import { draftDropped, draftOpened, draftPut } from '@/store/drafts';
import { freshStore } from './opened';

const view = viewOf(planOf());
const draft = draftOf(view.survey, 'metric');
const key = `${view.id}/ida`;
/** The same repair after somebody changed its survey. */
const changed: RepairView = {
  ...view,
  version: 3,
  survey: { ...view.survey, window: { ...view.survey.window, downMin: 4242 } },
};

/** A survey that is open on this device. */
function opened(shown: RepairView | undefined = view) {
  const store = freshStore();
  const hook = renderHook(({ of }: { of?: RepairView }) => useDraftBase(of, key), {
    initialProps: { of: shown },
    wrapper: ({ children }: { children: ReactNode }) => (
      <Provider store={store}>{children}</Provider>
    ),
  });
  const { base } = hook.result.current;
  act(() => void store.dispatch(draftOpened({ key, draft, base })));
  return {
    store,
    becomes: (of: RepairView) => hook.rerender({ of }),
    now: () => hook.result.current,
  };
}

test('a draft of the stored survey is neither moved nor stale', () => {
  const { now, store } = opened();
  expect(now()).toMatchObject({ moved: null, stale: false, base: { version: view.version } });
  act(() => void store.dispatch(draftPut({ key, draft })));
  expect(now()).toMatchObject({ moved: null, stale: false });
});

test("a typed draft keeps the version that its author saw, after another person's change", () => {
  const { now, store, becomes } = opened();
  act(() => void store.dispatch(draftPut({ key, draft })));
  becomes(changed);
  expect(now()).toMatchObject({ moved: { version: view.version }, stale: false });
});

test('a draft that nobody typed in is filled in again', () => {
  const { now, becomes } = opened();
  becomes(changed);
  expect(now()).toMatchObject({ moved: null, stale: true, base: { version: 3 } });
});

test('a change outside the survey does not affect a draft', () => {
  const { now, store, becomes } = opened();
  act(() => void store.dispatch(draftPut({ key, draft })));
  becomes({ ...view, version: 9, station: 'mix' });
  expect(now().moved).toBeNull();
});

test('a new repair, and one without a draft, has no base', () => {
  const { now, store, becomes } = opened();
  act(() => void store.dispatch(draftDropped(key)));
  becomes(changed);
  expect(now()).toMatchObject({ moved: null, stale: false });
  expect(renderedFor(undefined)).toEqual({ base: undefined, moved: null, stale: false });
});

/** Renders `useDraftBase` for a repair, or for a repair that does not exist. */
function renderedFor(of: RepairView | undefined) {
  return renderHook(() => useDraftBase(of, 'new/ida'), {
    wrapper: ({ children }: { children: ReactNode }) => (
      <Provider store={freshStore()}>{children}</Provider>
    ),
  }).result.current;
}
