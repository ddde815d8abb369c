import { useRef } from 'react';

/** A second tread on a pedal this soon is a slip: what is there may by then say something else, ms. */
const SETTLE_MS = 500;

/** For keys that act wherever the focus is, which have no place on the screen: once, and again after the foot has had time to leave. */
export function useOnce(act: () => void): () => void {
  const last = useRef(0);
  return () => {
    const now = Date.now();
    if (now - last.current < SETTLE_MS) return;
    last.current = now;
    act();
  };
}
