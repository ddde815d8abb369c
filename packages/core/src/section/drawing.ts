import type { CureState } from '../schedule/state';
import type { Substrate } from '../materials/substrates';
import type { UnitSystem } from '../units/quantities';
import type { Lettered } from './lettering';
import type { Point } from './point';

/** The fill of a cut face or layer: a substrate's hatch, or a state of the repair. */
export type Fill = Substrate | 'sand' | 'planned' | 'unknown' | CureState;
export type Tone = 'ink' | 'pencil' | 'stop' | 'layer';
export type LineStyle =
  'cut' | 'thin' | 'extension' | 'planned' | 'work' | 'centre' | 'unknown' | 'layer';

/**
 * One drawing element. Coordinates in px of the drawing's box; the renderer knows hatches and tones, never a family.
 */
export type Prim =
  | { kind: 'area'; points: Point[]; fill: Fill }
  | { kind: 'line'; points: Point[]; style: LineStyle }
  /** A size between two places, level or upright, its figure where `at` says. */
  | ({ kind: 'dim'; from: Point; to: Point } & Lettered)
  /** A line from a thing to what it is called. */
  | ({ kind: 'leader'; from: Point; to: Point; tone: Tone } & Lettered)
  | ({ kind: 'note'; tone: Tone } & Lettered)
  | { kind: 'flow'; at: Point };

/** A cross-section as geometry, with its title block and its description in words. */
export interface Drawing {
  width: number;
  height: number;
  prims: Prim[];
  title: { key: string; value: string }[];
  describe: string;
}

/** What a section draws besides the damage: the box, the substrate, the progress of the build. */
export interface SectionRequest {
  width: number;
  height: number;
  system: UnitSystem;
  tag: string;
  material: Substrate;
  medium: string | null;
  /** One entry for each coat, first coat first; empty while nothing is decided. */
  layers: Fill[];
  /** Least depth of the squared edge, once a card is chosen. */
  edgeMm: number | null;
  label: string | null;
  dimensions: boolean;
  /** Names of unknown sizes: drawn as typical, lettered “?”. */
  unknown: string[];
  seed: number;
}

/** A number from a text, for seeding by a repair's tag. FNV-1a. */
export function seedOf(text: string): number {
  let h = 2166136261;
  for (const c of text) h = Math.imul(h ^ c.charCodeAt(0), 16777619);
  return h >>> 0;
}

/** A break line at the end of a part: straight, with one zigzag in the middle. */
export function breakLine(x: number, top: number, bottom: number): Point[] {
  const mid = (top + bottom) / 2;
  const k = Math.min(9, (bottom - top) / 4);
  return [
    [x, top - 4],
    [x, mid - k],
    [x + k * 0.8, mid - k / 3],
    [x - k * 0.8, mid + k / 3],
    [x, mid + k],
    [x, bottom + 4],
  ];
}
