import type { Drawing, Fill, Lettered, LineStyle, Point, Prim } from '@kelmot/core';
import {
  clip,
  closePath,
  endPath,
  lineTo,
  moveTo,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  setFillingRgbColor,
  setLineWidth,
  setStrokingRgbColor,
  stroke,
  fill as fillPath,
  type PDFOperator,
  type RGB,
} from 'pdf-lib';
import { INK, STYLES, type Sheet, type Style } from './sheet';

/** Lines or dots of a hatch, in points: how far apart, how thick, at which slope. */
interface Hatch {
  ground?: RGB;
  ink: RGB;
  lines?: { gap: number; width: number; lean: 1 | -1 | 0; pair?: number }[];
  dots?: number;
}

const lean = (gap: number, width: number, pair?: number): Hatch => ({
  ink: INK.ink,
  lines: [{ gap, width, lean: 1, pair }],
});
const crossed: Hatch = {
  ink: INK.ink,
  lines: [
    { gap: 6, width: 0.5, lean: 1 },
    { gap: 6, width: 0.5, lean: -1 },
  ],
};
const level: Hatch = { ink: INK.ink, lines: [{ gap: 3.5, width: 0.5, lean: 0 }] };
const plastic = lean(9, 0.6);

/** The hatches of the screen, as paper has them. */
const HATCHES: Partial<Record<Fill, Hatch>> = {
  'cast-iron': lean(5, 0.7),
  'carbon-steel': lean(7, 0.6, 2),
  stainless: lean(5, 0.5, 1.6),
  'cast-aluminium': lean(8, 0.5),
  bronze: lean(9, 0.6, 2.4),
  'belt-rubber': crossed,
  'tyre-rubber': crossed,
  concrete: { ink: INK.ink, dots: 6 },
  asphalt: { ink: INK.ink, dots: 4.5 },
  masonry: level,
  sand: { ink: INK.ink, dots: 3.2 },
  abs: plastic,
  pvc: plastic,
  pe: plastic,
  pp: plastic,
  grp: level,
  'coated-sheet': lean(4, 0.5),
  'board-laminate': level,
  planned: { ground: INK.mossTint, ink: INK.moss, dots: 4 },
  wet: { ground: INK.mossTint, ink: INK.moss, lines: [{ gap: 6, width: 2.2, lean: -1 }] },
  late: { ink: INK.oxide, lines: [{ gap: 5, width: 1.2, lean: -1 }] },
  curing: { ground: INK.moss, ink: INK.moss },
  set: { ground: INK.moss, ink: INK.moss },
};

const STROKES: Record<LineStyle, { width: number; ink: RGB; dash?: number[] }> = {
  cut: { width: 1.4, ink: INK.ink },
  thin: { width: 0.8, ink: INK.ink },
  extension: { width: 0.5, ink: INK.ink },
  planned: { width: 1, ink: INK.mossInk, dash: [5, 3] },
  layer: { width: 0.7, ink: INK.ink },
  work: { width: 2, ink: INK.oxide },
  centre: { width: 0.7, ink: INK.ink, dash: [14, 3, 3, 3] },
  unknown: { width: 0.8, ink: INK.ink, dash: [2, 2] },
};
const TONES = { ink: INK.ink, pencil: INK.pencil, stop: INK.oxide, layer: INK.mossInk };
const LETTER: Style = { ...STYLES.row, size: 10.5 };

/** Draws core’s section on a sheet, its top left corner at a place. Knows hatches and lettering, never a family. */
export function drawSectionOn(
  sheet: Sheet,
  drawing: Drawing,
  { x0, y0 }: { x0: number; y0: number },
): void {
  const at = ([x, y]: Point): Point => [x0 + x, sheet.up(y0 + y)];
  for (const prim of drawing.prims) drawPrim(sheet, prim, { at, x0, y0 });
}

function hatchOperators(points: Point[], hatch: Hatch): PDFOperator[] {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const [first, ...rest] = points as [Point, ...Point[]];
  const ops: PDFOperator[] = [
    pushGraphicsState(),
    moveTo(...first),
    ...rest.map((p) => lineTo(...p)),
    closePath(),
    clip(),
    endPath(),
  ];
  if (hatch.ground) {
    const { red, green, blue } = hatch.ground;
    ops.push(setFillingRgbColor(red, green, blue), rectangle(x0, y0, x1 - x0, y1 - y0), fillPath());
  }
  const { red, green, blue } = hatch.ink;
  ops.push(setStrokingRgbColor(red, green, blue), setFillingRgbColor(red, green, blue));
  const height = y1 - y0;
  for (const { gap, width, lean: slope, pair } of hatch.lines ?? []) {
    ops.push(setLineWidth(width));
    for (const shift of pair ? [0, pair] : [0]) {
      if (slope === 0) for (let y = y0; y < y1; y += gap) ops.push(moveTo(x0, y), lineTo(x1, y));
      else
        for (let x = x0 - height + shift; x < x1 + height; x += gap * 1.414)
          ops.push(moveTo(slope > 0 ? x : x + height, y0), lineTo(slope > 0 ? x + height : x, y1));
    }
    ops.push(stroke());
  }
  const { dots } = hatch;
  if (dots)
    for (let i = 0, y = y0; y < y1; y += dots, i++)
      for (let x = x0 + ((i % 2) * dots) / 2 + ((i * 7) % 3); x < x1; x += dots)
        ops.push(rectangle(x, y, 0.9, 0.9), fillPath());
  ops.push(popGraphicsState());
  return ops;
}

type Place = (p: Point) => Point;

function strokeLine(
  sheet: Sheet,
  points: Point[],
  style: { width: number; ink: RGB; dash?: number[] },
): void {
  points.slice(1).forEach((to, i) => {
    const from = points[i] as Point;
    sheet.page.drawLine({
      start: { x: from[0], y: from[1] },
      end: { x: to[0], y: to[1] },
      thickness: style.width,
      color: style.ink,
      dashArray: style.dash,
    });
  });
}

function letters(
  sheet: Sheet,
  text: string,
  { x, y, ink, align }: { x: number; y: number; ink: RGB; align: 'left' | 'right' | 'middle' },
): void {
  const style = { ...LETTER, ink };
  const width = sheet.widthOf(text, style);
  const left = x - (align === 'left' ? 0 : align === 'right' ? width : width / 2);
  sheet.page.drawRectangle({
    x: left - 2,
    y: sheet.up(y + 2),
    width: width + 4,
    height: LETTER.size + 2,
    color: INK.sheet,
  });
  sheet.put(text, { x, y: y - LETTER.size, style, align });
}

const ALIGN = { start: 'left', middle: 'middle', end: 'right' } as const;

function dimension(sheet: Sheet, { from, to }: Extract<Prim, { kind: 'dim' }>, at: Place): void {
  strokeLine(sheet, [at(from), at(to)], STROKES.extension);
  for (const [x, y] of [from, to])
    strokeLine(sheet, [at([x - 3, y + 3]), at([x + 3, y - 3])], { width: 1, ink: INK.ink });
}

function drawPrim(
  sheet: Sheet,
  prim: Prim,
  { at, x0, y0 }: { at: Place; x0: number; y0: number },
): void {
  const lettered = (text: Lettered, ink: RGB) =>
    letters(sheet, text.text, {
      x: x0 + text.at[0],
      y: y0 + text.at[1],
      ink,
      align: ALIGN[text.anchor],
    });
  switch (prim.kind) {
    case 'area': {
      const hatch = HATCHES[prim.fill];
      if (hatch && prim.points.length > 2)
        sheet.page.pushOperators(...hatchOperators(prim.points.map(at), hatch));
      return;
    }
    case 'line':
      return strokeLine(sheet, prim.points.map(at), STROKES[prim.style]);
    case 'dim':
      dimension(sheet, prim, at);
      return lettered(prim, INK.ink);
    case 'leader': {
      const ink = TONES[prim.tone];
      strokeLine(sheet, [at(prim.from), at(prim.to)], { width: 0.7, ink });
      const [x, y] = at(prim.from);
      sheet.page.drawCircle({ x, y, size: 1.7, color: ink });
      return lettered(prim, ink);
    }
    case 'note':
      return lettered(prim, TONES[prim.tone]);
    case 'flow': {
      const [x, y] = prim.at;
      const style = { width: 0.8, ink: INK.pencil };
      strokeLine(sheet, [at([x, y]), at([x + 26, y])], style);
      return strokeLine(sheet, [at([x + 20, y - 4]), at([x + 26, y]), at([x + 20, y + 4])], style);
    }
  }
}
