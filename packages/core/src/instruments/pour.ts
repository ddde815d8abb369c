import { grams, m, type Message } from '../message/message';
import type { Watch } from './seen';

/** How a pour onto a scale stands against its mark. */
export interface Pouring {
  /** What is on the scale, g. */
  g: number;
  /** It has come to rest, and is no longer nothing: it may be taken. */
  isIn: boolean;
  /** What is still to go, or too much; null where it is at its mark. */
  say: Message | null;
}

/** Less of it than this share is on the way, however still the scale stands. */
const BEGUN = 0.5;
/** As near as a person pours, as a share. */
const AT_MARK = 0.002;

/** How a pour of `targetG`, g, stands by what a scale shows of it. */
export function pouring({ state, values }: Watch, targetG: number): Pouring {
  const [g = 0] = values;
  const left = targetG - g;
  return {
    g,
    isIn: state === 'steady' && g >= targetG * BEGUN,
    say:
      Math.abs(left) <= targetG * AT_MARK
        ? null
        : left > 0
          ? m('{left} to go.', { left: grams(left) })
          : m('{over} over.', { over: grams(-left) }),
  };
}
