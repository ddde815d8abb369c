import { colours, fontFamily } from '@/shared/ui/tokens.cjs';

/** What is drawn on a picture. */
export const MARK_KINDS = ['line', 'arrow', 'outline'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

/** A place on a picture, as shares of its width and height: the same on the screen and in what is kept. */
export interface Spot {
  x: number;
  y: number;
}

export interface Mark {
  kind: MarkKind;
  /** Two of a line or an arrow, from its tail to its point; of an outline as many as it took. */
  spots: Spot[];
  /** The length that stands beside it; empty for none. */
  label: string;
}

/** Nearer than this to the last spot is a finger that trembles, as a share. */
const TREMBLE = 0.008;
/** Shorter than this is a tap, and no mark. */
const LEAST = 0.02;
/** Of the head of an arrow: its length as a share of the smaller side, and half its angle. */
const HEAD = 0.045;
const HEAD_ANGLE = Math.PI / 7;

const inside = (v: number): number => Math.min(1, Math.max(0, v));
const far = (a: Spot, b: Spot): number => Math.hypot(a.x - b.x, a.y - b.y);

/** A mark that is begun at a place. */
export const begun = (kind: MarkKind, at: Spot): Mark => ({
  kind,
  spots: [{ x: inside(at.x), y: inside(at.y) }],
  label: '',
});

/** The mark as it is once the finger has come to a place: a line ends there, an outline goes on. */
export function drawnTo(mark: Mark, at: Spot): Mark {
  const spot = { x: inside(at.x), y: inside(at.y) };
  const [first = spot] = mark.spots;
  if (mark.kind !== 'outline') return { ...mark, spots: [first, spot] };
  const last = mark.spots.at(-1) ?? first;
  return far(last, spot) < TREMBLE ? mark : { ...mark, spots: [...mark.spots, spot] };
}

/** Whether a mark is one: a tap is none, and an outline has an inside. */
export function isMark({ kind, spots }: Mark): boolean {
  const [first] = spots;
  if (!first) return false;
  if (kind === 'outline' && spots.length < 3) return false;
  return spots.some((s) => far(first, s) >= LEAST);
}

/** A place in pixels of a picture so large. */
type Point = readonly [x: number, y: number];

/** The strokes of a mark on a picture so large, px: its line, closed for an outline, and the head of an arrow. */
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

/** Where the label of a mark stands: in the middle of its line, at the top of its outline, px. */
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

/** Strokes as the path of a drawing. */
export const pathOf = (strokes: readonly (readonly Point[])[]): string =>
  strokes
    .map((points) =>
      points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join(' '),
    )
    .join(' ');

/** The look of marks on a picture so large, px: seen on any ground, light on a dark edge, the same in both themes. */
export function lookOf(width: number, height: number) {
  const side = Math.max(width, height);
  const line = Math.max(2, side / 220);
  const text = Math.max(11, side / 32);
  return {
    ...{ light: colours.light.ochre, edge: colours.light.ink },
    ...{ line, edgeLine: line * 2, text, edgeText: text / 4, above: line * 3 },
    font: fontFamily.head?.[0] ?? 'sans-serif',
  };
}
