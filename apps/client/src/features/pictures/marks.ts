import { colours, fontFamily } from '@/shared/ui/tokens.cjs';

/** The kinds of marks on a picture. */
export const MARK_KINDS = ['line', 'arrow', 'outline'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

/** A point on a picture, in shares of its width and height: the same on the screen and in the saved picture. */
export interface Spot {
  x: number;
  y: number;
}

export interface Mark {
  kind: MarkKind;
  /** Two points for a line or an arrow, from tail to head; more for an outline. */
  spots: Spot[];
  /** The length written beside it; empty for none. */
  label: string;
}

/** A move shorter than this is a trembling finger and is ignored; share of the picture. */
const TREMBLE = 0.008;
/** A mark shorter than this is a tap and is ignored; share of the picture. */
const LEAST = 0.02;
/** The head of an arrow: its length as a share of the smaller side, and half its angle. */
const HEAD = 0.045;
const HEAD_ANGLE = Math.PI / 7;

const inside = (v: number): number => Math.min(1, Math.max(0, v));
const far = (a: Spot, b: Spot): number => Math.hypot(a.x - b.x, a.y - b.y);

/** A new mark at a point. */
export const newMark = (kind: MarkKind, at: Spot): Mark => ({
  kind,
  spots: [{ x: inside(at.x), y: inside(at.y) }],
  label: '',
});

/** The mark after the finger moved to a point: a line ends there, an outline continues. */
export function extendMark(mark: Mark, at: Spot): Mark {
  const spot = { x: inside(at.x), y: inside(at.y) };
  const [first = spot] = mark.spots;
  if (mark.kind !== 'outline') return { ...mark, spots: [first, spot] };
  const last = mark.spots.at(-1) ?? first;
  return far(last, spot) < TREMBLE ? mark : { ...mark, spots: [...mark.spots, spot] };
}

/** Whether a mark is large enough to keep: not a tap, and an outline has an area. */
export function isMark({ kind, spots }: Mark): boolean {
  const [first] = spots;
  if (!first) return false;
  if (kind === 'outline' && spots.length < 3) return false;
  return spots.some((s) => far(first, s) >= LEAST);
}

/** A point in pixels. */
type Point = readonly [x: number, y: number];

/** The strokes of a mark in pixels: its line (closed for an outline) and the head of an arrow. */
export function strokesOf({ kind, spots }: Mark, width: number, height: number): Point[][] {
  const points = spots.map(({ x, y }): Point => [x * width, y * height]);
  const [first] = points;
  const last = points.at(-1);
  if (!first || !last) return [];
  if (kind === 'outline') return [[...points, first]];
  if (kind === 'line') return [points];
  const angle = Math.atan2(last[1] - first[1], last[0] - first[0]);
  const size = HEAD * Math.min(width, height);
  const wing = (turn: number): Point => [
    last[0] - size * Math.cos(angle + turn),
    last[1] - size * Math.sin(angle + turn),
  ];
  return [points, [wing(HEAD_ANGLE), last, wing(-HEAD_ANGLE)]];
}

/** The position of a mark's label in pixels: the middle of a line, the top of an outline. */
export function labelAt({ kind, spots }: Mark, width: number, height: number): Point {
  const points = spots.map(({ x, y }): Point => [x * width, y * height]);
  const count = Math.max(1, points.length);
  const x = points.reduce((sum, p) => sum + p[0], 0) / count;
  const y =
    kind === 'outline'
      ? Math.min(...points.map((p) => p[1]))
      : points.reduce((sum, p) => sum + p[1], 0) / count;
  return [x, y];
}

/** The strokes as an SVG path. */
export const pathOf = (strokes: readonly (readonly Point[])[]): string =>
  strokes
    .map((points) =>
      points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join(' '),
    )
    .join(' ');

/** The colours and widths of marks: visible on any picture, light with a dark edge, the same in both themes. */
export function markStyle(width: number, height: number) {
  const side = Math.max(width, height);
  const line = Math.max(2, side / 220);
  const text = Math.max(11, side / 32);
  return {
    ...{ light: colours.light.ochre, edge: colours.light.ink },
    ...{ line, edgeLine: line * 2, text, edgeText: text / 4, above: line * 3 },
    font: fontFamily.head?.[0] ?? 'sans-serif',
  };
}
