import type { Screen } from './browser';

/** What extends beyond the screen's right edge or is cut there, where nothing scrolls sideways. */
export const cutOff = (screen: Screen): Promise<string[]> =>
  screen.page.evaluate(() => {
    const wide = document.documentElement.scrollWidth > innerWidth ? ['the page itself'] : [];
    const out = Array.from(document.querySelectorAll('#root *')).filter((e) => {
      const { right, width, height } = e.getBoundingClientRect();
      const own = Array.from(e.childNodes).some((n) => n.nodeType === 3 && n.textContent?.trim());
      const shown = own || e.tagName === 'svg';
      if (!shown || width === 0 || height === 0 || right <= innerWidth + 1) return false;
      for (let p = e.parentElement; p; p = p.parentElement)
        if (/auto|scroll/.test(getComputedStyle(p).overflowX) && p.scrollWidth > p.clientWidth + 1)
          return false;
      return true;
    });
    // The tabs show their whole names inside their buttons.
    const short = Array.from(document.querySelectorAll('[aria-label="Places"] [dir]')).filter(
      (e) => {
        const own = e.getBoundingClientRect();
        const pressed = e.closest('[role="link"], [role="button"]')?.getBoundingClientRect();
        const inside = !pressed || (own.left >= pressed.left - 1 && own.right <= pressed.right + 1);
        const level = !pressed || (own.top >= pressed.top - 1 && own.bottom <= pressed.bottom + 1);
        return own.width > 0 && !(inside && level && e.scrollWidth <= e.clientWidth + 1);
      },
    );
    return [
      ...wide,
      ...[...out, ...short].map((e) => `${e.tagName} “${e.textContent?.slice(0, 40)}”`),
    ];
  });
