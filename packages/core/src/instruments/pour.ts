import { grams, m, type Message } from '../message/message';
import type { InstrumentState } from './instrumentState';

/** The state of a pour on a scale against its target. */
export interface Pouring {
  /** What is on the scale, g. */
  g: number;
  /** It has settled and is not empty: it can be taken. */
  isIn: boolean;
  /** What is missing or too much; null at the target. */
  say: Message | null;
}

/** Below this share the pour is still running, however steady the scale. */
const BEGUN = 0.5;
/** The precision of a person's pour, as a share. */
const AT_MARK = 0.002;

/** The state of a pour towards `targetG`, g, from what the scale shows. */
export function pouring({ state, values }: InstrumentState, targetG: number): Pouring {
  const [g = 0] = values;
  const left = targetG - g;
  return {
    g,
    isIn: state === 'steady' && g >= targetG * BEGUN,
    say:
      Math.abs(left) <= targetG * AT_MARK
        ? null
        : left > 0
          ? m('Add {left}.', { left: grams(left) })
          : m('{over} too much.', { over: grams(-left) }),
  };
}
