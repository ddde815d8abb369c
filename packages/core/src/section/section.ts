import type { Plan } from '../plan/plan';
import type { FamilyId, Survey } from '../survey/survey';
import { seedOf, type Drawing, type SectionRequest } from './drawing';
import { specFor } from './families';
import { asPlanned } from './planned';
import { slabSection } from './slab';
import { lettering } from './spec';

export type Damage = Survey['damages'][number];
/** What to draw of a damage; with a plan, its layers as they were decided. */
export type SectionOptions = Omit<SectionRequest, 'seed'> & { plan?: Plan };

/** Draws one damage of a repair as a cross-section. A new family adds its spec to families.ts. */
export function drawSection(family: FamilyId, damage: Damage, options: SectionOptions): Drawing {
  const request = { ...options, seed: seedOf(`${options.tag}|${damage.shape}`) };
  const text = lettering(options);
  const sketched = specFor(family, damage, text);
  return slabSection(options.plan ? asPlanned(sketched, options.plan, text) : sketched, request);
}
