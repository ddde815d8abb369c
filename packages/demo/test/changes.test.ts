import { changesMessage, makePlan, planChanges, sentence, word, type Plan } from '@kelmot/core';
import { siteSettings } from '../src/index';
import { card, known, surveyed, type Leaf } from './surveyed';
import { AT } from './surveys';

/** The demo's flange face with R-210, with some other answers. */
function planned(answers: Record<string, Leaf> = {}): Plan {
  const made = makePlan(surveyed('F1', answers), card('R-210'), {
    site: siteSettings,
    madeAt: AT,
    context: known,
  });
  if (!made.ok) throw new Error(word(made.why));
  return made.plan;
}

test('a warmer day changes the schedule, and says so in one line', () => {
  const changes = planChanges(planned(), planned({ 'readings.surfaceC': 27 }));
  const said = changesMessage(changes);
  if (!said) throw new Error('nothing changed');
  expect(sentence(said)).toMatch(/^Back in .* became .*: it is 12 °C warmer\.$/s);
  expect(sentence(said, 'us')).toMatch(/: it is 22 °F warmer\.$/);
  expect(changesMessage(planChanges(planned(), planned()))).toBeNull();
});

test('a new or removed step is named by its title', () => {
  const whole = planned();
  const less = { ...whole, steps: whole.steps.filter((s) => s.name !== 'gate') };
  const title = whole.steps.find((s) => s.name === 'gate')?.title;
  const effects = (...[from, to]: [Plan, Plan]) =>
    planChanges(from, to).effects.map((e) => word(e));
  expect(effects(whole, less)).toEqual([`no more “${title && word(title)}”`]);
  expect(effects(less, whole)).toEqual([`a new step, “${title && word(title)}”`]);
});
