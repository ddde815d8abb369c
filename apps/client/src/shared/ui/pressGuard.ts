/** A second touch this soon is a slip of the glove: what is there may by then say something else, ms. */
const SETTLE_MS = 500;
/** And this near: a second finger elsewhere means what it says, px. */
const NEAR_PX = 32;

export interface Touch {
  atMs: number;
  x: number;
  y: number;
}

/** Whether a touch is the second half of a double tap: soon after another, and where that was. */
export const isSlip = (before: Touch | null, touch: Touch): boolean =>
  before !== null &&
  touch.atMs - before.atMs < SETTLE_MS &&
  Math.hypot(touch.x - before.x, touch.y - before.y) < NEAR_PX;

/** Where a quick second touch is meant: in a text, and on what counts up and down. */
const RAPID = 'input, textarea, [data-rapid="true"]';
const PRESSING = new Set(['Enter', ' ']);

/**
 * One press is one deed, whatever is pressed: a double tap is one tap, also where the first half of it brought another
 * screen under the finger, and a key that is held presses once. It stands before every control, and none knows of it.
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
      // A key that presses, or a reader of the screen, has no place but what it presses.
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
