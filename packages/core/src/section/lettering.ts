import type { Point } from './point';

/** Height of the lettering of a section on the sheet, px; paper letters smaller and so keeps every distance. */
export const LETTER_PX = 16;
/** What a letter stands over and hangs under its line, px. */
const RISE = 12;
const DROP = 4;
/** Lettering keeps this from the frame and from its neighbours, px. */
export const CLEAR = 8;

export interface Box {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}
/** A text where it stands: its line’s start, middle or end. */
export interface Lettered {
  at: Point;
  text: string;
  anchor: 'start' | 'middle' | 'end';
}

/** Widths of the kinds of letters, in parts of their height: of the widest of each kind, so that no text is wider. */
const WIDTHS: [RegExp, number][] = [
  [/[\s.,:;'’|!ilj]/, 0.3],
  [/[ftrI()/-]/, 0.42],
  [/[mwMW⌀½¼¾⅜⅝⅛⅞%]/, 0.88],
  [/[A-Z×–—…]/, 0.68],
];
const USUAL = 0.58;

/** How wide a text is at most, px. */
export function textWidth(text: string): number {
  const parts = [...text].map((c) => WIDTHS.find(([kind]) => kind.test(c))?.[1] ?? USUAL);
  return Math.ceil(parts.reduce((s, w) => s + w, 0) * LETTER_PX);
}

/** The room a text takes. */
export function boxOf({ at: [x, y], text, anchor }: Lettered): Box {
  const width = textWidth(text);
  const x0 = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
  return { x0, y0: y - RISE, x1: x0 + width, y1: y + DROP };
}

/** Where the line of a text stands whose middle is at a height. */
export const lineAt = (middle: number): number => middle + (RISE - DROP) / 2;

/** A text turned over with its drawing: it stays upright, its middle goes to the other side. */
export const turned = ([x, y]: Point, height: number): Point => [x, height - y + RISE - DROP];

/** Texts side by side on one line, each as near as can be to where it belongs; null where they do not fit. */
export function sideBySide(
  texts: readonly { text: string; x: number }[],
  from: number,
  to: number,
): number[] | null {
  const widths = texts.map(({ text }) => textWidth(text));
  const room = to - from - widths.reduce((s, w) => s + w, 0) - CLEAR * (texts.length - 1);
  if (room < 0) return null;
  const starts = texts.map(({ x }, i) => x - (widths[i] ?? 0) / 2);
  let least = from;
  for (let i = 0; i < starts.length; i++) {
    starts[i] = Math.max(starts[i] ?? 0, least);
    least = (starts[i] ?? 0) + (widths[i] ?? 0) + CLEAR;
  }
  let most = to;
  for (let i = starts.length - 1; i >= 0; i--) {
    starts[i] = Math.min(starts[i] ?? 0, most - (widths[i] ?? 0));
    most = (starts[i] ?? 0) - CLEAR;
  }
  return starts;
}
