import { useState } from 'react';
import type { Way } from './Notice';

/** Of several notices of one kind the first, and a way to the rest; once that was taken, all and a way back. */
export function useFolded<T>(
  items: readonly T[],
  hint: (more: number) => string,
): { shown: readonly T[]; rest: Way[] } {
  const [all, setAll] = useState(false);
  const more = items.length - 1;
  const label = all ? 'Fewer' : `${more} more`;
  return {
    shown: all ? items : items.slice(0, 1),
    rest: more > 0 ? [{ label, hint: hint(more), go: () => setAll(!all) }] : [],
  };
}
