import { cleanupAsync } from '@testing-library/react-native/pure';
import * as matchers from '@testing-library/react-native/matchers';

/**
 * A clock that only the test moves, on a jsdom page. The page is unmounted after the clock runs again: the library's
 * own clean-up waits for a timer and comes before that.
 */
export function standTheClock(): void {
  expect.extend(matchers);
  beforeEach(() => {
    Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });
    jest.useFakeTimers();
  });
  afterEach(async () => {
    jest.useRealTimers();
    await cleanupAsync();
  });
}
