import type { RebuildDamage } from '../survey/f2';
import { say } from '../units/format';
import type { UnitSystem } from '../units/quantities';
import { breakLine, seeded, type Drawing, type Point, type Prim } from './drawing';
import type { SectionRequest } from './section';

const SAMPLES = 44;
const mmText = (x: number, system: UnitSystem) => say(x, 'length', system).replace(/ (mm|in)$/, '');

interface Frame {
  left: number;
  right: number;
  top: number;
  sx: number;
  /** Depth is drawn this many times its scale, a whole number, and the title block says so. */
  times: number;
}

/** What every rebuild section needs to know of its damage, whichever shape it has. */
interface Profile {
  acrossMm: number;
  depthMm: number;
  wallMm: number | null;
  dished: boolean;
  /** A bore is drawn hanging from the metal above it. */
  hanging: boolean;
  acrossLabel: string;
  notes: string[];
  named: string;
}

function profileOf(damage: RebuildDamage, system: UnitSystem): Profile {
  const mm = (x: number) => mmText(x, system);
  if (damage.shape === 'pocket') {
    const { diameterMm, depthMm, wallMm } = damage;
    return {
      acrossMm: diameterMm,
      depthMm,
      wallMm,
      dished: true,
      hanging: false,
      acrossLabel: mm(diameterMm),
      notes: [],
      named: 'Round pocket',
    };
  }
  if (damage.shape === 'flat') {
    const { lengthMm, widthMm, depthMm, wallMm } = damage;
    const acrossLabel = `${mm(lengthMm)} × ${mm(widthMm)}`;
    return {
      acrossMm: lengthMm,
      depthMm,
      wallMm,
      dished: false,
      hanging: false,
      acrossLabel,
      notes: [],
      named: 'Flat area',
    };
  }
  const { finishedDiameterMm, wornDiameterMm, lengthMm } = damage;
  const onShaft = damage.shape === 'seat';
  return {
    acrossMm: lengthMm,
    depthMm: Math.abs(finishedDiameterMm - wornDiameterMm) / 2,
    wallMm: null,
    dished: false,
    hanging: !onShaft,
    acrossLabel: mm(lengthMm),
    notes: [`finished ⌀ ${mm(finishedDiameterMm)}`, `worn ⌀ ${mm(wornDiameterMm)}`],
    named: onShaft ? 'Shaft seat' : 'Bore',
  };
}

function frameOf(p: Profile, { width, height }: SectionRequest, bodyMm: number): Frame {
  const left = width * 0.21;
  const right = width * 0.79;
  const sx = (right - left) / p.acrossMm;
  const room = height - 92;
  const byWall = room / (bodyMm * sx);
  const byDepth = (room * 0.62) / (p.depthMm * sx);
  const times = Math.max(1, Math.min(200, Math.floor(Math.min(byWall, byDepth))));
  return { left, right, top: 46, sx: Math.min(sx, room / bodyMm, (room * 0.8) / p.depthMm), times };
}

/** Depth of the rough bottom at each sample across, in mm, and never shallower than the squared edge. */
function roughDepths(p: Profile, edgeMm: number, seed: number): number[] {
  const random = seeded(seed);
  return Array.from({ length: SAMPLES + 1 }, (_, i) => {
    const t = (i / SAMPLES) * 2 - 1;
    const ideal = p.dished ? p.depthMm * (1 - t * t) : p.depthMm;
    const bite = (random() - 0.6) * p.depthMm * (p.dished ? 0.13 : 0.1);
    const deepest = Math.abs(t) < 0.03 ? p.depthMm : Math.min(p.depthMm, ideal + bite);
    return Math.max(Math.min(edgeMm, p.depthMm), deepest);
  });
}

/** Rows of the build from the bottom up, cut out of the bite: each between two depths. */
function layerArea(xs: number[], ys: number[], upper: number, lower: number): Point[] {
  const top: Point[] = [];
  const bottom: Point[] = [];
  xs.forEach((x, i) => {
    const floorY = Math.min(ys[i] as number, lower);
    if (floorY <= upper + 0.01) return;
    top.push([x, upper]);
    bottom.push([x, floorY]);
  });
  return top.length > 1 ? [...top, ...bottom.reverse()] : [];
}

/** Turns a section over for a bore: metal above, the build hanging under it. */
function flip(prims: Prim[], height: number): Prim[] {
  const at = ([x, y]: Point): Point => [x, height - y];
  return prims.map((p) => {
    if (p.kind === 'area' || p.kind === 'line') return { ...p, points: p.points.map(at) };
    if (p.kind === 'dim' || p.kind === 'leader') return { ...p, from: at(p.from), to: at(p.to) };
    return { ...p, at: at(p.at) };
  });
}

/** The section of an eroded pocket, a worn flat, a shaft seat or a bore: metal, bite, layers, dimensions. */
export function rebuildSection(damage: RebuildDamage, request: SectionRequest): Drawing {
  const { width, height, system, metal, layers, edgeMm, label, dimensions } = request;
  const p = profileOf(damage, system);
  const bodyMm = p.wallMm ?? p.depthMm * 2.4;
  const f = frameOf(p, request, bodyMm);
  const half = (p.acrossMm * f.sx) / 2;
  const [xa, xb] = [width / 2 - half, width / 2 + half];
  const sy = f.sx * f.times;
  const y0 = f.top;
  const y1 = y0 + bodyMm * sy;
  const mm = (x: number) => mmText(x, system);
  const depths = roughDepths(p, edgeMm ?? 0, request.seed);
  const xs = depths.map((_, i) => xa + ((xb - xa) * i) / SAMPLES);
  const ys = depths.map((d) => y0 + d * sy);
  const bite: Point[] = xs.map((x, i) => [x, ys[i] as number]);
  const [ends0, ends1] = [Math.max(26, xa - 62), Math.min(width - 26, xb + 62)];
  const deepest = y0 + p.depthMm * sy;
  const prims: Prim[] = [
    {
      kind: 'area',
      fill: metal,
      points: [[ends0, y0], [xa, y0], ...bite, [xb, y0], [ends1, y0], [ends1, y1], [ends0, y1]],
    },
  ];
  const bottom = Math.max(...ys);
  layers.forEach((fill, i) => {
    const lower = bottom - ((bottom - y0) * i) / layers.length;
    const upper = bottom - ((bottom - y0) * (i + 1)) / layers.length;
    const points = layerArea(xs, ys, upper, lower);
    if (points.length === 0) return;
    prims.push({ kind: 'area', fill, points });
    const edge = points.slice(0, points.length / 2);
    prims.push({ kind: 'line', style: fill === 'planned' ? 'planned' : 'layer', points: edge });
  });
  prims.push(
    { kind: 'line', style: 'cut', points: [[ends0, y0], [xa, y0], ...bite, [xb, y0], [ends1, y0]] },
    {
      kind: 'line',
      style: p.wallMm === null ? 'centre' : 'cut',
      points: [
        [ends0, y1],
        [ends1, y1],
      ],
    },
    { kind: 'line', style: 'thin', points: breakLine(ends0, y0, y1) },
    { kind: 'line', style: 'thin', points: breakLine(ends1, y0, y1) },
  );
  if (edgeMm) {
    const e = y0 + Math.min(edgeMm, p.depthMm) * sy;
    prims.push(
      {
        kind: 'line',
        style: 'work',
        points: [
          [xa, y0],
          [xa, e],
        ],
      },
      {
        kind: 'line',
        style: 'work',
        points: [
          [xb, y0],
          [xb, e],
        ],
      },
    );
  }
  if (dimensions) {
    prims.push({ kind: 'dim', from: [xa, y0 - 20], to: [xb, y0 - 20], text: p.acrossLabel });
    prims.push({
      kind: 'dim',
      from: [width / 2, y0],
      to: [width / 2, deepest],
      text: mm(p.depthMm),
      beside: deepest - y0 < 34,
    });
    if (p.wallMm !== null) {
      prims.push({ kind: 'dim', from: [ends0 - 12, y0], to: [ends0 - 12, y1], text: mm(p.wallMm) });
      const left = p.wallMm - p.depthMm;
      prims.push({
        kind: 'leader',
        from: [width / 2, (deepest + y1) / 2],
        to: [width / 2 + 16, y1 + 20],
        text: `${mm(left)} left`,
        tone: 'ink',
        anchor: 'start',
      });
    }
    if (edgeMm) {
      const e = y0 + (Math.min(edgeMm, p.depthMm) * sy) / 2;
      prims.push({
        kind: 'leader',
        from: [xa, e],
        to: [ends0 + 20, y1 + 20],
        text: `edge square, ${mm(edgeMm)}`,
        tone: 'stop',
        anchor: 'start',
      });
    }
    if (label) {
      const y = y0 + (deepest - y0) * 0.45;
      prims.push({
        kind: 'leader',
        from: [xa + (xb - xa) * 0.72, y],
        to: [ends1, y1 + 20],
        text: label,
        tone: 'layer',
        anchor: 'end',
      });
    }
    p.notes.forEach((text, i) =>
      prims.push({
        kind: 'note',
        at: [i === 0 ? ends0 : ends1, y0 - 34],
        text,
        tone: 'pencil',
        anchor: i === 0 ? 'start' : 'end',
      }),
    );
  }
  const drawn = p.hanging ? flip(prims, y0 + y1) : prims;
  if (request.medium)
    drawn.push(
      { kind: 'note', at: [4, 14], text: request.medium, tone: 'pencil', anchor: 'start' },
      { kind: 'flow', at: [4, 24] },
    );
  const wall =
    p.wallMm === null
      ? ''
      : `, wall ${say(p.wallMm, 'length', system)}, ${say(p.wallMm - p.depthMm, 'length', system)} left`;
  return {
    width,
    height,
    prims: drawn,
    title: [
      { key: request.tag, value: p.named },
      {
        key: 'section',
        value: `${system === 'us' ? 'in' : 'mm'}${f.times > 1 ? `, depth ×${f.times}` : ''}`,
      },
    ],
    describe: `Section of ${p.named.toLowerCase()}: ${p.acrossLabel} across, ${say(p.depthMm, 'length', system)} deep${wall}.`,
  };
}
