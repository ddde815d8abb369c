import { mulberry32 } from '../calc/random';
import type { Point, SectionRequest } from './drawing';
import type { SectionSpec } from './spec';

export const SAMPLES = 44;
/** Room kept above the piece for the across dimension, and below it for leaders, in px. */
const ABOVE = 46;
const BELOW = 40;
/** A crack is opened to at least this, px, and the drawing says how many times. */
const CRACK_PX = 30;
/** Most of the height that what is laid over the piece may take. */
const COVER_SHARE = 0.3;

/** Where things stand on the sheet, in px, and what is exaggerated. */
export interface Frame {
  xa: number;
  xb: number;
  end0: number;
  end1: number;
  y0: number;
  y1: number;
  xPerMm: number;
  yPerMm: number;
  /** Stated under the drawing: "depth ×4", "width ×30", or nothing at true scale. */
  exaggeration: string;
}

function stated(xPerMm: number, yPerMm: number): string {
  const deeper = Math.round(yPerMm / xPerMm);
  const wider = Math.round(xPerMm / yPerMm);
  return deeper > 1 ? `depth ×${deeper}` : wider > 1 ? `width ×${wider}` : '';
}

/** Lays a spec into the box: at true scale where it can be read, else one direction in whole times of the other. */
export function frameOf(p: SectionSpec, { width, height, dimensions }: SectionRequest): Frame {
  const bodyMm = p.wallMm ?? p.depthMm * 2.4;
  const overMm = (p.cover?.thickMm ?? 0) + (p.former ? bodyMm * 0.25 : 0);
  const above = dimensions ? ABOVE : 16;
  const room = height - above - (dimensions ? BELOW : 12);
  const overRoom = Math.min(room * COVER_SHARE, overMm > 0 ? room * COVER_SHARE : 0);
  const bodyRoom = room - overRoom;
  const lap = p.cover?.lapMm ?? 0;
  const spanMm = p.acrossMm + (p.bite === 'crack' ? 0 : 2 * lap);
  const across = width * (p.cover ? 0.7 : 0.56);
  let scale = Math.min(across / spanMm, bodyRoom / bodyMm);
  let times = Math.max(1, Math.min(500, Math.floor(bodyRoom / (bodyMm * scale))));
  let xPerMm = scale;
  if (p.bite === 'crack' || p.acrossMm * scale < CRACK_PX) {
    scale = bodyRoom / bodyMm;
    times = 1;
    xPerMm = scale * Math.max(1, Math.ceil(CRACK_PX / (p.acrossMm * scale)));
  }
  const yPerMm = scale * times;
  const half = (p.acrossMm * xPerMm) / 2;
  const y0 = above + overRoom + (bodyRoom - bodyMm * yPerMm) / 2;
  const [xa, xb] = [width / 2 - half, width / 2 + half];
  const reach = p.cover ? Math.max(58, Math.min(width * 0.4 - half, 110)) : 58;
  return {
    xa,
    xb,
    end0: Math.max(30, xa - reach),
    end1: Math.min(width - 18, xb + reach),
    y0,
    y1: y0 + bodyMm * yPerMm,
    xPerMm,
    yPerMm,
    exaggeration: stated(xPerMm, yPerMm),
  };
}

/** The bite’s lower edge from left to right, in px: rough by the seed, never shallower than the squared edge. */
export function biteOf(p: SectionSpec, f: Frame, edgeMm: number, seed: number): Point[] {
  const random = mulberry32(seed);
  return Array.from({ length: SAMPLES + 1 }, (_, i): Point => {
    const t = (i / SAMPLES) * 2 - 1;
    const ideal =
      p.bite === 'dished'
        ? p.depthMm * (1 - t * t)
        : p.bite === 'vee'
          ? p.depthMm * (1 - Math.abs(t))
          : p.depthMm;
    const rough = (random() - 0.6) * p.depthMm * (p.bite === 'dished' ? 0.13 : 0.1);
    const bottom = Math.abs(t) < 0.03 || p.through ? p.depthMm : Math.min(p.depthMm, ideal + rough);
    const mm = Math.max(Math.min(edgeMm, p.depthMm), bottom);
    return [f.xa + ((f.xb - f.xa) * i) / SAMPLES, f.y0 + mm * f.yPerMm];
  });
}

/** The rough side of a cut that goes through, from top to bottom, in px. */
export function cutSide(f: Frame, x: number, seed: number, vee: boolean): Point[] {
  const random = mulberry32(seed);
  const steps = 12;
  const middle = (f.xa + f.xb) / 2;
  return Array.from({ length: steps + 1 }, (_, i): Point => {
    const t = i / steps;
    const lean = vee ? (middle - x) * t * 0.8 : 0;
    const off = i === 0 || i === steps ? 0 : (random() - 0.5) * 5;
    return [x + lean + off, f.y0 + (f.y1 - f.y0) * t];
  });
}

/** How far a cover reaches past the damage on the sheet, px: its lap, or as much of it as there is room for. */
export const lapPx = ({ cover }: SectionSpec, f: Frame): number =>
  cover ? Math.min(cover.lapMm * f.xPerMm, f.xa - f.end0 - 12) : 0;
