import { t } from '../text/text';
import type { Prim, SectionRequest, Tone } from './drawing';
import type { Point } from './point';
import { DIM_OFF, FIGURE_OFF, lapPx, type Frame } from './frame';
import { boxOf, CLEAR, lineAt, sideBySide, textWidth, type Box, type Lettered } from './lettering';
import { lettering, type SectionSpec } from './spec';

const apart = (a: Box, b: Box): boolean => a.x1 + CLEAR <= b.x0 || b.x1 + CLEAR <= a.x0;

/** Extension lines of a dimension: length beyond the dimension line. */
const PAST = 4;
const TOWARDS = 18;

/** A horizontal dimension above the part; its figure is moved inwards if it would leave the frame. */
function levelDim({
  from,
  to,
  text,
  width,
}: {
  from: Point;
  to: Point;
  text: string;
  width: number;
}): Extract<Prim, { kind: 'dim' }> {
  const half = textWidth(text) / 2;
  const x = Math.min(Math.max((from[0] + to[0]) / 2, CLEAR + half), width - CLEAR - half);
  return { kind: 'dim', from, to, text, at: [x, from[1] - 9], anchor: 'middle' };
}
const ledDown = ({ from, to }: Extract<Prim, { kind: 'dim' }>): Prim[] =>
  [from, to].map(([x, y]) => ({
    kind: 'line',
    style: 'extension',
    points: [
      [x, y - PAST],
      [x, y + TOWARDS],
    ],
  }));

/** A vertical dimension beside the part, with its figure outside and extension lines at both ends. */
function uprightDim({
  side,
  f,
  from,
  to,
  text,
}: {
  side: -1 | 1;
  f: Frame;
  from: Point;
  to: Point;
  text: string;
}): Prim[] {
  const x = side < 0 ? f.end0 - DIM_OFF : f.end1 + DIM_OFF;
  const [top, bottom] = [from[1], to[1]];
  const led = (at: Point): Prim => ({
    kind: 'line',
    style: 'extension',
    points: [at, [x + side * 5, at[1]]],
  });
  return [
    led(from),
    led(to),
    {
      kind: 'dim',
      from: [x, top],
      to: [x, bottom],
      text,
      at: [x + side * FIGURE_OFF, lineAt((top + bottom) / 2)],
      anchor: side < 0 ? 'end' : 'start',
    },
  ];
}

/** The names below the part, from left to right. */
function legendOf(
  p: SectionSpec,
  { f, request, edgePx }: { f: Frame; request: SectionRequest; edgePx: number },
) {
  const middle = (f.xa + f.xb) / 2;
  const deepest = f.y0 + p.depthMm * f.yPerMm;
  const named: { from: Point; text: string; tone: Tone }[] = [];
  if (edgePx > 0)
    named.push({
      from: [f.xa, f.y0 + edgePx / 2],
      text: t('edge square, {value}', { value: lettering(request)(request.edgeMm ?? 0) }),
      tone: 'stop',
    });
  if (p.sandFromMm !== null)
    named.push({
      from: [middle, (f.y0 + p.sandFromMm * f.yPerMm + deepest) / 2],
      text: 'sand',
      tone: 'pencil',
    });
  if (p.left)
    named.push({ from: [middle, (deepest + f.y1) / 2], text: `${p.left} left`, tone: 'ink' });
  if (request.label)
    named.push({
      from: [f.xa + (f.xb - f.xa) * 0.72, f.y0 + (deepest - f.y0) * 0.42],
      text: request.label,
      tone: 'layer',
    });
  return named;
}

/** Names below the part on one line, each with a leader line; the last ones are omitted if there is no room. */
function legend(
  p: SectionSpec,
  { f, request, edgePx }: { f: Frame; request: SectionRequest; edgePx: number },
): Prim[] {
  const named = legendOf(p, { f, request, edgePx });
  const [from, to] = [CLEAR, request.width - CLEAR];
  let starts: number[] | null = null;
  while (named.length > 0) {
    starts = sideBySide(
      named.map((n) => ({ text: n.text, x: n.from[0] })),
      from,
      to,
    );
    if (starts) break;
    named.pop();
  }
  return named.map((n, i): Prim => {
    const x = starts?.[i] ?? from;
    const width = textWidth(n.text);
    const foot = Math.min(Math.max(n.from[0], x + 6), x + width - 6);
    const lettered: Lettered = { at: [x, f.legendY], text: n.text, anchor: 'start' };
    return { kind: 'leader', ...n, ...lettered, to: [foot, boxOf(lettered).y0 - 2] };
  });
}

/** Notes along the top: the first on the left, the second on the right, if there is room. */
function notesOf({ notes }: SectionSpec, f: Frame, { width, medium }: SectionRequest): Prim[] {
  const note = (text: string, tone: Tone, right: boolean) => ({
    kind: 'note' as const,
    at: [right ? width - CLEAR : CLEAR, f.noteY] as Point,
    text,
    tone,
    anchor: right ? ('end' as const) : ('start' as const),
  });
  const [first, second] = notes;
  if (first) {
    const one = note(first, 'ink', false);
    const two = second ? note(second, 'stop', true) : null;
    return two && apart(boxOf(one), boxOf(two)) ? [one, two] : [one];
  }
  if (!medium) return [];
  const one = note(medium, 'pencil', false);
  return [one, { kind: 'flow', at: [boxOf(one).x1 + CLEAR, f.noteY - 4] }];
}

/** Dimensions, leaders and notes of a section: none overlap, none are too near to the frame. */
export function lettersOf(
  p: SectionSpec,
  { f, request, edgePx }: { f: Frame; request: SectionRequest; edgePx: number },
): Prim[] {
  const prims: Prim[] = [];
  const lap = lapPx(p, f);
  const dimY = f.dimY;
  const across = p.across
    ? levelDim({ from: [f.xa, dimY], to: [f.xb, dimY], text: p.across, width: request.width })
    : null;
  if (across) prims.push(...ledDown(across), across);
  // If too narrow for its figure, only the description below the drawing has it.
  if (p.lap && lap > textWidth(p.lap) + CLEAR) {
    const over = levelDim({
      from: [f.xb, dimY],
      to: [f.xb + lap, dimY],
      text: p.lap,
      width: request.width,
    });
    if (!across || apart(boxOf(across), boxOf(over))) prims.push(...ledDown(over), over);
  }
  if (p.depth) {
    const deepest: Point = [(f.xa + f.xb) / 2, f.y0 + p.depthMm * f.yPerMm];
    prims.push(...uprightDim({ side: 1, f, from: [f.end1, f.y0], to: deepest, text: p.depth }));
  }
  if (p.wall)
    prims.push(
      ...uprightDim({ side: -1, f, from: [f.end0, f.y0], to: [f.end0, f.y1], text: p.wall }),
    );
  return [...prims, ...legend(p, { f, request, edgePx }), ...notesOf(p, f, request)];
}
