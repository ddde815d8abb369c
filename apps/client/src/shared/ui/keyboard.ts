const STEPS: Record<string, number> = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 };

const roleOf = (element: Element): string | null => element.getAttribute('role');
const isOff = (element: Element): boolean => element.getAttribute('aria-disabled') === 'true';

/** What the key does to the control that has the focus: what is to be focused and pressed; null where it is not ours. */
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
 * What a keyboard is expected to do and no control does by itself: Enter follows a link, Space ticks a box, arrows go
 * from choice to choice. It stands before every control, and none knows of it.
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
      // Arrows have moved on by then: what is held down goes on through the choices, and a tick does not flicker.
      if (event.repeat && pressed === target) return;
      pressed.focus();
      pressed.click();
      // Before the controls, which keep what they take for their own to themselves.
    },
    true,
  );
}

/** Choices in a row are one stop of the Tab key: the one that is chosen, or the first. */
export const stopAt = (i: number, chosen: number): 0 | -1 => (i === Math.max(chosen, 0) ? 0 : -1);

/** What is wrong and can be typed into or chosen from, from the top of the page. */
const WRONG =
  'input[aria-invalid="true"], textarea[aria-invalid="true"], [aria-invalid="true"] [tabindex="0"]';

/** Goes to the first field that is wrong, once it is marked. */
export function goToFirstWrong(): void {
  if (typeof document === 'undefined') return;
  requestAnimationFrame(() =>
    requestAnimationFrame(() => document.querySelector<HTMLElement>(WRONG)?.focus()),
  );
}
