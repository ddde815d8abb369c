import { mulberry32 } from '../calc/random';
import type { RebuildDamage } from '../survey/f2';
import { breakLine, type Drawing, type Point, type Prim, type SectionRequest } from './drawing';
import { profileOf, type Profile } from './profile';

const SAMPLES = 44;
/** Room kept above the metal for the across dimension, and below it for leaders, in px. */
const ABOVE = 46;
const BELOW = 40;

/** Where things stand on the sheet, in px, and how many times depth is drawn larger than width. */
interface Frame {
  xa: number;
  xb: number;
  end0: number;
  end1: number;
  y0: number;
  y1: number;
  pxPerMm: number;
  times: number;
}

function frameOf(p: Profile, { width, height, dimensions }: SectionRequest): Frame {
  const bodyMm = p.wallMm ?? p.depthMm * 2.4;
  const above = dimensions ? ABOVE : 20;
  const room = height - above - (dimensions ? BELOW : 16);
  const across = width * 0.56;
  // At true scale, unless the wall is thicker than the sheet is high; then the depth in whole times of it.
  const scale = Math.min(across / p.acrossMm, room / bodyMm);
  const times = Math.max(1, Math.min(500, Math.floor(room / (bodyMm * scale))));
  const half = (p.acrossMm * scale) / 2;
  const y0 = above + (room - bodyMm * scale * times) / 2;
  const [xa, xb] = [width / 2 - half, width / 2 + half];
  return {
    xa,
    xb,
    end0: Math.max(30, xa - 58),
    end1: Math.min(width - 18, xb + 58),
    y0,
    y1: y0 + bodyMm * scale * times,
    pxPerMm: scale * times,
    times,
  };
}

/** Depth of the rough bottom at each sample across, in mm, never shallower than the squared edge. */
function roughDepths(p: Profile, edgeMm: number, seed: number): number[] {
  const random = mulberry32(seed);
  return Array.from({ length: SAMPLES + 1 }, (_, i) => {
    const t = (i / SAMPLES) * 2 - 1;
    const ideal = p.dished ? p.depthMm * (1 - t * t) : p.depthMm;
    const bite = (random() - 0.6) * p.depthMm * (p.dished ? 0.13 : 0.1);
    const bottom = Math.abs(t) < 0.03 ? p.depthMm : Math.min(p.depthMm, ideal + bite);
    return Math.max(Math.min(edgeMm, p.depthMm), bottom);
  });
}

/** One layer of the build: what of the bite lies between two heights on the sheet. */
function layerArea(bite: Point[], upper: number, lower: number): Point[] {
  const inside = bite.filter(([, y]) => Math.min(y, lower) > upper + 0.01);
  if (inside.length < 2) return [];
  const top = inside.map(([x]): Point => [x, upper]);
  const bottom = inside.map(([x, y]): Point => [x, Math.min(y, lower)]);
  return [...top, ...bottom.reverse()];
}

function layersOf(bite: Point[], f: Frame, layers: SectionRequest['layers']): Prim[] {
  const deepest = Math.max(...bite.map(([, y]) => y));
  const each = (deepest - f.y0) / layers.length;
  return layers.flatMap((fill, i): Prim[] => {
    const upper = deepest - each * (i + 1);
    const points = layerArea(bite, upper, deepest - each * i);
    if (points.length === 0) return [];
    const style = fill === 'planned' ? 'planned' : 'layer';
    return [
      { kind: 'area', fill, points },
      { kind: 'line', style, points: points.slice(0, points.length / 2) },
    ];
  });
}

function metalOf(p: Profile, f: Frame, bite: Point[], { metal }: SectionRequest): Prim[] {
  const surface: Point[] = [[f.end0, f.y0], [f.xa, f.y0], ...bite, [f.xb, f.y0], [f.end1, f.y0]];
  return [
    { kind: 'area', fill: metal, points: [...surface, [f.end1, f.y1], [f.end0, f.y1]] },
    { kind: 'line', style: 'cut', points: surface },
    {
      kind: 'line',
      style: p.wallMm === null ? 'centre' : 'cut',
      points: [
        [f.end0, f.y1],
        [f.end1, f.y1],
      ],
    },
    { kind: 'line', style: 'thin', points: breakLine(f.end0, f.y0, f.y1) },
    { kind: 'line', style: 'thin', points: breakLine(f.end1, f.y0, f.y1) },
  ];
}

function dimensionsOf(p: Profile, f: Frame, request: SectionRequest, edgePx: number): Prim[] {
  const middle = (f.xa + f.xb) / 2;
  const deepest = f.y0 + p.depthMm * f.pxPerMm;
  const under = f.y1 + 24;
  const prims: Prim[] = [
    { kind: 'dim', from: [f.xa, f.y0 - 20], to: [f.xb, f.y0 - 20], text: p.across },
    {
      kind: 'dim',
      from: [middle, f.y0],
      to: [middle, deepest],
      text: p.depth,
      beside: deepest - f.y0 < 38,
    },
  ];
  if (p.wallMm !== null) {
    prims.push(
      { kind: 'dim', from: [f.end0 - 14, f.y0], to: [f.end0 - 14, f.y1], text: p.wall },
      {
        kind: 'leader',
        from: [middle, (deepest + f.y1) / 2],
        to: [middle + 14, under],
        text: `${p.left} left`,
        tone: 'ink',
        anchor: 'start',
      },
    );
  }
  if (edgePx > 0) {
    const text = `edge square, ${request.edgeMm ?? ''}`;
    prims.push({
      kind: 'leader',
      from: [f.xa, f.y0 + edgePx / 2],
      to: [f.end0 - 16, under],
      text,
      tone: 'stop',
      anchor: 'start',
    });
  }
  if (request.label) {
    const from: Point = [f.xa + (f.xb - f.xa) * 0.72, f.y0 + (deepest - f.y0) * 0.42];
    prims.push({
      kind: 'leader',
      from,
      to: [f.end1 + 8, under],
      text: request.label,
      tone: 'layer',
      anchor: 'end',
    });
  }
  const [first, second] = p.notes;
  if (first) prims.push({ kind: 'note', at: [4, 14], text: first, tone: 'ink', anchor: 'start' });
  if (second)
    prims.push({
      kind: 'note',
      at: [request.width - 4, 14],
      text: second,
      tone: 'stop',
      anchor: 'end',
    });
  return prims;
}

/** Turns a section over for a bore: metal above, the build hanging under it. */
function flip(prims: Prim[], height: number): Prim[] {
  const at = ([x, y]: Point): Point => [x, height - y];
  return prims.map((p) => {
    if (p.kind === 'area' || p.kind === 'line') return { ...p, points: p.points.map(at) };
    if (p.kind === 'dim' || p.kind === 'leader') return { ...p, from: at(p.from), to: at(p.to) };
    if (p.kind === 'note') return p;
    return { ...p, at: at(p.at) };
  });
}

/** The section of an eroded pocket, a worn flat, a shaft seat or a bore: metal, bite, layers, dimensions. */
export function rebuildSection(damage: RebuildDamage, request: SectionRequest): Drawing {
  const { width, height, system, layers, edgeMm } = request;
  const p = profileOf(damage, request);
  const f = frameOf(p, request);
  const depths = roughDepths(p, edgeMm ?? 0, request.seed);
  const bite = depths.map((d, i): Point => [
    f.xa + ((f.xb - f.xa) * i) / SAMPLES,
    f.y0 + d * f.pxPerMm,
  ]);
  const edgePx = Math.min(edgeMm ?? 0, p.depthMm) * f.pxPerMm;
  const edges = edgePx > 0 ? [f.xa, f.xb] : [];
  const prims: Prim[] = [
    ...metalOf(p, f, bite, request),
    ...layersOf(bite, f, layers),
    ...edges.map((x): Prim => ({
      kind: 'line',
      style: 'work',
      points: [
        [x, f.y0],
        [x, f.y0 + edgePx],
      ],
    })),
    ...(request.dimensions ? dimensionsOf(p, f, request, edgePx) : []),
  ];
  const drawn = p.hanging ? flip(prims, height) : prims;
  if (request.medium && request.dimensions && p.notes.length === 0) {
    drawn.push(
      { kind: 'note', at: [4, 14], text: request.medium, tone: 'pencil', anchor: 'start' },
      { kind: 'flow', at: [4, 24] },
    );
  }
  const unit = system === 'us' ? 'in' : 'mm';
  const wall = p.wallMm === null ? '' : `, wall ${p.wall} ${unit}, ${p.left} ${unit} left`;
  return {
    width,
    height,
    prims: drawn,
    title: [
      { key: request.tag, value: p.named },
      { key: 'section', value: f.times > 1 ? `${unit}, depth ×${f.times}` : unit },
    ],
    describe: `Section of ${p.named.toLowerCase()}: ${p.across} ${unit} across, ${p.depth} ${unit} deep${wall}.`,
  };
}
