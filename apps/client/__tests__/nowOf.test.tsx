import type { RepairView } from '@kelmot/contract';
import { act, renderHook } from '@testing-library/react-native';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { useGateTime } from '@/features/stations/useGateTime';
import { met, planOf, viewOf } from '../../../packages/contract/test/view';
import { freshStore } from './opened';

test('a new record is never in the future: the time is read again at each record, otherwise at intervals', () => {
  jest.useFakeTimers();
  const begun = Date.now();
  const fresh = viewOf(planOf());
  const store = freshStore();
  const { result, rerender } = renderHook((view: RepairView) => useGateTime(view), {
    initialProps: fresh,
    wrapper: ({ children }: { children: ReactNode }) => (
      <Provider store={store}>{children}</Provider>
    ),
  });
  expect(result.current - begun).toBe(0);
  // The device's clock goes on, but nothing reads it.
  jest.setSystemTime(begun + 3000);
  rerender({ ...fresh });
  expect(result.current - begun).toBe(0);
  rerender(met(fresh, ['prep']));
  expect(result.current - begun).toBe(3000);
  act(() => jest.advanceTimersByTime(5000));
  expect(result.current - begun).toBe(8000);
  jest.useRealTimers();
});
