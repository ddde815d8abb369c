import { t } from '../text/text';
import { breakLine, type Drawing, type Fill, type Prim, type SectionRequest } from './drawing';
import type { Point } from './point';
import { AXIS_OFF, biteOf, cutSide, frameOf, lapPx, LEG_OUT, type Frame } from './frame';
import { turned } from './lettering';
import { lettersOf } from './letters';
import type { SectionSpec } from './spec';

const between = (x0: number, x1: number, y: number): Point[] => [
  [x0, y],
  [x1, y],
];

/** One layer of the build: the part of the bite between two heights. */
function layerArea(bite: Point[], upper: number, lower: number): Point[] {
  const inside = bite.filter(([, y]) => Math.min(y, lower) > upper + 0.01);
  if (inside.length < 2) return [];
  const top = inside.map(([x]): Point => [x, upper]);
  const bottom = inside.map(([x, y]): Point => [x, Math.min(y, lower)]);
  return [...top, ...bottom.reverse()];
}

const edgeOf = (fill: Fill) => (fill === 'planned' ? ('planned' as const) : ('layer' as const));

/** The fill, coat by coat from the bottom, over its sand if any. */
function layersOf(
  p: SectionSpec,
  { bite, f, layers }: { bite: Point[]; f: Frame; layers: Fill[] },
): Prim[] {
  const deepest = Math.max(...bite.map(([, y]) => y));
  const sandAt =
    p.sandFromMm === null ? deepest : Math.min(deepest, f.y0 + p.sandFromMm * f.yPerMm);
  const each = (sandAt - f.y0) / Math.max(1, layers.length);
  const sand: Prim[] =
    sandAt < deepest
      ? [{ kind: 'area', fill: 'sand', points: layerArea(bite, sandAt, deepest) }]
      : [];
  const coats = layers.flatMap((fill, i): Prim[] => {
    const upper = sandAt - each * (i + 1);
    const points = layerArea(bite, upper, sandAt - each * i);
    if (points.length === 0) return [];
    return [
      { kind: 'area', fill, points },
      { kind: 'line', style: edgeOf(fill), points: points.slice(0, points.length / 2) },
    ];
  });
  return [...(layers.length > 0 || p.sandFromMm !== null ? sand : []), ...coats];
}

/** The cover: one tapered layer, or plies stepped in towards the top. */
function coverOf(p: SectionSpec, f: Frame, layers: Fill[]): Prim[] {
  const { cover } = p;
  const fill = layers[layers.length - 1];
  if (!cover || !fill) return [];
  const lap = lapPx(p, f);
  const high = f.coverPx;
  const each = high / cover.plies;
  return Array.from({ length: cover.plies }, (_, i): Prim[] => {
    const inset = cover.plies === 1 ? 0 : (lap * 0.25 * i) / cover.plies;
    const [x0, x1] = [f.xa - lap + inset, f.xb + lap - inset];
    const [lower, upper] = [f.y0 - each * i, f.y0 - each * (i + 1)];
    const taper = cover.plies === 1 ? lap * 0.85 : 3;
    const points: Point[] = [
      [x0, lower],
      [x0 + taper, upper],
      [x1 - taper, upper],
      [x1, lower],
    ];
    return [
      { kind: 'area', fill, points },
      { kind: 'line', style: edgeOf(fill), points },
    ];
  }).flat();
}

function parentOf(
  p: SectionSpec,
  { f, bite, request: { material, seed } }: { f: Frame; bite: Point[]; request: SectionRequest },
): Prim[] {
  const ends: Prim[] = [f.end0, f.end1].map((x) => ({
    kind: 'line',
    style: 'thin',
    points: breakLine(x, f.y0, f.y1),
  }));
  if (p.through) {
    const vee = p.bite === 'vee';
    const left = cutSide(f, { x: f.xa, seed, vee });
    const right = cutSide(f, { x: f.xb, seed: seed + 1, vee });
    const sides: [Point[], number][] = [
      [left, f.end0],
      [right, f.end1],
    ];
    return [
      ...sides.flatMap(([side, end]): Prim[] => [
        { kind: 'area', fill: material, points: [[end, f.y0], ...side, [end, f.y1]] },
        { kind: 'line', style: 'cut', points: [[end, f.y0], ...side, [end, f.y1]] },
      ]),
      ...ends,
    ];
  }
  const surface: Point[] = [[f.end0, f.y0], [f.xa, f.y0], ...bite, [f.xb, f.y0], [f.end1, f.y0]];
  const below = p.wallMm !== null ? 'cut' : p.axis ? 'centre' : 'thin';
  return [
    { kind: 'area', fill: material, points: [...surface, [f.end1, f.y1], [f.end0, f.y1]] },
    { kind: 'line', style: 'cut', points: surface },
    // Ground that continues below has no lower face.
    ...(p.wallMm === null && !p.axis
      ? []
      : [{ kind: 'line', style: below, points: between(f.end0, f.end1, f.y1) } as Prim]),
    ...ends,
  ];
}

/** Things beside the fill: the former above it, ports on it, legs through it, the axis below it. */
function partsOf(p: SectionSpec, f: Frame, drawn: boolean): Prim[] {
  const prims: Prim[] = [];
  if (p.former && drawn) {
    const high = f.overPx;
    const [x0, x1] = [f.end0 + 8, f.end1 - 8];
    const plate: Point[] = [
      [x0, f.y0 - 2],
      [x1, f.y0 - 2],
      [x1, f.y0 - high],
      [x0, f.y0 - high],
    ];
    prims.push(
      { kind: 'area', fill: 'carbon-steel', points: plate },
      { kind: 'line', style: 'thin', points: [...plate, plate[0] as Point] },
    );
  }
  if (p.ports) {
    const x = (f.xa + f.xb) / 2;
    const top = f.y0 - f.overPx;
    const stub: Point[] = [
      [x - 5, f.y0 - 6],
      [x - 5, top],
      [x + 5, top],
      [x + 5, f.y0 - 6],
    ];
    prims.push({ kind: 'line', style: 'cut', points: stub });
  }
  for (let i = 0; i < Math.min(p.pins, 8); i++) {
    const x = f.xa + ((f.xb - f.xa) * (i + 1)) / (Math.min(p.pins, 8) + 1);
    prims.push({
      kind: 'line',
      style: 'cut',
      points: [
        [x, f.y0 - 14],
        [x, f.y1 + LEG_OUT],
      ],
    });
  }
  if (p.axis && p.wallMm !== null)
    prims.push({ kind: 'line', style: 'centre', points: between(f.end0, f.end1, f.y1 + AXIS_OFF) });
  return prims;
}

/** Mirrors a section for a bore: the part above, the build hanging below. */
function flip(prims: Prim[], height: number): Prim[] {
  const at = ([x, y]: Point): Point => [x, height - y];
  return prims.map((p) => {
    if (p.kind === 'area' || p.kind === 'line') return { ...p, points: p.points.map(at) };
    if (p.kind === 'flow') return { ...p, at: at(p.at) };
    const upright = turned(p.at, height);
    if (p.kind === 'note') return { ...p, at: upright };
    return { ...p, from: at(p.from), to: at(p.to), at: upright };
  });
}

/** The section of one damage: piece, bite, layers, cover, dimensions; and its description. */
export function slabSection(p: SectionSpec, request: SectionRequest): Drawing {
  const { width, height, system, layers } = request;
  const f = frameOf(p, request);
  const edgeMm = p.through || p.bite === 'crack' ? 0 : (request.edgeMm ?? 0);
  const bite = biteOf(p, { f, edgeMm, seed: request.seed });
  const edgePx = Math.min(edgeMm, p.depthMm) * f.yPerMm;
  const edges = edgePx > 0 ? [f.xa, f.xb] : [];
  const prims: Prim[] = [
    ...parentOf(p, { f, bite, request }),
    ...layersOf(p, { bite, f, layers }),
    ...coverOf(p, f, layers),
    ...partsOf(p, f, layers.length > 0),
    ...edges.map((x): Prim => ({
      kind: 'line',
      style: 'work',
      points: [
        [x, f.y0],
        [x, f.y0 + edgePx],
      ],
    })),
    ...(request.dimensions ? lettersOf(p, { f, request, edgePx }) : []),
  ];
  const drawn = p.hanging ? flip(prims, height) : prims;
  const unit = system === 'us' ? 'in' : 'mm';
  const words = [
    p.across ? `${p.across} ${unit} across` : '',
    p.depth ? `${p.depth} ${unit} deep` : t('right through'),
    p.wall ? `wall ${p.wall} ${unit}` : '',
    p.left ? `${p.left} ${unit} left` : '',
    p.lap ? t('laid {lap} {unit} past it', { lap: p.lap, unit }) : '',
  ];
  return {
    width,
    height,
    prims: drawn,
    title: [
      { key: request.tag, value: p.named },
      { key: 'section', value: f.exaggeration ? `${unit}, ${f.exaggeration}` : unit },
    ],
    describe: t('Section of {named}: {words}.', {
      named: p.named.toLowerCase(),
      words: words.filter(Boolean).join(', '),
    }),
  };
}
