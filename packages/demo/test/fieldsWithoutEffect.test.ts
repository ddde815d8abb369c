import {
  families,
  familyOf,
  makePlan,
  matchAll,
  rank,
  readDraft,
  fieldsWithoutEffect,
  type SurveyDraft,
} from '@kelmot/core';
import { demoCards, plainDraft, siteSettings, systemCards } from '../src/index';

const AT = '2026-11-25T08:00:00Z';
const plain = (family: string, answers: Record<string, string> = {}): SurveyDraft => {
  const [shape] = familyOf(family).shapes;
  if (!shape) throw new Error(family);
  return plainDraft({ family, shapes: [shape.shape], startAt: AT, costPerHour: 100, answers });
};
const silent = (draft: SurveyDraft) =>
  fieldsWithoutEffect({ draft, units: 'metric', cards: demoCards, site: siteSettings });

/** Ranking, verdicts, hours and money of a draft, computed independently of the tested function. */
function outcome(draft: SurveyDraft) {
  const { survey, issues } = readDraft(draft, 'metric');
  if (!survey) throw new Error(JSON.stringify(issues));
  const known = { library: demoCards };
  const ranked = rank(
    matchAll(survey, systemCards, { site: siteSettings, context: known }),
    survey.intent,
  );
  const [first] = ranked;
  const made =
    first && makePlan(survey, first.match.card, { site: siteSettings, madeAt: AT, context: known });
  return [
    ranked.map((s) => [s.match.card.code, s.match.verdict]),
    made?.ok ? [made.plan.readyMin, made.plan.figures['cost.total']?.value] : null,
  ];
}

test.each(families().map((f) => f.id))('%s: hidden questions change nothing', (family) => {
  const draft = plain(family);
  const now = outcome(draft);
  for (const path of silent(draft)) {
    const [group = '', key = ''] = path.split('.');
    const field = familyOf(family).groups.find((g) => g.id === group)?.fields[key];
    const others =
      field?.kind === 'choice'
        ? field.options.map((o) => o.value)
        : [draft.texts[path] === 'yes' ? 'no' : 'yes'];
    for (const text of others)
      expect([path, text, outcome({ ...draft, texts: { ...draft.texts, [path]: text } })]).toEqual([
        path,
        text,
        now,
      ]);
  }
});

test('a question returns once another answer makes it count', () => {
  expect(silent(plain('F6'))).toContain('belt.carcass');
  expect(silent(plain('F6', { 'belt.carcassCutPct': '3 %' }))).not.toContain('belt.carcass');
});

test('where any answer is refused, nothing more is asked', () => {
  const open = silent(plain('F8'));
  const refused = silent(plain('F8', { 'floor.structural': 'yes' }));
  expect(open).not.toContain('site.nearby');
  expect(refused.length).toBeGreaterThan(open.length + 5);
  for (const path of ['site.nearby', 'site.closed', 'past.old']) expect(refused).toContain(path);
});

test('a typed or open question is never hidden', () => {
  const slope = plain('F5', { 'surface.slope': 'overhead' });
  expect(silent(plain('F5'))).toContain('surface.slope');
  expect(silent(slope)).not.toContain('surface.slope');
  const { usual, shapes } = familyOf('F5');
  const begun: SurveyDraft = {
    ...slope,
    shapes: [shapes[0]?.shape ?? ''],
    texts: { ...usual },
  };
  const quiet = silent(begun);
  expect(quiet.every((path) => path in usual)).toBe(true);
  expect(silent({ ...begun, shapes: [] })).toEqual([]);
  // With hand tools alone nothing lasts here; while other questions are open, nothing is hidden.
  const byHand = { ...begun, texts: { ...usual, 'site.tools': 'hand', 'site.area': 'zone-1' } };
  expect(silent(byHand)).toEqual([]);
});
