import type { FamilyId, Survey } from '../survey/survey';
import { seedOf, type Drawing, type SectionRequest } from './drawing';
import { specFor } from './families';
import { slabSection } from './slab';
import { lettering } from './spec';

export type Damage = Survey['damages'][number];
export type SectionOptions = Omit<SectionRequest, 'seed'>;

/** Draws one damage of a repair as a cross-section. A new family adds its spec to families.ts. */
export function drawSection(family: FamilyId, damage: Damage, options: SectionOptions): Drawing {
  const request = { ...options, seed: seedOf(`${options.tag}|${damage.shape}`) };
  return slabSection(specFor(family, damage, lettering(options)), request);
}
