import { demandOfSurvey } from '../src/families/registry';
import { jobFrom, workFor } from '../src/job/job';
import { m } from '../src/message/message';
import { mainSpec } from '../src/methods/build';
import { mixSteps, mixTouch } from '../src/methods/mix';
import { notBefore, step } from '../src/methods/step';
import type { Schedule } from '../src/schedule/scheduleJob';
import type { SiteSettings } from '../src/site/site';
import type { After, StepDraft } from '../src/work/step';
import type { Round } from '../src/work/round';
import type { Work } from '../src/work/work';
import { card, site, survey } from './fixtures';

/**
 * Two rounds of the round-figured paste, 100 ml each unless another amount is asked for. At 20 °C and 10 ml a minute a batch is mixed in 5 minutes and placed
 * in 10; it opens for the next after 80 minutes and closes after 400; its life is 50 minutes, 40 of them usable.
 */
function laid(
  write: (work: Work, rounds: [Round, Round]) => StepDraft[],
  settings: Partial<SiteSettings> = {},
  startAt = survey.window.startAt,
  netMl = 100,
): Schedule {
  const own = { ...site, ...settings };
  const asked = { ...survey, window: { ...survey.window, startAt } };
  const demand = demandOfSurvey(asked, own);
  const work = workFor({
    survey: asked,
    card,
    site: own,
    context: {},
    demand,
    heldC: null,
    terms: 0,
  });
  const round = (id: string) =>
    work.round(
      mainSpec(work, {
        id,
        purpose: 'fill',
        title: m('{id}', { id }),
        netMl,
        areaMm2: 0,
        touches: [mixTouch(card), { name: 'place', placing: 1 }],
        needed: null,
      }),
    );
  const rounds: [Round, Round] = [round('one'), round('two')];
  const job = jobFrom(work, { rounds, steps: write(work, rounds), needs: [], figures: () => [] });
  if (!job.laid.ok) throw new Error('it cannot be laid');
  return job.laid;
}
const place = (round: Round) =>
  step.touch(round, 'place', { title: 'Place', says: m('Place it.'), people: 1 });
const hands = (name: 'isolate' | 'grade' | 'look', minutes: number, after?: After[]) =>
  step.prep(name, {
    does: name === 'grade' ? 'abrade' : 'look',
    title: name,
    minutes,
    says: m('.'),
    after,
  });
const from = ({ slots }: Schedule, id: string) => slots.find((s) => s.step === id)?.from;
const mixed = ({ mixedAt }: Schedule, id: string) => mixedAt.get(id)?.first ?? NaN;

test('one step after another: prep, tools, mix, place, each with its duration', () => {
  const plan = laid((work, [one]) => [hands('isolate', 20), ...mixSteps(work, one), place(one)]);
  expect(from(plan, 'isolate')).toBe(0);
  const at = mixed(plan, 'one');
  expect(at).toBe(20 + (plan.steps.find((s) => s.draft.name === 'lay-out')?.minutes ?? NaN));
  const own = plan.slots.filter((s) => s.batch === 1);
  expect(own.map((s) => [s.from - at, s.to - at])).toEqual([
    [0, 5],
    [5, expect.closeTo(15, 9)],
  ]);
});

test('the next round waits for the one before, from its last mix', () => {
  const plan = laid((work, [one, two]) => [
    ...mixSteps(work, one),
    place(one),
    ...mixSteps(work, two, [
      {
        round: 'one',
        at: 'overcoatOpens',
        until: 'overcoatCloses',
        missed: 'abrade',
        why: m('Firm.'),
      },
    ]),
    place(two),
  ]);
  expect(mixed(plan, 'two') - mixed(plan, 'one')).toBeCloseTo(80, 6);
  expect(plan.links).toContainEqual(
    expect.objectContaining({ to: 'mix.two', least: 80, most: 400, instead: [] }),
  );
});

test('a missed window adds its replacement steps', () => {
  const plan = laid((work, [one, two]) => [
    ...mixSteps(work, one),
    place(one),
    hands('look', 500),
    ...mixSteps(work, two, [
      {
        round: 'one',
        at: 'overcoatOpens',
        until: 'overcoatCloses',
        missed: 'abrade',
        why: m('Firm.'),
      },
    ]),
    place(two),
  ]);
  const names = plan.steps.map((s) => s.draft.name);
  expect(names.slice(names.lastIndexOf('look'))).toEqual(
    expect.arrayContaining(['abrade', 'dust-off']),
  );
  expect(
    plan.links.find((l) => l.to === 'mix.two' && 'round' in l.from)?.instead.length,
  ).toBeGreaterThan(0);
});

test('a step waits for a milestone, and the time to service for all of them', () => {
  const plan = laid((work, [one]) => [
    ...mixSteps(work, one),
    place(one),
    hands('look', 10, [notBefore(one, 'machine')]),
  ]);
  // Machinable after 300 minutes.
  expect(from(plan, 'look')).toBeCloseTo(mixed(plan, 'one') + 300, 6);
  expect(plan.readyMin).toBeCloseTo(mixed(plan, 'one') + 310, 6);
});

test('a wait between steps has both its limits', () => {
  const plan = laid((work, [one]) => [
    hands('grade', 30),
    hands('look', 5, [{ step: 'grade', least: 45, why: m('It dries.') }]),
    ...mixSteps(work, one),
    place(one),
  ]);
  expect(from(plan, 'look')).toBe(30 + 45);
});

test('work stays inside the shift; a cure runs through the night', () => {
  const shift = { fromMin: 6 * 60, toMin: 14 * 60 };
  const write = (work: Work, [one]: [Round, Round]) => [
    hands('isolate', 20),
    ...mixSteps(work, one),
    place(one),
    hands('look', 10, [notBefore(one, 'machine')]),
  ];
  // Begun at half past twelve: mixed the same day, looked at the next morning at six.
  const plan = laid(write, { shift }, '2026-11-24T12:30:00Z');
  expect(mixed(plan, 'one')).toBeLessThan(90);
  expect(from(plan, 'look')).toBeCloseTo(24 * 60 - 12.5 * 60 + 6 * 60, 6);
  // Begun at five: nothing before six.
  expect(from(laid(write, { shift }, '2026-11-24T05:00:00Z'), 'isolate')).toBe(60);
});

test('work that would not end inside the shift waits for the next, unless it is longer than a shift', () => {
  const shift = { fromMin: 6 * 60, toMin: 14 * 60 };
  const at = (minutes: number, startAt: string) =>
    from(
      laid(
        (_work, [one]) => [hands('grade', minutes), ...mixSteps(_work, one), place(one)],
        { shift },
        startAt,
      ),
      'grade',
    );
  // An hour from one o’clock ends with the shift; a minute more does not.
  expect(at(60, '2026-11-24T13:00:00Z')).toBe(0);
  expect(at(61, '2026-11-24T13:00:00Z')).toBe(17 * 60);
  // Nine hours go in no shift of eight: they begin with one.
  expect(at(540, '2026-11-24T06:00:00Z')).toBe(0);
  expect(at(540, '2026-11-24T06:01:00Z')).toBe(24 * 60 - 1);
});

describe('a round of two batches', () => {
  // 700 ml are two pails of 350, each 5 min of mixing and 35 of placing: the second is mixed 40 min after the first.
  const next: After = {
    round: 'one',
    at: 'overcoatOpens',
    until: 'overcoatCloses',
    missed: 'abrade',
    why: m('Firm.'),
  };
  const after = (minutes: number) =>
    laid(
      (work, [one, two]) => [
        ...mixSteps(work, one),
        place(one),
        hands('look', minutes),
        ...mixSteps(work, two, [next]),
        place(two),
      ],
      {},
      survey.window.startAt,
      700,
    );

  test('opens from its last batch', () => {
    const plan = after(1);
    const { first, last } = plan.mixedAt.get('one') ?? { first: NaN, last: NaN };
    expect(last - first).toBeCloseTo(40, 6);
    expect(mixed(plan, 'two')).toBeCloseTo(last + 80, 6);
  });

  test('closes from its first batch', () => {
    // Placed 80 min after the first mix, laid out in 5: 300 min between are inside 400, 330 are inside the second’s only.
    const abraded = (plan: Schedule) => plan.steps.some((s) => s.draft.name === 'abrade');
    expect(abraded(after(300))).toBe(false);
    expect(abraded(after(330))).toBe(true);
  });
});
