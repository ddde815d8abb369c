import { familyOf, type Survey } from '../families/registry';
import { shownUnit, type UnitSystem } from '../units/quantities';
import { draftFields, readDraft, type Placed, type SurveyDraft } from './draft';

/** An unfinished survey, completed with likely answers: for judging and measuring before all is known. */

/** As typed, in the unit of a bare number. */
export const asText = (value: number, { field }: Placed, units: UnitSystem): string => {
  if (field.kind !== 'quantity') return '';
  if (field.quantity === 'time') return `${value} min`;
  const metric = shownUnit(field.quantity, 'metric').symbol;
  return units === 'metric' && metric === '' ? String(value) : `${value} ${metric}`.trim();
};

/** The geometric middle of a range: of 1 to 10 000 it is 100. */
export const geometricMiddle = (min: number, max: number): number =>
  min > 0 ? Math.sqrt(min * max) : min < 0 ? (min + max) / 2 : Math.sqrt(Math.max(max, 0));

/** A likely answer where there is none: the typical size of the damage, the middle of a range, the first of a list. */
function supposed(placed: Placed, draft: SurveyDraft, units: UnitSystem): string {
  const { path, field } = placed;
  if (field.usual !== undefined) return field.usual;
  if (field.typical !== undefined) return field.typical;
  if (field.kind === 'flag') return 'no';
  if (field.kind === 'choice') return field.options[0]?.value ?? '';
  const [, at = '', key = ''] = /^damages\.(\d+)\.(.+)$/.exec(path) ?? [];
  const shape = familyOf(draft.family).shapes.find((s) => s.shape === draft.shapes[Number(at)]);
  return asText(shape?.typical[key] ?? geometricMiddle(field.min, field.max), placed, units);
}

/** The draft with every open question answered; typed answers stay. */
export function assumedSurvey(draft: SurveyDraft, units: UnitSystem): Survey | null {
  const texts = { ...draft.texts };
  for (const placed of draftFields(draft))
    if ((texts[placed.path] ?? '').trim() === '' && !('optional' in placed.field))
      texts[placed.path] = supposed(placed, draft, units);
  const { tag, name } = draft.asset;
  const asset = { ...draft.asset, tag: tag.trim() || '-', name: name.trim() || '-' };
  return readDraft({ ...draft, texts, asset }, units).survey;
}
