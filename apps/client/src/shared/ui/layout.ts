import { useSyncExternalStore } from 'react';
import { useWindowDimensions } from 'react-native';

/** Three layouts: a phone's one column, two panes from 768, three from 1024. */
export type Layout = 'phone' | 'two' | 'wide';

/** Size of text at which the widths of the layouts are meant, px. */
const USUAL_TEXT = 16;

const measured = (): number =>
  typeof document === 'undefined'
    ? USUAL_TEXT
    : parseFloat(getComputedStyle(document.documentElement).fontSize) || USUAL_TEXT;

/** The reader's size of text, px: measured as it changes, since measuring it lays the page out. */
let size: number | undefined;
const textSize = (): number => (size ??= measured());

const told = new Set<() => void>();
let unwatch: (() => void) | undefined;

/** Watches the size of text by something that is as large as it. */
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

/** Tells when the reader's size of text changes; one watch for all who ask. */
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

/** Width of the pane of the register, px. */
export const REGISTER_PX = 300;

/** What the margins at both sides (px-4) take of a width, px: they grow with the reader’s text. */
export const useMargins = (): number => 2 * useSyncExternalStore(onTextSize, textSize, textSize);

/** Whether the reader’s text is so large that what is small on purpose has no room for words. */
export const useLargeText = (): boolean =>
  useSyncExternalStore(onTextSize, textSize, textSize) >= 1.5 * USUAL_TEXT;

/** What fits beside one another: text twice as large needs twice the width for it. */
export function useLayout(): Layout {
  const { width } = useWindowDimensions();
  const room = (width * USUAL_TEXT) / useSyncExternalStore(onTextSize, textSize, textSize);
  return room >= 1024 ? 'wide' : room >= 768 ? 'two' : 'phone';
}
