import { familyOf, type Damage } from '../families/registry';
import { seedOf, type Drawing, type SectionRequest } from '../section/drawing';
import { slabSection } from '../section/slab';
import { lettering } from '../section/spec';
import { specAsPlanned } from './layers';
import type { Plan } from './plan';

/** What to draw of a damage; with a plan, its decided layers. */
export type SectionOptions = Omit<SectionRequest, 'seed'> & { plan?: Plan };

/** Draws one damage of a repair as a cross-section: each family provides a spec, and one drawing serves all. */
export function drawSection(family: string, damage: Damage, options: SectionOptions): Drawing {
  const request = { ...options, seed: seedOf(`${options.tag}|${damage.shape}`) };
  const text = lettering(options);
  const sketched = familyOf(family).section(damage as never, text);
  return slabSection(
    options.plan ? specAsPlanned(sketched, options.plan, text) : sketched,
    request,
  );
}
