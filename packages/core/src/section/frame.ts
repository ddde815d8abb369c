import { mulberry32 } from '../calc/random';
import type { SectionRequest } from './drawing';
import type { Point } from './point';
import { CLEAR, lineAt, LETTER_PX, textWidth } from './lettering';
import type { SectionSpec } from './spec';

const SAMPLES = 44;
/** A crack is drawn at least this wide, px, and the drawing says the factor. */
const CRACK_PX = 30;
/** Largest share of the width for a damage whose overlap is as wide as itself. */
const UNDER_COVER_SHARE = 0.2;
/** Largest share of the height for a cover. */
const COVER_SHARE = 0.3;
/** Distance from the part to a dimension line, and from there to its figure, px. */
export const DIM_OFF = 14;
export const FIGURE_OFF = 7;
/** Distance from the part up to a horizontal dimension: room for its ticks. */
const DIM_OVER = 20;
/** Room for one line of lettering, and between a figure and the dimension below it. */
const LINE = LETTER_PX + 5;
/** Distance of the axis below the part; length of legs outside it. */
export const AXIS_OFF = 14;
export const LEG_OUT = 8;
/** Length of a port outside its paste. */
const PORT_OUT = 14;
/** Margin to the frame without lettering. */
const BARE = 18;

/** Positions on the sheet, in px, and what is exaggerated. */
export interface Frame {
  xa: number;
  xb: number;
  end0: number;
  end1: number;
  y0: number;
  y1: number;
  xPerMm: number;
  yPerMm: number;
  /** Height of the cover, and of everything on the part. */
  coverPx: number;
  overPx: number;
  /** Lines of lettering: notes at the top, horizontal dimensions, names below the part. */
  noteY: number;
  dimY: number;
  legendY: number;
  /** Stated below the drawing: "depth ×4", "width ×30"; empty at true scale. */
  exaggeration: string;
}

function stated(xPerMm: number, yPerMm: number): string {
  const deeper = Math.round(yPerMm / xPerMm);
  const wider = Math.round(xPerMm / yPerMm);
  return deeper > 1 ? `depth ×${deeper}` : wider > 1 ? `width ×${wider}` : '';
}

/** Room beside the part for a vertical dimension and its figure. */
const beside = (figure: string): number =>
  figure ? CLEAR + textWidth(figure) + FIGURE_OFF + DIM_OFF : BARE;

/** Fixed height of things on the part: ports, legs, a plate. */
const standing = (p: SectionSpec): number => (p.ports ? 28 : p.pins > 0 ? 16 : p.former ? 24 : 0);

/** Fits a spec into the box: at true scale if readable, otherwise one direction enlarged by a whole factor. */
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
  // Never wider than the sheet allows; narrow under a cover, so that its overlap shows on both sides.
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
export function biteOf(
  p: SectionSpec,
  { f, edgeMm, seed }: { f: Frame; edgeMm: number; seed: number },
): Point[] {
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

/** The rough side of a through cut, from top to bottom, in px. */
export function cutSide(
  f: Frame,
  { x, seed, vee }: { x: number; seed: number; vee: boolean },
): Point[] {
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

/** How far a cover extends beyond the damage on the sheet, px: its overlap, or as much as there is room for. */
export const lapPx = ({ cover }: SectionSpec, f: Frame): number =>
  cover ? Math.max(0, Math.min(cover.lapMm * f.xPerMm, f.xa - f.end0 - 12, f.end1 - f.xb - 12)) : 0;
