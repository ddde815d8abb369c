import { SUBSTRATES, type Substrate } from '../materials/substrates';
import type { UnitSystem } from '../units/quantities';
import { readField, type SurveyDraft } from './draft';
import { familyOf, type Damage } from '../families/registry';

/** A damage for drawing while it is being typed: unreadable values are typical ones, listed in `unknown`. */
export interface Sketch {
  damage: Damage;
  unknown: string[];
  material: Substrate;
}

/** The sketch of one damage of a draft; null until its shape is chosen. */
export function sketchOf(draft: SurveyDraft, index: number, system: UnitSystem): Sketch | null {
  const family = familyOf(draft.family);
  const shape = family.shapes.find((s) => s.shape === draft.shapes[index]);
  if (!shape) return null;
  const unknown: string[] = [];
  const sizes = Object.entries(shape.fields).map(([key, field]) => {
    const read = readField(field, draft.texts[`damages.${index}.${key}`], system);
    if ('value' in read) return [key, read.value];
    unknown.push(key);
    return [key, shape.typical[key]];
  });
  const damage = { shape: shape.shape, ...Object.fromEntries(sizes) } as Damage;
  const typed = SUBSTRATES.find((m) => m === draft.texts['parent.material']);
  return { damage, unknown, material: typed ?? family.typicalParent };
}

/** Adds its unit to every bare number, so that a change of unit system does not change what was typed. */
export function withUnits(draft: SurveyDraft, unitOf: (path: string) => string): SurveyDraft {
  const texts = Object.fromEntries(
    Object.entries(draft.texts).map(([path, text]) => {
      const unit = unitOf(path);
      return [
        path,
        unit && /^[-−\d.,\s/]+$/.test(text) && text.trim() !== '' ? `${text.trim()} ${unit}` : text,
      ];
    }),
  );
  return { ...draft, texts };
}
