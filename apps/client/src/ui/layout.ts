import { useSyncExternalStore } from 'react';
import { useWindowDimensions } from 'react-native';

/** Three layouts: a phone's one column, two panes from 768, three from 1024. */
export type Layout = 'phone' | 'two' | 'wide';

/** Size of text at which the widths of the layouts are meant, px. */
const USUAL_TEXT = 16;

const textSize = (): number =>
  typeof document === 'undefined'
    ? USUAL_TEXT
    : parseFloat(getComputedStyle(document.documentElement).fontSize) || USUAL_TEXT;

/** Tells when the reader's size of text changes: by something that is as large as it. */
function onTextSize(changed: () => void): () => void {
  if (typeof document === 'undefined' || typeof ResizeObserver === 'undefined') return () => {};
  const probe = document.createElement('div');
  probe.style.cssText = 'position:absolute;width:1rem;height:0;visibility:hidden';
  document.body.append(probe);
  const observer = new ResizeObserver(changed);
  observer.observe(probe);
  return () => {
    observer.disconnect();
    probe.remove();
  };
}

/** What fits beside one another: text twice as large needs twice the width for it. */
export function useLayout(): Layout {
  const { width } = useWindowDimensions();
  const room = (width * USUAL_TEXT) / useSyncExternalStore(onTextSize, textSize, textSize);
  return room >= 1024 ? 'wide' : room >= 768 ? 'two' : 'phone';
}
