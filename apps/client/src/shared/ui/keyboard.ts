const STEPS: Record<string, number> = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 };

const roleOf = (element: Element): string | null => element.getAttribute('role');
const isOff = (element: Element): boolean => element.getAttribute('aria-disabled') === 'true';

/** What a key does to the focused control: the element to focus and press; null if the key is not handled here. */
function pressedBy(key: string, on: Element): HTMLElement | null {
  const role = roleOf(on);
  if (key === ' ' && (role === 'checkbox' || role === 'radio')) return on as HTMLElement;
  if (key === 'Enter' && role === 'link' && on.tagName !== 'A') return on as HTMLElement;
  const step = STEPS[key];
  const group = role === 'radio' && step !== undefined ? on.closest('[role="radiogroup"]') : null;
  if (!group || step === undefined) return null;
  const all = Array.from(group.querySelectorAll<HTMLElement>('[role="radio"]')).filter(
    (r) => !isOff(r),
  );
  return all[(all.indexOf(on as HTMLElement) + step + all.length) % all.length] ?? null;
}

/**
 * Standard keyboard behaviour that no control provides: Enter follows a link, Space ticks a box, arrows move through
 * choices. Installed once for the whole page.
 */
export function listenToKeys(page: Document): void {
  page.addEventListener(
    'keydown',
    (event) => {
      const { key, target, ctrlKey, metaKey, altKey } = event;
      if (ctrlKey || metaKey || altKey || !(target instanceof Element)) return;
      const pressed = pressedBy(key, target);
      if (!pressed) return;
      event.preventDefault();
      // A held arrow key moves through choices; a held Space must not toggle a tick repeatedly.
      if (event.repeat && pressed === target) return;
      pressed.focus();
      pressed.click();
      // In the capture phase: controls stop the events that they handle.
    },
    true,
  );
}

/** Choices in a row are one Tab stop: the chosen one, or the first. */
export const tabIndexAt = (i: number, chosen: number): 0 | -1 =>
  i === Math.max(chosen, 0) ? 0 : -1;

/** Inputs and choices that are marked as invalid, from the top of the page. */
const WRONG =
  'input[aria-invalid="true"], textarea[aria-invalid="true"], [aria-invalid="true"] [tabindex="0"]';

/** Goes to the first invalid field, once it is marked. */
export function goToFirstWrong(): void {
  if (typeof document === 'undefined') return;
  requestAnimationFrame(() =>
    requestAnimationFrame(() => document.querySelector<HTMLElement>(WRONG)?.focus()),
  );
}
