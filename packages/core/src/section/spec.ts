import { show } from '../units/format';
import type { SectionRequest } from './drawing';

/** How the damage bites into the piece. */
export type Bite = 'dished' | 'flat' | 'vee' | 'crack';

/**
 * A damage for drawing, whichever family it is of: a piece with a bite out of its upper face, what is laid over it, and
 * the lettering. Sizes in mm. Every family is drawn from this one shape, so that all read alike.
 */
export interface SectionSpec {
  named: string;
  acrossMm: number;
  depthMm: number;
  /** Thickness of the piece; null where only its surface matters and it goes on below. */
  wallMm: number | null;
  bite: Bite;
  /** Cut right through the piece. */
  through: boolean;
  /** Drawn hanging from the piece above it, as in a bore. */
  hanging: boolean;
  /** Laid over the damage past its edges, falling to nothing. */
  cover: { lapMm: number; thickMm: number; plies: number } | null;
  /** Depth under which the fill is sand. */
  sandFromMm: number | null;
  /** A flat plate that the repair is cast against. */
  former: boolean;
  /** Small pipes on the face, for injection. */
  ports: boolean;
  /** Legs standing in the fill as formers of holes. */
  pins: number;
  /** Axis under the piece, as of a pipe or a shaft. */
  axis: boolean;
  across: string;
  /** The lap of what is laid over it, each side; empty while it is only sketched. */
  lap: string;
  depth: string;
  wall: string;
  left: string;
  notes: string[];
}

/** Writes a size without its unit, or “?” while any of the sizes it hangs on is not known. */
export type Lettering = (x: number, ...keys: string[]) => string;

export function lettering({
  system,
  unknown,
}: Pick<SectionRequest, 'system' | 'unknown'>): Lettering {
  return (x, ...keys) =>
    keys.some((key) => unknown.includes(key)) ? '?' : show(x, 'length', system).figure;
}

type Plain = Pick<SectionSpec, 'named' | 'acrossMm' | 'depthMm' | 'across' | 'depth'> &
  Partial<SectionSpec>;

/** A spec with what it does not state left plain: not through, nothing over it, no wall behind it. */
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
