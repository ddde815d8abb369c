import type { Metal } from '../materials/words';
import type { Survey } from '../survey/survey';
import type { UnitSystem } from '../units/quantities';
import { seedOf, type Drawing, type Fill } from './drawing';
import { rebuildSection } from './f2';

export interface SectionRequest {
  width: number;
  height: number;
  system: UnitSystem;
  tag: string;
  metal: Metal;
  medium: string | null;
  /** One entry a coat, first coat first; empty while nothing is decided. */
  layers: Fill[];
  /** Least depth of the squared edge, once a card is chosen. */
  edgeMm: number | null;
  label: string | null;
  dimensions: boolean;
  /** Names of sizes not known yet: drawn as typical, lettered “?”. */
  unknown: string[];
  seed: number;
}

export type Damage = Survey['damages'][number];
export type SectionOptions = Omit<SectionRequest, 'seed'>;

/** Draws one damage of a repair as a cross-section. A new family adds its case and its file. */
export function drawSection(
  family: Survey['family'],
  damage: Damage,
  options: SectionOptions,
): Drawing {
  const request = { ...options, seed: seedOf(`${options.tag}|${damage.shape}`) };
  switch (family) {
    case 'F2':
      return rebuildSection(damage, request);
  }
}
