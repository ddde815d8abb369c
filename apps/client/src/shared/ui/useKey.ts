import { useEffect, useRef } from 'react';

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** Keys that press the focused control: they belong to it. */
const presses = (key: string, target: EventTarget | null): boolean =>
  (key === ' ' || key === 'Enter') &&
  target instanceof HTMLElement &&
  target.closest('[role="button"], [role="link"], [role="checkbox"], [role="radio"], a, button') !==
    null;

/** Whether an overlay must be handled first: the page's own keys are off. */
const covered = (): boolean => document.querySelector('[aria-modal="true"]') !== null;

/**
 * Runs `act` when the key is pressed, once however long it is held, outside text fields. Escape leaves a text field
 * first.
 */
export function useKey(key: string, act: () => void): void {
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    if (typeof window === 'undefined' || !window.addEventListener) return;
    const onKey = (e: KeyboardEvent) => {
      if (e.key === 'Escape' && typing(e.target)) (e.target as HTMLElement).blur();
      if (e.key !== key || e.ctrlKey || e.metaKey || e.altKey || typing(e.target)) return;
      if (presses(key, e.target) || covered()) return;
      e.preventDefault();
      if (e.repeat) return;
      latest.current();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [key]);
}
