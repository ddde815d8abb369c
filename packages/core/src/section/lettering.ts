import type { Point } from './point';

/** Height of the lettering on the sheet, px; paper uses smaller letters and keeps every distance. */
export const LETTER_PX = 16;
/** Ascent and descent of a letter, px. */
const RISE = 12;
const DROP = 4;
/** Least distance of lettering to the frame and to other lettering, px. */
export const CLEAR = 8;

export interface Box {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}
/** A positioned text: the start, middle or end of its line. */
export interface Lettered {
  at: Point;
  text: string;
  anchor: 'start' | 'middle' | 'end';
}

/** Letter widths by kind, in parts of the height: the widest of each kind, so that no text is wider. */
const WIDTHS: [RegExp, number][] = [
  [/[\s.,:;'’|!ilj]/, 0.3],
  [/[ftrI()/-]/, 0.42],
  [/[mwMW⌀½¼¾⅜⅝⅛⅞%]/, 0.88],
  [/[A-Z×–—…]/, 0.68],
];
const USUAL = 0.58;

/** The greatest possible width of a text, px. */
export function textWidth(text: string): number {
  const parts = [...text].map((c) => WIDTHS.find(([kind]) => kind.test(c))?.[1] ?? USUAL);
  return Math.ceil(parts.reduce((s, w) => s + w, 0) * LETTER_PX);
}

/** The box of a text. */
export function boxOf({ at: [x, y], text, anchor }: Lettered): Box {
  const width = textWidth(text);
  const x0 = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
  return { x0, y0: y - RISE, x1: x0 + width, y1: y + DROP };
}

/** The baseline of a text that is centred at a height. */
export const lineAt = (middle: number): number => middle + (RISE - DROP) / 2;

/** A text mirrored with its drawing: it stays upright. */
export const turned = ([x, y]: Point, height: number): Point => [x, height - y + RISE - DROP];

/** Texts side by side on one line, each as near as possible to its place; null if they do not fit. */
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
