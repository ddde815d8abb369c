import type { Survey } from '../survey/survey';
import { seedOf, type Drawing, type SectionRequest } from './drawing';
import { rebuildSection } from './f2';

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
