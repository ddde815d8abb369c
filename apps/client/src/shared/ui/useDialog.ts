import { useEffect, useRef } from 'react';
import type { View } from 'react-native';

/**
 * What lies over the page takes the focus while it is there, gives it back to where it was, and is closed by Escape.
 * `close` is left out for what cannot be closed.
 */
export function useDialog(open: boolean, close?: () => void) {
  const box = useRef<View>(null);
  const latest = useRef(close);
  useEffect(() => {
    latest.current = close;
  });
  useEffect(() => {
    if (!open || typeof document === 'undefined') return;
    const before = document.activeElement;
    const dialog = box.current as unknown as HTMLElement | null;
    if (dialog && !dialog.contains(before)) dialog.focus({ preventScroll: true });
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || !latest.current) return;
      event.preventDefault();
      latest.current();
    };
    // Before the boxes in it, which keep what is typed into them to themselves.
    document.addEventListener('keydown', onKey, true);
    return () => {
      document.removeEventListener('keydown', onKey, true);
      if (before instanceof HTMLElement && before.isConnected)
        before.focus({ preventScroll: true });
    };
  }, [open]);
  return { ref: box, tabIndex: -1 } as const;
}
