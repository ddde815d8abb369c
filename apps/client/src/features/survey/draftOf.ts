import {
  draftFields,
  fromBase,
  shownUnit,
  type Survey,
  type SurveyDraft,
  type UnitSystem,
} from '@kelmot/core';
import type { Asset } from '@kelmot/contract';

/** Enough digits to come back to the same size, without the dust of a conversion. */
const tidy = (x: number): string => String(Number(x.toPrecision(7)));

function valueAt(survey: Survey, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], survey);
}

/** A stored survey as a draft to go on typing in. */
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
    draftFields(empty).map(({ path, field }) => {
      const value = valueAt(survey, path);
      if (field.kind === 'flag') return [path, value ? 'yes' : 'no'];
      if (field.kind === 'choice') return [path, String(value)];
      if (field.quantity === 'time') return [path, `${tidy(Number(value) / 60)} h`];
      return [path, tidy(fromBase(Number(value), shownUnit(field.quantity, units)))];
    }),
  );
  return { ...empty, texts };
}

/** A new survey: what is nearly always so is filled in; what must be looked at is not. */
export function newDraft(family: string, startAt: string): SurveyDraft {
  return {
    family,
    intent: 'lasting',
    startAt,
    asset: { id: null, tag: '', name: '', position: '', costPerHour: 0 },
    shapes: [],
    texts: {
      'surface.damp': 'dry',
      'surface.slope': 'level',
      'site.area': 'safe',
      'parent.salts': 'no',
      'parent.machined': 'no',
      'service.wear': 'none',
    },
  };
}

/** The draft with an asset taken from the register, and what it knows filled in. */
export function withAsset(draft: SurveyDraft, asset: Asset, units: UnitSystem): SurveyDraft {
  const { id, tag, name, position, costPerHour } = asset;
  const known: Record<string, string> = {};
  if (asset.metal) known['parent.metal'] = asset.metal;
  if (asset.medium) known['service.medium'] = asset.medium;
  if (asset.ph !== null) known['service.ph'] = tidy(asset.ph);
  if (asset.mediumC !== null)
    known['service.mediumC'] = tidy(fromBase(asset.mediumC, shownUnit('temperature', units)));
  if (asset.wear) known['service.wear'] = asset.wear;
  return {
    ...draft,
    asset: { id, tag, name, position, costPerHour },
    texts: { ...draft.texts, ...known },
  };
}
