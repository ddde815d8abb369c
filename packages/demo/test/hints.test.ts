import {
  everyFieldOf,
  families,
  judge,
  matchAll,
  withChanges,
  word,
  type Survey,
} from '@kelmot/core';
import fc from 'fast-check';
import { siteSettings, systemCards } from '../src/index';
import { base, known } from './surveyed';
import { surveys } from './surveys';

const ORDER = { fits: 0, if: 1, no: 2 };

/** Facts that nobody can change: no hint may ask for another answer. */
const AS_IT_IS = [
  'service.medium',
  'service.mediumC',
  'service.ph',
  'service.concPct',
  'service.wear',
  'parent.material',
  'site.closed',
  'site.ignition',
];

/** Checks every hint of every card: its field is on the form, can be changed, and turns its own rule. */
function proved(survey: Survey): number {
  const asked = new Set(everyFieldOf(survey).map((p) => p.path));
  let hints = 0;
  for (const { card, judged } of matchAll(survey, systemCards, {
    site: siteSettings,
    context: known,
  }))
    for (const { rule, verdict, relax } of judged) {
      if (!relax || verdict === 'fits') continue;
      hints += 1;
      const where = [survey.family, card.code, rule.id, relax.path, relax.text];
      expect([...where, asked.has(relax.path), AS_IT_IS.includes(relax.path)]).toEqual([
        ...where,
        true,
        false,
      ]);
      const after = withChanges(survey, [relax]);
      if (!after) throw new Error(`${where.join(' ')}: it cannot be typed`);
      const again = judge(after, card, { site: siteSettings, context: known }).judged.find(
        (j) => j.rule.id === rule.id,
      );
      if (!again || ORDER[again.verdict] >= ORDER[verdict])
        throw new Error(
          `${where.join(' ')}: ${verdict}, then ${again?.verdict}: ${word(relax.say)}`,
        );
      expect(word(relax.say)).toMatch(/^Would .*\.$/);
    }
  return hints;
}

test('every hint of the demo surveys can be typed and done, and turns its rule', () => {
  const found = [...base.values()].map(proved);
  expect(found.reduce((s, n) => s + n, 0)).toBeGreaterThan(10);
});

const ids = families().map((f) => f.id);
test.each(ids)('%s: the same for every hint of any survey', (family) => {
  let hints = 0;
  fc.assert(
    fc.property(surveys(family), (survey) => {
      if (survey) hints += proved(survey);
    }),
    { numRuns: 60, seed: 11 },
  );
  expect(hints).toBeGreaterThan(0);
});
