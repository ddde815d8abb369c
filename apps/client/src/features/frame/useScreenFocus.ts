import { usePathname } from 'expo-router';
import { useEffect, useRef } from 'react';
import { setPageName } from '../../shared/ui/pageTitle';

/** How often to look for the heading of a screen that is loading, ms, and for how long. */
const LOOK_MS = 60;
const LONGEST_MS = 20_000;

const typing = (element: Element | null): boolean =>
  element instanceof HTMLInputElement || element instanceof HTMLTextAreaElement;

/** The heading of the screen; null while it is not there. */
export const headingOf = (): HTMLElement | null =>
  document.querySelector<HTMLElement>('[role="main"] h1');

/** Focuses an element that cannot be focused by itself. */
export function focusElement(element: HTMLElement | null): void {
  if (!element) return;
  element.tabIndex = -1;
  element.focus({ preventScroll: true });
}

/**
 * Names the page by the heading of its screen. On arrival at another screen, moves the focus to the heading, so that a
 * screen reader announces it and Tab starts there. A change of `who` counts as another screen.
 */
export function useScreenFocus(who: string | undefined): void {
  const path = usePathname();
  const isFirst = useRef(true);
  useEffect(() => {
    if (typeof document === 'undefined') return;
    const until = performance.now() + LONGEST_MS;
    const before = document.activeElement;
    const timer = setInterval(() => {
      const heading = headingOf();
      const said = heading?.dataset.title ?? heading?.textContent;
      if (!said) {
        if (performance.now() > until) clearInterval(timer);
        return;
      }
      clearInterval(timer);
      setPageName(said);
      const on = document.activeElement;
      // If the person has already moved the focus to the new screen, it stays.
      const stayed = on === null || on === document.body || on === before;
      if (!isFirst.current && stayed && !typing(on)) focusElement(heading);
      isFirst.current = false;
    }, LOOK_MS);
    return () => clearInterval(timer);
  }, [path, who]);
}
