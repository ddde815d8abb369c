import { useRef } from 'react';

/** A second touch this soon is a slip of the glove or a key held: what is there may by then say something else, ms. */
const SETTLE_MS = 500;

/** One press is one deed: `act` again only after the hand has had time to leave. */
export function useOnce(act: () => void): () => void {
  const last = useRef(0);
  return () => {
    const now = Date.now();
    if (now - last.current < SETTLE_MS) return;
    last.current = now;
    act();
  };
}
