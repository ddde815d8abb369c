import { t } from '../text/text';
import { q, type Quantified } from '../message/message';
import { formatQuantity } from '../units/format';
import type { UnitSystem } from '../units/quantities';
import type { Field, Fields } from '../survey/fields';
import { familyOf, type Survey } from '../families/registry';

/** One answer of a survey, with its label on the form. */
export interface SurveyLine {
  group: string;
  label: string;
  text: string;
}

/** A field’s value for reading, to be worded in the reader’s units. */
export function fieldValue(field: Field, value: unknown): string | Quantified {
  if (value === null || value === undefined) return t('not asked');
  if (field.kind === 'flag') return value === true ? 'yes' : 'no';
  if (field.kind === 'choice') return field.options.find((o) => o.value === value)?.label ?? '';
  return q(Number(value), field.quantity);
}

const fieldText = (field: Field, value: unknown, system: UnitSystem): string => {
  const read = fieldValue(field, value);
  return typeof read === 'string' ? read : formatQuantity(read.value, read.of, system);
};

/** All answers of a survey, group by group, for the referral sheet. */
export function surveyLines(survey: Survey, system: UnitSystem): SurveyLine[] {
  const family = familyOf(survey.family);
  const of = (group: string, fields: Fields, values: Record<string, unknown>): SurveyLine[] =>
    Object.entries(fields)
      .filter(([key]) => values[key] !== null)
      .map(([key, field]) => ({
        group,
        label: field.label,
        text: fieldText(field, values[key], system),
      }));
  const damages = survey.damages.flatMap((d, i) => {
    const shape = family.shapes.find((s) => s.shape === d.shape);
    const group = `${shape?.title ?? t('Damage')}${survey.damages.length > 1 ? ` ${i + 1}` : ''}`;
    return shape ? of(group, shape.fields, d) : [];
  });
  const whole = survey as unknown as Record<string, Record<string, unknown>>;
  return [...damages, ...family.groups.flatMap((g) => of(g.title, g.fields, whole[g.id] ?? {}))];
}
