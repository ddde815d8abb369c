import { figureAndUnit } from '../units/format';
import type { SectionRequest } from './drawing';

/** The shape of the damage in the part. */
export type Bite = 'dished' | 'flat' | 'vee' | 'crack';

/**
 * A damage for drawing, of any family: a part with a bite in its upper face, the cover, and the lettering. Sizes in
 * mm. Every family uses this one shape, so that all look alike.
 */
export interface SectionSpec {
  named: string;
  acrossMm: number;
  depthMm: number;
  /** Thickness of the part in the drawing; null if only its surface is drawn. */
  wallMm: number | null;
  bite: Bite;
  /** Cut right through the part. */
  through: boolean;
  /** Drawn hanging from the part above, as in a bore. */
  hanging: boolean;
  /** Laid over the damage beyond its edges, tapering to zero. */
  cover: { lapMm: number; thickMm: number; plies: number } | null;
  /** Depth below which the fill is sand. */
  sandFromMm: number | null;
  /** A flat plate that the repair is cast against. */
  former: boolean;
  /** Injection ports on the face. */
  ports: boolean;
  /** Legs in the fill as formers of holes. */
  pins: number;
  /** Axis below the part, as of a pipe or a shaft. */
  axis: boolean;
  across: string;
  /** The overlap of the cover on each side; empty in a sketch. */
  lap: string;
  depth: string;
  wall: string;
  left: string;
  notes: string[];
}

/** Writes a size without its unit, or “?” while a size that it depends on is unknown. */
export type Lettering = (x: number, ...keys: string[]) => string;

export function lettering({
  system,
  unknown,
}: Pick<SectionRequest, 'system' | 'unknown'>): Lettering {
  return (x, ...keys) =>
    keys.some((key) => unknown.includes(key)) ? '?' : figureAndUnit(x, 'length', { system }).figure;
}

type Plain = Pick<SectionSpec, 'named' | 'acrossMm' | 'depthMm' | 'across' | 'depth'> &
  Partial<SectionSpec>;

/** A spec with defaults: not through, no cover, no wall. */
export const specOf = (given: Plain): SectionSpec => ({
  wallMm: null,
  bite: 'flat',
  through: false,
  hanging: false,
  cover: null,
  sandFromMm: null,
  former: false,
  ports: false,
  pins: 0,
  axis: false,
  wall: '',
  lap: '',
  left: '',
  notes: [],
  ...given,
});
