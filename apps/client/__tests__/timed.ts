import { cleanupAsync } from '@testing-library/react-native/pure';
import * as matchers from '@testing-library/react-native/matchers';

/**
 * A clock that only the test moves, on a page of jsdom. What is shown is taken away once the clock goes again: the
 * library's own clean-up comes before that, and waits for a timer.
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
