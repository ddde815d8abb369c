import { usePathname } from 'expo-router';
import { useEffect, useRef } from 'react';
import { namePage } from '../../shared/ui/pageTitle';

/** How often it is looked for the heading of a screen that is fetched or waits for an answer, ms, and for how long. */
const LOOK_MS = 60;
const LONGEST_MS = 20_000;

const typing = (element: Element | null): boolean =>
  element instanceof HTMLInputElement || element instanceof HTMLTextAreaElement;

/** What names the screen; null while it is not there. */
export const headingOf = (): HTMLElement | null =>
  document.querySelector<HTMLElement>('[role="main"] h1');

/** Puts the focus on what takes none by itself. */
export function takeFocus(element: HTMLElement | null): void {
  if (!element) return;
  element.tabIndex = -1;
  element.focus({ preventScroll: true });
}

/**
 * Names the page by the heading of its screen, and on arriving at another one puts the focus there: who does not see the
 * screen hears that it is another, and the Tab key goes on from its beginning. `who` is in changes the screen too.
 */
export function useArrival(who: string | undefined): void {
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
      namePage(said);
      const on = document.activeElement;
      // Who has gone on to something of the new screen meanwhile stays there.
      const stayed = on === null || on === document.body || on === before;
      if (!isFirst.current && stayed && !typing(on)) takeFocus(heading);
      isFirst.current = false;
    }, LOOK_MS);
    return () => clearInterval(timer);
  }, [path, who]);
}
