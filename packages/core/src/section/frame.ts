import { mulberry32 } from '../calc/random';
import type { SectionRequest } from './drawing';
import type { Point } from './point';
import { CLEAR, lineAt, LETTER_PX, textWidth } from './lettering';
import type { SectionSpec } from './spec';

const SAMPLES = 44;
/** A crack is opened to at least this, px, and the drawing says how many times. */
const CRACK_PX = 30;
/** Most of the width that a damage takes whose lap is as wide as itself. */
const UNDER_COVER_SHARE = 0.2;
/** Most of the height that what is laid over the piece may take. */
const COVER_SHARE = 0.3;
/** A dimension stands off the piece by this, its figure off it by that, px. */
export const DIM_OFF = 14;
export const FIGURE_OFF = 7;
/** A level dimension stands over the piece by this: room for its ticks. */
const DIM_OVER = 20;
/** Room for one line of lettering, and between a figure and the dimension under it. */
const LINE = LETTER_PX + 5;
/** The axis is drawn this far under the piece; legs stand out of it by this. */
export const AXIS_OFF = 14;
export const LEG_OUT = 8;
/** A port stands out of the paste that holds it by this. */
const PORT_OUT = 14;
/** Without lettering a piece keeps this from the frame. */
const BARE = 18;

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
  /** Height of what is laid over the piece, and of all that stands on it. */
  coverPx: number;
  overPx: number;
  /** Lines of the lettering: notes at the top, figures of level dimensions, names under the piece. */
  noteY: number;
  dimY: number;
  legendY: number;
  /** Stated under the drawing: "depth ×4", "width ×30", or nothing at true scale. */
  exaggeration: string;
}

function stated(xPerMm: number, yPerMm: number): string {
  const deeper = Math.round(yPerMm / xPerMm);
  const wider = Math.round(xPerMm / yPerMm);
  return deeper > 1 ? `depth ×${deeper}` : wider > 1 ? `width ×${wider}` : '';
}

/** Room beside the piece for an upright dimension and its figure. */
const beside = (figure: string): number =>
  figure ? CLEAR + textWidth(figure) + FIGURE_OFF + DIM_OFF : BARE;

/** Height of what stands on the piece whatever it is drawn at: ports, legs, a plate. */
const standing = (p: SectionSpec): number => (p.ports ? 28 : p.pins > 0 ? 16 : p.former ? 24 : 0);

/** Lays a spec into the box: at true scale where it can be read, else one direction in whole times of the other. */
export function frameOf(p: SectionSpec, request: SectionRequest): Frame {
  const { width, height, dimensions, medium } = request;
  const notes = dimensions && (p.notes.length > 0 || medium !== null) ? LINE : 0;
  const above = dimensions ? CLEAR + notes + LINE + DIM_OVER : 16;
  const under = (p.axis && p.wallMm !== null ? AXIS_OFF : 0) + (p.pins > 0 ? LEG_OUT : 0);
  const below = dimensions ? under + CLEAR + LINE + CLEAR : 12 + under;
  const [left, right] = dimensions ? [beside(p.wall), beside(p.depth)] : [BARE, BARE];
  const bodyMm = p.wallMm ?? p.depthMm * 2.4;
  const room = height - above - below;
  const overRoom = Math.min(
    room / 2,
    Math.max(standing(p), p.cover || p.former ? room * COVER_SHARE : 0),
  );
  const bodyRoom = room - overRoom;
  const clear = width - left - right;
  const lap = p.cover?.lapMm ?? 0;
  const spanMm = p.acrossMm + (p.bite === 'crack' ? 0 : 2 * lap);
  const across = clear * (p.cover ? 0.8 : 0.66);
  let scale = Math.min(across / spanMm, bodyRoom / bodyMm);
  let times = Math.max(1, Math.min(500, Math.floor(bodyRoom / (bodyMm * scale))));
  let xPerMm = scale;
  if (p.bite === 'crack' || p.acrossMm * scale < CRACK_PX) {
    scale = bodyRoom / bodyMm;
    times = 1;
    xPerMm = scale * Math.max(1, Math.ceil(CRACK_PX / (p.acrossMm * scale)));
  }
  // Never wider on the sheet than there is room for; under a cover narrow, so that the lap each side is seen.
  const most = p.cover && p.acrossMm < 2 * lap ? clear * UNDER_COVER_SHARE : across;
  xPerMm = Math.min(xPerMm, most / p.acrossMm);
  const yPerMm = scale * times;
  const half = (p.acrossMm * xPerMm) / 2;
  const y0 = above + overRoom + (bodyRoom - bodyMm * yPerMm) / 2;
  const y1 = y0 + bodyMm * yPerMm;
  const middle = left + clear / 2;
  const [xa, xb] = [middle - half, middle + half];
  const reach = p.cover ? Math.max(58, Math.min(width * 0.4 - half, 110)) : 58;
  const coverPx = p.cover
    ? Math.max(5, Math.min(p.cover.thickMm * yPerMm, overRoom - (p.ports ? PORT_OUT : 0)))
    : 0;
  const overPx = coverPx > 0 ? coverPx + (p.ports ? PORT_OUT : 0) : standing(p);
  return {
    xa,
    xb,
    end0: Math.max(left, xa - reach),
    end1: Math.min(width - right, xb + reach),
    y0,
    y1,
    xPerMm,
    yPerMm,
    coverPx,
    overPx,
    noteY: lineAt(CLEAR + LETTER_PX / 2),
    dimY: y0 - overPx - DIM_OVER,
    legendY: lineAt(y1 + under + CLEAR + LINE - LETTER_PX / 2),
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
  cover ? Math.max(0, Math.min(cover.lapMm * f.xPerMm, f.xa - f.end0 - 12, f.end1 - f.xb - 12)) : 0;
