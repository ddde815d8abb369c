import { useSyncExternalStore } from 'react';
import { useWindowDimensions } from 'react-native';

/** Three layouts: one column on a phone, two panes from 768 px, three from 1024 px. */
export type Layout = 'phone' | 'two' | 'wide';

/** The text size for which the layouts' widths are meant, px. */
const USUAL_TEXT = 16;

const measured = (): number =>
  typeof document === 'undefined'
    ? USUAL_TEXT
    : parseFloat(getComputedStyle(document.documentElement).fontSize) || USUAL_TEXT;

/** The reader's text size, px: measured when it changes, because measuring triggers layout. */
let size: number | undefined;
const textSize = (): number => (size ??= measured());

const told = new Set<() => void>();
let unwatch: (() => void) | undefined;

/** Watches the text size with an element of that size. */
function watch(): () => void {
  if (typeof document === 'undefined' || typeof ResizeObserver === 'undefined') return () => {};
  const probe = document.createElement('div');
  probe.style.cssText = 'position:absolute;width:1rem;height:0;visibility:hidden';
  document.body.append(probe);
  const observer = new ResizeObserver(() => {
    size = measured();
    told.forEach((tell) => tell());
  });
  observer.observe(probe);
  return () => {
    observer.disconnect();
    probe.remove();
  };
}

/** Subscribes to changes of the reader's text size; one watcher for all subscribers. */
function onTextSize(changed: () => void): () => void {
  told.add(changed);
  unwatch ??= watch();
  return () => {
    told.delete(changed);
    if (told.size > 0) return;
    unwatch?.();
    unwatch = undefined;
    size = undefined;
  };
}

/** Width of the register's pane, px. */
export const REGISTER_PX = 300;

/** The width of both side margins (px-4), px: they grow with the reader's text. */
export const useMargins = (): number => 2 * useSyncExternalStore(onTextSize, textSize, textSize);

/** Whether the text is so large that small labels have no room for words. */
export const useLargeText = (): boolean =>
  useSyncExternalStore(onTextSize, textSize, textSize) >= 1.5 * USUAL_TEXT;

/** The layout that fits: text twice as large needs twice the width. */
export function useLayout(): Layout {
  const { width } = useWindowDimensions();
  const room = (width * USUAL_TEXT) / useSyncExternalStore(onTextSize, textSize, textSize);
  return room >= 1024 ? 'wide' : room >= 768 ? 'two' : 'phone';
}
