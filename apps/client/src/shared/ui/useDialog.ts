import { useEffect, useRef } from 'react';
import type { View } from 'react-native';

/**
 * An overlay takes the focus while it is open, returns it afterwards, and closes on Escape. Without `close` it cannot
 * be closed.
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
    // Before the input boxes, which stop their key events.
    document.addEventListener('keydown', onKey, true);
    return () => {
      document.removeEventListener('keydown', onKey, true);
      if (before instanceof HTMLElement && before.isConnected)
        before.focus({ preventScroll: true });
    };
  }, [open]);
  return { ref: box, tabIndex: -1 } as const;
}
