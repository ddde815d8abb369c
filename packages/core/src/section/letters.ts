import type { Point, Prim, SectionRequest } from './drawing';
import { lapPx, type Frame } from './frame';
import type { SectionSpec } from './spec';

/** Dimensions, leaders and notes of a section. */
export function lettersOf(
  p: SectionSpec,
  f: Frame,
  request: SectionRequest,
  edgePx: number,
): Prim[] {
  const middle = (f.xa + f.xb) / 2;
  const deepest = f.y0 + p.depthMm * f.yPerMm;
  const under = f.y1 + 24;
  const over = p.cover || p.former || p.ports ? Math.min(f.y0 - 20, 40) : f.y0 - 20;
  const prims: Prim[] = p.across
    ? [{ kind: 'dim', from: [f.xa, over], to: [f.xb, over], text: p.across }]
    : [];
  const lap = lapPx(p, f);
  // Too narrow for its figure it is left to the words below the drawing.
  if (p.lap && lap > 30)
    prims.push({ kind: 'dim', from: [f.xb, over], to: [f.xb + lap, over], text: p.lap });
  if (p.depth)
    prims.push({
      kind: 'dim',
      from: [middle, f.y0],
      to: [middle, deepest],
      text: p.depth,
      beside: deepest - f.y0 < 38 || f.xb - f.xa < 60,
    });
  if (p.wall)
    prims.push({ kind: 'dim', from: [f.end0 - 14, f.y0], to: [f.end0 - 14, f.y1], text: p.wall });
  if (p.left)
    prims.push({
      kind: 'leader',
      from: [middle, (deepest + f.y1) / 2],
      to: [middle + 14, under],
      text: `${p.left} left`,
      tone: 'ink',
      anchor: 'start',
    });
  if (edgePx > 0)
    prims.push({
      kind: 'leader',
      from: [f.xa, f.y0 + edgePx / 2],
      to: [f.end0 - 16, under],
      text: `edge square, ${request.edgeMm ?? ''}`,
      tone: 'stop',
      anchor: 'start',
    });
  if (p.sandFromMm !== null)
    prims.push({
      kind: 'leader',
      from: [middle, (f.y0 + p.sandFromMm * f.yPerMm + deepest) / 2],
      to: [f.end0 - 10, under],
      text: 'sand',
      tone: 'pencil',
      anchor: 'start',
    });
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
