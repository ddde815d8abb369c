import {
  draftBegun,
  everyField,
  familyOf,
  fromBase,
  shownUnit,
  withAnswer,
  type QuantityId,
  type SiteSettings,
  type Survey,
  type SurveyDraft,
  type UnitSystem,
} from '@kelmot/core';
import type { Asset } from '@kelmot/contract';

/** Enough digits for the same value, without rounding noise from the conversion. */
const tidy = (x: number): string => String(Number(x.toPrecision(7)));

/** A value in its base unit, as it would be typed without a unit. */
export const asTyped = (value: number, quantity: QuantityId, units: UnitSystem): string =>
  tidy(fromBase(value, shownUnit(quantity, units)));

function valueAt(survey: Survey, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], survey);
}

/** A stored survey as a draft for editing. */
export function draftOf(survey: Survey, units: UnitSystem): SurveyDraft {
  const { family, intent, asset, window, damages } = survey;
  const empty: SurveyDraft = {
    family,
    intent,
    startAt: window.startAt,
    asset: { ...asset },
    shapes: damages.map((d) => d.shape),
    texts: {},
  };
  const texts = Object.fromEntries(
    everyField(empty).map(({ path, field }) => {
      const value = valueAt(survey, path);
      if (value === null || value === undefined) return [path, ''];
      if (field.kind === 'flag') return [path, value ? 'yes' : 'no'];
      if (field.kind === 'choice') return [path, String(value)];
      if (field.quantity === 'time') return [path, `${tidy(Number(value) / 60)} h`];
      return [path, asTyped(Number(value), field.quantity, units)];
    }),
  );
  return { ...empty, texts };
}

/** The units of the plant, and its usual figures if they are known. */
export interface Plant {
  units: UnitSystem;
  site: SiteSettings | null;
}

const emptyDraft = (family: string, startAt: string): SurveyDraft => ({
  family,
  intent: 'lasting',
  startAt,
  asset: { id: null, tag: '', name: '', position: '', costPerHour: 0 },
  shapes: [],
  texts: { ...familyOf(family).usual },
});

/** A new survey: what is nearly always the same in its family is filled in; what must be inspected is not. */
export const newDraft = (family: string, startAt: string, site: SiteSettings | null): SurveyDraft =>
  draftBegun(emptyDraft(family, startAt), site);

/** The same survey for another family: the asset and shared answers stay, the damage starts empty. */
export function withFamily(
  draft: SurveyDraft,
  { family, asset, plant: { units, site } }: { family: string; asset: Asset | null; plant: Plant },
): SurveyDraft {
  const next = emptyDraft(family, draft.startAt);
  const shared = Object.entries(draft.texts).filter(([path]) =>
    /^(service|window|site|readings)\./.test(path),
  );
  const texts = { ...next.texts, ...Object.fromEntries(shared) };
  const moved = draftBegun({ ...next, intent: draft.intent, asset: draft.asset, texts }, site);
  return asset ? withAsset(moved, asset, { units, site }) : moved;
}

/** Whether a family's survey offers this material. */
function offers(family: string, material: string): boolean {
  const field = familyOf(family).groups.find((g) => g.id === 'parent')?.fields.material;
  return field?.kind === 'choice' && field.options.some((o) => o.value === material);
}

/** The draft with an asset of the register, and its known data filled in. */
export function withAsset(draft: SurveyDraft, asset: Asset, { units, site }: Plant): SurveyDraft {
  const { id, tag, name, position, costPerHour } = asset;
  const known: Record<string, string> = {};
  if (asset.material && offers(draft.family, asset.material))
    known['parent.material'] = asset.material;
  if (asset.ph !== null) known['service.ph'] = tidy(asset.ph);
  if (asset.mediumC !== null)
    known['service.mediumC'] = asTyped(asset.mediumC, 'temperature', units);
  if (asset.wear) known['service.wear'] = asset.wear;
  const texts = asset.medium
    ? withAnswer(draft, { path: 'service.medium', text: asset.medium, site })
    : draft.texts;
  return {
    ...draft,
    asset: { id, tag, name, position, costPerHour },
    texts: { ...texts, ...known },
  };
}

/** The draft without one damage. Texts are stored by index: those after it move up by one. */
export function withoutDamage(draft: SurveyDraft, index: number): SurveyDraft {
  const texts = Object.fromEntries(
    Object.entries(draft.texts).flatMap(([path, text]) => {
      const found = /^damages\.(\d+)\.(.+)$/.exec(path);
      const at = found ? Number(found[1]) : -1;
      if (!found || at < index) return [[path, text]];
      return at === index ? [] : [[`damages.${at - 1}.${found[2]}`, text]];
    }),
  );
  return { ...draft, shapes: draft.shapes.filter((_, i) => i !== index), texts };
}
