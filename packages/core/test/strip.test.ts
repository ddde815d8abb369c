import type { SummaryRound, PlanSummary } from '../src/run/planSummary';
import { planSummaryOf } from '../src/run/planSummaryOf';
import { stripOf, stripText } from '../src/run/strip';
import { MINUTE } from '../src/units/clock';
import { makePlan } from '../src/plan/make';
import { planRound } from '../src/plan/plan';
import type { Step } from '../src/work/step';
import { card, site, survey } from './fixtures';

/** A main round, 50 min of life of which 40 are for placing, full load after 500 min; a post-cure of 90 in the plan. */
const main: SummaryRound = {
  id: 'main',
  name: { key: 'The fill' } as never,
  cardCode: 'R-100',
  milestones: [
    { id: 'life', minutes: 50 },
    { id: 'tackFree', minutes: 100 },
    { id: 'fullLoad', minutes: 500 },
  ],
  batches: [{ no: 1, lifeMin: 50, useMin: 40 }],
  needed: 'fullLoad',
  next: null,
  plannedAtMin: 60,
};
const START = Date.parse('2026-11-24T08:00:00Z');
const plan: PlanSummary = {
  rounds: [main],
  mainRound: 'main',
  needed: 'fullLoad',
  cureStepsMin: 90,
  startAt: START,
  deadline: START + 700 * MINUTE,
};
const MIXED = START + 60 * MINUTE;
const after = (minutes: number) => MIXED + minutes * MINUTE;
const strip = (round: Partial<SummaryRound>, more: Partial<PlanSummary> = {}) =>
  stripOf({ ...plan, ...more }, { ...main, ...round }, MIXED);

test('the main round is ready after its milestone and post-cure, another without post-cure', () => {
  expect(strip({}).ready).toBe(after(590));
  expect(strip({ id: 'coat-1' }).ready).toBe(after(500));
  expect(strip({}, { cureStepsMin: 0 }).ready).toBe(after(500));
});

test('it is late if it is ready after the repair must be back, to the minute', () => {
  expect(strip({}, { deadline: after(590) }).late).toBe(false);
  expect(strip({}, { deadline: after(589) }).late).toBe(true);
  // A coat that another covers is loaded by nothing: it cannot be late.
  expect(strip({ needed: null }, { deadline: START }).late).toBe(false);
});

test('wet while it can be placed, late until the working life ends, curing until ready, set after that', () => {
  const { segments, start, end } = strip({});
  expect(start).toBe(MIXED);
  expect(segments).toEqual([
    { state: 'wet', from: MIXED, to: after(40) },
    { state: 'late', from: after(40), to: after(50) },
    { state: 'curing', from: after(50), to: after(590) },
    { state: 'set', from: after(590), to: end },
  ]);
  // The bar ends at the last of ready, milestones and the deadline, and a twenty-fifth of the cure beyond.
  expect(end).toBe(after(640) + 590 * 0.04 * MINUTE);
  expect(strip({}, { deadline: START }).end).toBe(after(590) + 590 * 0.04 * MINUTE);
});

test('what is ready before its working life ends is ready when that ends', () => {
  const soon = [{ id: 'fullLoad' as const, minutes: 20 }];
  expect(strip({ milestones: soon }, { cureStepsMin: 0 }).ready).toBe(after(50));
});

test('a film waits for the next round; it dries before its can sets, and nothing of it is late', () => {
  const film = { needed: null, next: { least: 30, most: 240 } };
  const { segments, ready, window } = strip(film);
  expect([ready, window]).toEqual([after(30), { from: after(30), to: after(240) }]);
  expect(segments.map((s) => s.to).slice(0, 3)).toEqual([after(30), after(30), after(30)]);
  const slow = strip({ ...film, next: { least: 80, most: null } });
  expect([slow.ready, slow.window]).toEqual([after(80), null]);
  expect(slow.segments[0]?.to).toBe(after(40));
  // With nothing after it, it waits until it no longer sticks.
  expect(strip({ needed: null, next: null }).ready).toBe(after(100));
});

test('its milestones are at their minutes, with the working life as drawn', () => {
  expect(strip({}).milestones.map((x) => [x.id, x.at])).toEqual([
    ['life', after(50)],
    ['tackFree', after(100)],
    ['fullLoad', after(500)],
  ]);
});

test('the text says what is drawn, and the present state', () => {
  const says = (now: number, more: Partial<PlanSummary> = {}) =>
    stripText(strip({}, more), now, 'UTC');
  expect(says(after(10))).toBe(
    'Mixed 09:00, wet. Place by 09:40. Life ends 09:50. Set 18:50. Needed 19:40.',
  );
  expect(says(after(45))).toContain(', late. Place by');
  expect(says(after(50))).toContain(', curing.');
  expect(says(MIXED - 1)).toContain(', not begun.');
  expect(says(after(100_000))).toContain(', set.');
  expect(says(after(10), { deadline: after(500) })).toMatch(/Needed 17:20, late\.$/);
});

describe('the summary of a plan', () => {
  const made = makePlan(survey, card, { site, madeAt: '2026-11-24T08:05:00Z' });
  if (!made.ok) throw new Error('no plan');
  const whole = made.plan;

  test('adds only post-cure to the milestone, with its waits', () => {
    const [like] = whole.steps;
    if (!like) throw new Error('no steps');
    const step = (more: Partial<Step>): Step => ({ ...like, hold: null, ...more });
    const label = 'Heat' as never;
    const steps = [
      step({ id: 'post', does: 'heat', station: 'cure', minutes: 20 }),
      step({
        ...{ id: 'soak', does: 'heat', station: 'cure', minutes: 5 },
        hold: { kind: 'countdown', label, minutes: 65 },
      }),
      step({ id: 'warm', does: 'heat', station: 'build', minutes: 400 }),
      step({ id: 'look', station: 'cure', minutes: 300 }),
    ];
    expect(planSummaryOf({ ...whole, steps }).cureStepsMin).toBe(20 + 5 + 65);
    expect(planSummaryOf(whole).cureStepsMin).toBe(0);
  });

  test("has the plan's rounds, batches and milestones", () => {
    const summary = planSummaryOf(whole);
    const round = planRound(whole, whole.mainRound);
    expect(summary.startAt).toBe(START);
    expect(summary.deadline).toBe(START + 24 * 60 * MINUTE);
    expect([summary.mainRound, summary.needed]).toEqual(['main', 'immersion']);
    expect(summary.rounds).toHaveLength(1);
    expect(summary.rounds[0]).toMatchObject({
      id: 'main',
      cardCode: 'R-100',
      needed: 'immersion',
      next: null,
      plannedAtMin: round?.batches[0]?.mixedAtMin,
      // Fifty minutes at 20 °C, four fifths of it for placing.
      batches: [{ no: 1, lifeMin: expect.closeTo(50, 6), useMin: expect.closeTo(40, 6) }],
    });
  });
});
