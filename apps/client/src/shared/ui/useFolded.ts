import { t } from '@kelmot/core';
import { useState } from 'react';
import type { Way } from './Notice';

/**
 * Shows the first of several notices of one kind, and a button for the rest; once pressed, all, and a button to fold
 * them.
 */
export function useFolded<T>(
  items: readonly T[],
  hint: (more: number) => string,
): { shown: readonly T[]; rest: Way[] } {
  const [all, setAll] = useState(false);
  const more = items.length - 1;
  const label = all ? t('Fewer') : t('{more} more', { more });
  return {
    shown: all ? items : items.slice(0, 1),
    rest: more > 0 ? [{ label, hint: hint(more), go: () => setAll(!all) }] : [],
  };
}
