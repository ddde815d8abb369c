import {
  checkPlan,
  everyField,
  families,
  familyOf,
  makePlan,
  planBatches,
  readDraft,
  word,
  type Placed,
  type Plan,
  type Survey,
  type SystemCard,
} from '@kelmot/core';
import fc from 'fast-check';
import { demoCards, plainDraft, siteSettings, systemCards } from '../src/index';

const AT = '2026-11-25T08:00:00Z';
const RUNS = 200;
const context = { library: demoCards };

/** How a field is answered: as it usually is for the most part, else anywhere in its range. */
function answerTo({ path, field }: Placed, usual: string | undefined): fc.Arbitrary<string> {
  const asUsual = fc.constant(usual ?? '');
  if (field.kind === 'flag')
    return fc.oneof(
      { arbitrary: asUsual, weight: 4 },
      { arbitrary: fc.constantFrom('yes', 'no'), weight: 1 },
    );
  if (field.kind === 'choice')
    return fc.oneof(
      {
        arbitrary: asUsual,
        weight: path.startsWith('parent') || path.startsWith('service') ? 3 : 5,
      },
      { arbitrary: fc.constantFrom(...field.options.map((o) => o.value)), weight: 1 },
    );
  const unit = field.quantity === 'time' ? ' min' : '';
  const near = fc.double({ min: 0.5, max: 2, noNaN: true }).map((share) => {
    const value = Number.parseFloat(usual ?? '') * share;
    // A survey is typed in the unit that the usual answer names.
    return Number.isFinite(value) ? (usual ?? '').replace(/^[\d.]+/, value.toFixed(3)) : '';
  });
  const anywhere = fc
    .double({ min: field.min, max: field.max, noNaN: true })
    .map((x) => `${x.toFixed(2)}${unit}`);
  return fc.oneof({ arbitrary: near, weight: 9 }, { arbitrary: anywhere, weight: 1 });
}

/** Surveys of a family as they might be typed: one to three damages of any of its shapes. */
function surveys(family: string): fc.Arbitrary<Survey | null> {
  const { shapes, mostDamages } = familyOf(family);
  const several = fc.array(fc.constantFrom(...shapes.map((s) => s.shape)), {
    minLength: 1,
    maxLength: Math.min(3, mostDamages),
  });
  return several.chain((chosen) => {
    const draft = plainDraft({ family, shapes: chosen, startAt: AT, costPerHour: 100 });
    const fields = everyField(draft);
    const texts = fields.map((p) => answerTo(p, draft.texts[p.path]));
    return fc
      .tuple(
        fc.tuple(...texts),
        fc.constantFrom('lasting', 'stopgap'),
        fc.constantFrom('40 h', '90 h', '30 d'),
      )
      .map(([typed, intent, down]) => {
        const answers = Object.fromEntries(fields.map((p, i) => [p.path, typed[i] ?? '']));
        const asked = {
          ...draft,
          intent: intent as 'lasting',
          texts: { ...answers, 'window.downMin': down },
        };
        return readDraft(asked, 'metric').survey;
      });
  });
}

/** Everything a person reads of a plan, in words. */
function sentences(plan: Plan): string[] {
  const steps = plan.steps.flatMap((s) => [
    s.title,
    s.text,
    ...s.wrong.flatMap((w) => [w.sign, w.remedy]),
  ]);
  const rest = [...plan.removal, ...plan.warnings, ...plan.raise, ...plan.conditions];
  return [
    ...steps,
    ...rest,
    ...plan.links.map((l) => l.why),
    ...plan.supplies.map((s) => s.for),
  ].flatMap((x) => [word(x), word(x, 'us')]);
}

/** What the checker does not say, read off a plan by itself. */
function lawful(plan: Plan): void {
  expect(checkPlan(plan).filter((f) => !f.ok)).toEqual([]);
  const batches = planBatches(plan);
  expect(batches.map((b) => b.no)).toEqual(batches.map((_, i) => i + 1));
  for (const text of sentences(plan))
    expect(text).not.toMatch(/NaN|undefined|Infinity|[{}]|\s,|\.\./);
  // Every card that a sentence names stands in the supplies.
  const codes = new Set(plan.supplies.map((s) => s.code));
  const spoken = plan.steps.flatMap((s) => word(s.text).match(/\b[A-Z]-\d{3}\b/g) ?? []);
  for (const code of spoken) expect([...codes]).toContain(code);
  // No slot of a batch begins before the batch is mixed, and none is left out.
  for (const b of batches) {
    const own = plan.schedule.filter((s) => s.batch === b.no);
    expect(own.length).toBeGreaterThan(0);
    expect(Math.max(...own.map((s) => s.to))).toBeCloseTo(b.lastTouchMin, 6);
    expect(b.lastTouchMin).toBeLessThanOrEqual(b.placeByMin + 1e-6);
  }
}

test.each(families().map((f) => f.id))('%s: the laws hold whatever is surveyed', (family) => {
  const cards = systemCards.filter((c) => c.families.includes(family));
  let made = 0;
  fc.assert(
    fc.property(surveys(family), fc.nat(), (survey, turn) => {
      if (!survey) return;
      // The first card that gives a plan, from a place of its own for each survey.
      for (let i = 0; i < cards.length; i++) {
        const card = cards[(turn + i) % cards.length] as SystemCard;
        const result = makePlan(survey, card, siteSettings, AT, context);
        if (!result.ok) {
          // A plan that breaks a law is never given: then the planner is wrong, and not the survey.
          expect([card.code, word(result.why)]).toEqual([
            card.code,
            expect.not.stringMatching(/does not hold|NaN|undefined/),
          ]);
          continue;
        }
        made += 1;
        lawful(result.plan);
        break;
      }
    }),
    { numRuns: RUNS, seed: 20261126 },
  );
  expect(made).toBeGreaterThan(RUNS / 20);
});
