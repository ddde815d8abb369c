/** A second touch sooner than this is a slip: the control there may have changed by then, ms. */
const SETTLE_MS = 500;
/** A second touch nearer than this is a slip; a finger elsewhere is a real touch, px. */
const NEAR_PX = 32;

export interface Touch {
  atMs: number;
  x: number;
  y: number;
}

/** Whether a touch is the second half of a double tap: soon after another, and at the same place. */
export const isSlip = (before: Touch | null, touch: Touch): boolean =>
  before !== null &&
  touch.atMs - before.atMs < SETTLE_MS &&
  Math.hypot(touch.x - before.x, touch.y - before.y) < NEAR_PX;

/** Where quick touches count: in a text field, and on buttons that count up and down. */
const RAPID = 'input, textarea, [data-rapid="true"]';
const PRESSING = new Set(['Enter', ' ']);

/**
 * One press has one effect on every control: a double tap counts once, also when the first tap opened another screen
 * under the finger, and a held key presses once. Installed once for the whole page.
 */
export function guardPresses(page: Document): void {
  let last: Touch | null = null;
  let keyed: { on: EventTarget | null; atMs: number } | null = null;
  const isRapid = ({ target }: Event) =>
    target instanceof Element && target.closest(RAPID) !== null;
  const stop = (event: Event) => {
    event.preventDefault();
    event.stopImmediatePropagation();
  };
  page.addEventListener(
    'click',
    (event) => {
      // A press by key or screen reader has no position other than its target.
      if (event.detail === 0) {
        const before = keyed;
        keyed = { on: event.target, atMs: event.timeStamp };
        const again = before?.on === event.target && event.timeStamp - before.atMs < SETTLE_MS;
        if (again && !isRapid(event)) stop(event);
        return;
      }
      const touch = { atMs: event.timeStamp, x: event.clientX, y: event.clientY };
      if (isSlip(last, touch) && !isRapid(event)) stop(event);
      else last = touch;
    },
    true,
  );
  page.addEventListener(
    'keydown',
    (event) => {
      if (event.repeat && PRESSING.has(event.key) && !isRapid(event)) stop(event);
    },
    true,
  );
}
