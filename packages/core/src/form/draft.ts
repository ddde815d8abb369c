import { t } from '../text/text';
import { issuesOf, type Issue } from '../calc/issues';
import { parseQuantity } from '../units/parse';
import { formatQuantity } from '../units/format';
import type { UnitSystem } from '../units/quantities';
import type { Field, Fields, Follows } from '../survey/fields';
import { familyOf, type Survey } from '../families/registry';
import type { SiteSettings } from '../site/site';

/**
 * A survey as typed, kept whole on the device: every field by path ("damages.0.depthMm"), as text. Numbers as written
 * by the person; choices hold their value, flags "yes" or "no".
 */
export interface SurveyDraft {
  family: string;
  intent: string;
  startAt: string;
  asset: { id: string | null; tag: string; name: string; position: string; costPerHour: number };
  shapes: string[];
  texts: Record<string, string>;
}

export interface DraftResult {
  survey: Survey | null;
  issues: Issue[];
}

export interface Placed {
  path: string;
  field: Field;
}

const place = (prefix: string, fields: Fields): Placed[] =>
  Object.entries(fields).map(([key, field]) => ({ path: `${prefix}.${key}`, field }));

/** Whether a field is asked now, by the answers of its neighbours. */
function asked({ path, field }: Placed, draft: SurveyDraft): boolean {
  if (!field.when) return true;
  const beside = `${path.slice(0, path.lastIndexOf('.'))}.${field.when.key}`;
  return field.when.in.includes(draft.texts[beside] ?? '');
}

/** Every field that the draft asks for, in the form's order. */
export function draftFields(draft: SurveyDraft): Placed[] {
  return everyField(draft).filter((placed) => asked(placed, draft));
}

const follower = ({ field }: Placed): Follows | null =>
  (field.kind === 'quantity' && field.follows) || null;

/**
 * The texts of a draft with one typed text. Figures that usually follow from it are filled in, if they are empty or
 * were filled in by the answer before.
 */
export function withAnswer(
  draft: SurveyDraft,
  { path, text, site }: { path: string; text: string; site: SiteSettings | null },
): SurveyDraft['texts'] {
  const texts = { ...draft.texts, [path]: text };
  for (const placed of everyField(draft)) {
    const follows = follower(placed);
    if (follows?.path !== path) continue;
    const filled = texts[placed.path] ?? '';
    const usual = follows.usual(text, site);
    const before = follows.usual(draft.texts[path] ?? '', site);
    if (usual !== undefined && (filled === '' || filled === before)) texts[placed.path] = usual;
  }
  return texts;
}

/** A new draft: figures that follow from existing answers are filled in where empty. */
export const draftBegun = (draft: SurveyDraft, site: SiteSettings | null): SurveyDraft => ({
  ...draft,
  texts: everyField(draft).reduce((texts, placed) => {
    const follows = follower(placed);
    const usual = follows && follows.usual(texts[follows.path] ?? '', site);
    return usual && !texts[placed.path] && texts[follows.path]
      ? { ...texts, [placed.path]: usual }
      : texts;
  }, draft.texts),
});

/** Every field of the family for these damages, asked now or not: to fill a draft from a stored survey. */
export const everyField = (draft: SurveyDraft): Placed[] => fieldsOf(draft.family, draft.shapes);

/** The same for a stored survey. */
export const everyFieldOf = (survey: Survey): Placed[] =>
  fieldsOf(
    survey.family,
    survey.damages.map((d) => d.shape),
  );

function fieldsOf(familyId: string, shapes: readonly string[]): Placed[] {
  const family = familyOf(familyId);
  const ofShapes = shapes.flatMap((shape, i) => {
    const found = family.shapes.find((s) => s.shape === shape);
    return found ? place(`damages.${i}`, found.fields) : [];
  });
  return [...ofShapes, ...family.groups.flatMap((g) => place(g.id, g.fields))];
}

type Read = { value: unknown } | { message: string };

/** Reads one field from its text: its value in base units, or its error with the range. */
export function readField(field: Field, typed: string | undefined, system: UnitSystem): Read {
  // A draft from before the question existed has no text for it: the usual answer is used.
  const text = typed || field.usual;
  if (field.kind === 'flag') return { value: text === 'yes' };
  if (field.kind === 'choice') {
    return field.options.some((o) => o.value === text)
      ? { value: text }
      : { message: t('Choose one.') };
  }
  if ('optional' in field && (text ?? '').trim() === '') return { value: null };
  const parsed = parseQuantity(text ?? '', field.quantity, { system });
  const from = formatQuantity(field.min, field.quantity, system);
  const to = formatQuantity(field.max, field.quantity, system);
  if (!parsed.ok) return { message: `${parsed.message} From ${from} to ${to}.` };
  if (parsed.value < field.min)
    return { message: t('Too small: {from} is the least, {to} the most.', { from, to }) };
  if (parsed.value > field.max)
    return { message: t('Too big: {to} is the most, {from} the least.', { to, from }) };
  return { value: parsed.value };
}

/** Reads a whole draft. Issues are keyed by the field's path; the survey exists only without issues. */
export function readDraft(draft: SurveyDraft, system: UnitSystem): DraftResult {
  const issues: Issue[] = [];
  const groups: Record<string, Record<string, unknown>> = {};
  for (const placed of everyField(draft)) {
    const { path, field } = placed;
    const read = asked(placed, draft)
      ? readField(field, draft.texts[path], system)
      : { value: null };
    if ('message' in read) {
      issues.push({ path, message: read.message });
      continue;
    }
    const at = path.lastIndexOf('.');
    const group = path.slice(0, at);
    groups[group] = { ...groups[group], [path.slice(at + 1)]: read.value };
  }
  if (draft.shapes.length === 0)
    issues.push({ path: 'damages', message: t('Choose the shape of the damage.') });
  const { id, tag, name, position, costPerHour } = draft.asset;
  if (tag.trim() === '')
    issues.push({
      path: 'asset.tag',
      message: t('Choose an asset, or type a new tag of 1 to 24 characters.'),
    });
  if (name.trim() === '')
    issues.push({ path: 'asset.name', message: t('Type what it is, 1 to 80 characters.') });
  const damages = draft.shapes.map((shape, i) => ({ shape, ...groups[`damages.${i}`] }));
  const named = Object.fromEntries(
    familyOf(draft.family).groups.map((g) => [g.id, groups[g.id] ?? {}]),
  );
  const whole = {
    family: draft.family,
    version: 1,
    asset: { id, tag, name, position, costPerHour },
    intent: draft.intent,
    damages,
    ...named,
    window: { ...named.window, startAt: draft.startAt },
  };
  const parsed = familyOf(draft.family).schema.safeParse(whole);
  if (parsed.success && issues.length === 0) return { survey: parsed.data as Survey, issues };
  if (!parsed.success) {
    const known = new Set(issues.map((i) => i.path));
    const under = (path: string) => [...known].some((k) => k === path || path.startsWith(`${k}.`));
    issues.push(...issuesOf(parsed.error).filter((i) => !under(i.path)));
  }
  return { survey: null, issues };
}
