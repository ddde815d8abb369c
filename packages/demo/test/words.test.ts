import {
  checkPlan,
  falseSentences,
  longSentences,
  m,
  makePlan,
  remediesOf,
  stepWords,
  type FamilyId,
  type Plan,
  type Step,
  type Survey,
} from '@kelmot/core';
import { demoCards, siteSettings, systemCards } from '../src/index';
import { AT } from './surveys';
import { surveyed } from './surveyed';

const planned = (family: string, code: string, change: (survey: Survey) => object): Plan => {
  const card = systemCards.find((c) => c.code === code);
  const survey = surveyed(family as FamilyId, {}) as Survey;
  if (!card) throw new Error(`no card ${code}`);
  const made = makePlan({ ...survey, ...change(survey) } as Survey, card, {
    site: siteSettings,
    madeAt: AT,
    context: { library: demoCards },
  });
  if (!made.ok) throw new Error(JSON.stringify(made.why));
  return made.plan;
};
const same = () => ({});
const stepOf = (plan: Plan, name: string): Step => {
  const step = plan.steps.find((s) => s.name === name);
  if (!step) throw new Error(`no step ${name}`);
  return step;
};
/** The plan with another sentence in place of those of one step. */
const saying = (plan: Plan, name: string, text: string): Plan => ({
  ...plan,
  steps: plan.steps.map((s) => (s.name === name ? { ...s, says: [m(text)] } : s)),
});

describe('a sentence is refused where its facts are not true', () => {
  const plan = planned('F1', 'R-210', same);
  test.each([
    ['mix', 'Knead it for 2 minutes.', 'a putty'],
    ['mix', 'Open one packet.', 'a tape'],
    ['mix', 'Pour the binder over it.', 'granules'],
    ['place', 'Ram the mortar in.', 'a mortar'],
    ['look', 'Clean the concrete.', 'concrete'],
    ['grade', 'Dry it with a gas lance.', 'no flame at all'],
    ['dress', 'Grind it flush with the template.', ''],
  ])('%s: %s', (name, text, needs) => {
    const [at] = plan.steps.filter((s) => s.name === name || name === 'place').slice(-1);
    const found = falseSentences(saying(plan, at?.name ?? name, text));
    expect(found.map((f) => f.needs)).toEqual(needs === '' ? [] : [needs]);
  });

  test('the plan itself has none, and the checker says so of a broken one', () => {
    expect(falseSentences(plan)).toEqual([]);
    const broken = checkPlan(saying(plan, 'mix', 'Knead it.')).filter((f) => !f.ok);
    expect(broken.map((f) => f.law)).toEqual(['words']);
  });
});

test('a sentence of more than 20 words is too long; a measured value counts as one', () => {
  const plan = planned('F1', 'R-210', same);
  expect(longSentences(plan)).toEqual([]);
  const words = (n: number) => `${'word '.repeat(n - 1)}end.`;
  expect(longSentences(saying(plan, 'mix', words(20)))).toEqual([]);
  expect(longSentences(saying(plan, 'mix', words(21)))).toMatchObject([{ words: 21 }]);
});

test('cracks of unlike depth have their own depth in the step, by letter', () => {
  const two = (depths: number[]) =>
    planned('F8', 'C-640', (s) => ({
      site: { ...s.site, tools: 'blast' },
      window: { ...s.window, downMin: 20_000 },
      damages: depths.map((depthMm) => ({ ...s.damages[0], widthMm: 25, depthMm })),
    }));
  expect(stepWords(stepOf(two([60, 60]), 'break-out'))).toMatch(/full depth: 60 mm\./);
  expect(stepWords(stepOf(two([60, 80]), 'break-out'))).toMatch(/A: 60 mm; B: 80 mm\./);
});

test('in a closed space the air is tested right after isolation, before any solvent', () => {
  const open = planned('F1', 'R-210', same);
  expect(open.steps.map((s) => s.name)).not.toContain('ventilate');
  const closed = planned('F1', 'R-210', (s) => ({ site: { ...s.site, closed: true } }));
  expect(closed.steps.slice(0, 2).map((s) => s.name)).toEqual(['isolate', 'ventilate']);
  expect(stepWords(stepOf(closed, 'ventilate'))).toMatch(/^Do not enter without/);
});

test('tools are made ready once, before the first mix, for all materials', () => {
  const plan = planned('F6', 'B-410', same);
  const ready = plan.steps.filter((s) => s.name === 'lay-out');
  expect(ready).toHaveLength(1);
  for (const { card } of plan.rounds) expect(stepWords(ready[0] as Step)).toContain(card.code);
});

test('a remedy is told once for a material, and shown at every step that needs it', () => {
  const plan = planned('F12', 'X-810', same);
  const mixes = plan.steps.filter((s) => s.name === 'mix' && s.round?.startsWith('coat'));
  expect(mixes.length).toBeGreaterThan(1);
  expect(mixes.map((s) => s.wrong.length > 0)).toEqual(mixes.map((_, i) => i === 0));
  for (const mix of mixes) expect(remediesOf(plan, mix)).toEqual(mixes[0]?.wrong);
});

test('what a sentence names and no supply holds is among the tools', () => {
  const plan = planned('F9', 'C-645', same);
  expect(plan.tools).toEqual(expect.arrayContaining(['pH paper', 'Soda', 'Straight edge']));
  expect(planned('F1', 'R-210', same).tools).not.toContain('pH paper');
});
