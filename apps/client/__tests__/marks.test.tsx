import {
  newMark,
  extendMark,
  isMark,
  labelAt,
  markStyle,
  MARK_KINDS,
  pathOf,
  strokesOf,
  type Mark,
  type MarkKind,
  type Spot,
} from '@/features/pictures/marks';

/** A mark as a finger draws it, point by point. */
const drawn = (kind: MarkKind, first: Spot, ...rest: Spot[]): Mark =>
  rest.reduce(extendMark, newMark(kind, first));
const at = (x: number, y: number): Spot => ({ x, y });
const SQUARE = [at(0.2, 0.2), at(0.6, 0.2), at(0.6, 0.6), at(0.2, 0.6)] as const;

test('a line and an arrow go from the first to the last point; an outline follows the finger', () => {
  for (const kind of ['line', 'arrow'] as const)
    expect(drawn(kind, ...SQUARE).spots).toEqual([SQUARE[0], SQUARE[3]]);
  expect(drawn('outline', ...SQUARE).spots).toEqual(SQUARE);
});

test('a tap is not a mark, nor is an outline without area; trembling adds nothing', () => {
  for (const kind of MARK_KINDS) {
    expect(isMark(drawn(kind, at(0.5, 0.5)))).toBe(false);
    expect(isMark(drawn(kind, at(0.5, 0.5), at(0.505, 0.5)))).toBe(false);
    expect(isMark(drawn(kind, ...SQUARE))).toBe(true);
  }
  expect(isMark(drawn('outline', at(0.2, 0.2), at(0.8, 0.2)))).toBe(false);
  expect(isMark({ kind: 'line', spots: [], label: '' })).toBe(false);
  const trembling = drawn('outline', at(0.2, 0.2), at(0.203, 0.2), at(0.206, 0.2));
  expect(trembling.spots).toHaveLength(1);
});

test('nothing is drawn outside the picture', () => {
  for (const kind of MARK_KINDS)
    for (const { x, y } of drawn(kind, at(-0.4, 0.5), at(1.7, 2), at(0.5, -3)).spots)
      expect([x, y].every((v) => v >= 0 && v <= 1)).toBe(true);
});

test('an outline is closed; an arrow has a symmetric head at its point', () => {
  const [ring = []] = strokesOf(drawn('outline', ...SQUARE), 200, 100);
  expect(ring[0]).toEqual(ring.at(-1));
  expect(ring).toHaveLength(5);
  for (const to of [at(0.9, 0.5), at(0.5, 0.9), at(0.1, 0.1), at(0.5, 0.1)]) {
    const [shaft = [], head = []] = strokesOf(drawn('arrow', at(0.5, 0.5), to), 400, 300);
    expect(head[1]).toEqual(shaft.at(-1));
    const [a, tip, b] = head as [Point, Point, Point];
    const tail = shaft[0] as Point;
    expect(far(a, tip)).toBeCloseTo(far(b, tip), 6);
    expect(far(a, tail)).toBeCloseTo(far(b, tail), 6);
    expect(far(a, tail)).toBeLessThan(far(tip, tail));
  }
});
type Point = readonly [number, number];
const far = (p: Point, q: Point): number => Math.hypot(p[0] - q[0], p[1] - q[1]);

test('the saved picture equals the screen: twice the size, twice everything', () => {
  for (const kind of MARK_KINDS) {
    const mark = drawn(kind, ...SQUARE);
    const twice = (list: readonly (readonly Point[])[]) =>
      list.map((points) => points.map(([x, y]) => [x * 2, y * 2]));
    const [small, large] = [strokesOf(mark, 640, 480), strokesOf(mark, 1280, 960)];
    large.flat().forEach(([x, y], i) => {
      const [px = NaN, py = NaN] = twice(small).flat()[i] ?? [];
      expect(x).toBeCloseTo(px, 6);
      expect(y).toBeCloseTo(py, 6);
    });
    const [lx, ly] = labelAt(mark, 640, 480);
    expect(labelAt(mark, 1280, 960)).toEqual([lx * 2, ly * 2]);
  }
  expect(markStyle(1280, 960).line).toBeCloseTo(2 * markStyle(640, 480).line, 6);
});

test("a line's label is at its middle, an outline's at its top", () => {
  expect(labelAt(drawn('line', at(0.2, 0.2), at(0.6, 0.4)), 100, 100)).toEqual([
    expect.closeTo(40),
    expect.closeTo(30),
  ]);
  expect(labelAt(drawn('outline', ...SQUARE), 100, 100)).toEqual([
    expect.closeTo(40),
    expect.closeTo(20),
  ]);
});

test('strokes form one path, each with its own start', () => {
  expect(
    pathOf([
      [
        [0, 0],
        [10, 5.25],
      ],
      [
        [1, 1],
        [2, 2],
      ],
    ]),
  ).toBe('M0.0 0.0 L10.0 5.3 M1.0 1.0 L2.0 2.0');
});
