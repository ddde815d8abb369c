import { useRef } from 'react';

/** A second press of a pedal sooner than this is a slip: the task may have changed by then, ms. */
const SETTLE_MS = 500;

/** For keys that act wherever the focus is: runs once, and again only after the foot has left the pedal. */
export function useSinglePress(act: () => void): () => void {
  const last = useRef(0);
  return () => {
    const now = Date.now();
    if (now - last.current < SETTLE_MS) return;
    last.current = now;
    act();
  };
}
