import { MINUTE, planBatches, type MilestoneId, type MixedBatch, type Plan } from '@kelmot/core';
import { runPlan, plannedTemp, type CureReadings, type Running } from '@kelmot/core/run/runPlan';
import { demoPlan } from '../src/index';
import { base } from './surveyed';

const AT = '2026-11-24T06:00:00Z';
const NOTHING: CureReadings = { temps: [], heat: [], samples: [] };
const plans = [...base.values()].map((survey): [string, Plan] => [
  survey.family,
  demoPlan({ survey, madeAt: AT }),
]);
const start = ({ survey }: Plan) => Date.parse(survey.window.startAt);
/** Every batch as planned. */
const mixedAsPlanned = (plan: Plan): MixedBatch[] =>
  planBatches(plan).map((b) => ({
    batchNo: b.no,
    startedAt: start(plan) + b.mixedAtMin * MINUTE,
    placedAt: start(plan) + b.placeByMin * MINUTE,
    binned: false,
  }));
/** Measured at each mix: warmer than planned by this. */
const seenAt = (plan: Plan, moreC: number): CureReadings => ({
  ...NOTHING,
  temps: mixedAsPlanned(plan).map((x) => ({ at: x.startedAt, tempC: plannedTemp(plan) + moreC })),
});
const moments = ({ plan }: Running): Record<string, number> =>
  Object.fromEntries([
    ...plan.rounds.flatMap((r) => r.milestones.map((x) => [`${r.id} ${x.id}`, x.minutes])),
    ...plan.links.flatMap((l, i) => [
      [`link ${i}`, l.least],
      [`link ${i} closes`, l.most ?? 0],
    ]),
  ]);
const AS_PLANNED = { main: null, moments: new Map() };
const planned = (plan: Plan) => moments({ plan, ...AS_PLANNED });

describe.each(plans)('the clocks of %s', (_, plan) => {
  const mixes = mixedAsPlanned(plan);

  test("are the plan's without readings, and at the planned temperature", () => {
    expect(runPlan(plan, NOTHING, mixes)).toEqual({ plan, ...AS_PLANNED });
    const as = moments(runPlan(plan, seenAt(plan, 0), mixes));
    for (const [name, minutes] of Object.entries(planned(plan)))
      expect([name, as[name]]).toEqual([name, expect.closeTo(minutes, 4)]);
  });

  test('are not earlier when colder and not later when warmer, and do move', () => {
    const before = planned(plan);
    const colder = moments(runPlan(plan, seenAt(plan, -3), mixes));
    const warmer = moments(
      runPlan(plan, { ...seenAt(plan, 3), heat: [{ at: start(plan), on: true }] }, mixes),
    );
    for (const [name, minutes] of Object.entries(before)) {
      expect(colder[name]).toBeGreaterThanOrEqual(minutes - 1e-6);
      expect(warmer[name]).toBeLessThanOrEqual(minutes + 1e-6);
    }
    const needed = `${plan.mainRound} ${plan.needed}`;
    if (plan.needed !== 'life') {
      expect(colder[needed]).toBeGreaterThan(before[needed] ?? 0);
      expect(warmer[needed]).toBeLessThan(before[needed] ?? 0);
    }
  });

  test('are of mixed rounds only, without discarded batches', () => {
    const seen = seenAt(plan, -3);
    expect(runPlan(plan, seen, []).plan).toEqual(plan);
    const binned = mixes.map((x) => ({ ...x, binned: true }));
    expect(runPlan(plan, seen, binned)).toEqual({ plan, ...AS_PLANNED });
  });

  test('never move the working life of a batch', () => {
    const lives = ({ rounds }: Plan) =>
      rounds.map((r) => r.milestones.find((x) => x.id === 'life')?.minutes);
    expect(lives(runPlan(plan, seenAt(plan, -3), mixes).plan)).toEqual(lives(plan));
  });
});

const worn = plans.find(([family]) => family === 'F2')?.[1] as Plan;
const mainMixed = (plan: Plan): number => {
  const own = plan.rounds.find((r) => r.id === plan.mainRound);
  return Math.max(...(own?.batches.map((b) => start(plan) + b.mixedAtMin * MINUTE) ?? []));
};
const minutesTo = ({ plan }: Running, id: MilestoneId): number =>
  plan.rounds.find((r) => r.id === plan.mainRound)?.milestones.find((x) => x.id === id)?.minutes ??
  0;

test('a soft sample that should be hard delays its round; a hard one brings nothing forward', () => {
  const tack = minutesTo({ plan: worn, ...AS_PLANNED }, 'tackFree');
  const late = mainMixed(worn) + 1.5 * tack * MINUTE;
  const by = (hard: boolean, at: number) =>
    runPlan(worn, { ...NOTHING, samples: [{ at, by: 'nail', hard }] }, mixedAsPlanned(worn));
  const soft = by(false, late);
  for (const { id, minutes } of worn.rounds.find((r) => r.id === worn.mainRound)?.milestones ?? [])
    if (id !== 'life') expect(minutesTo(soft, id)).toBeCloseTo(1.5 * minutes, 6);
  expect(soft.main?.slow).toBeCloseTo(1.5, 6);
  expect(by(true, mainMixed(worn) + 0.2 * tack * MINUTE)).toEqual({ plan: worn, ...AS_PLANNED });
  expect(by(true, late)).toEqual({ plan: worn, ...AS_PLANNED });
  // A sample that is soft before its time is normal.
  expect(by(false, mainMixed(worn) + 0.5 * tack * MINUTE).plan).toEqual(worn);
});

test('warmth that was switched off does not count as lasting', () => {
  const mixes = mixedAsPlanned(worn);
  const warm = seenAt(worn, 8);
  const at = start(worn);
  const on = runPlan(worn, { ...warm, heat: [{ at, on: true }] }, mixes);
  const off = runPlan(
    worn,
    {
      ...warm,
      heat: [
        { at, on: true },
        { at: at + 1, on: false },
      ],
    },
    mixes,
  );
  const before = minutesTo({ plan: worn, ...AS_PLANNED }, worn.needed);
  expect(minutesTo(on, worn.needed)).toBeLessThan(before);
  expect(minutesTo(off, worn.needed)).toBeCloseTo(before, 6);
});

test('a soft sample belongs to the main round: layers below and above keep their time', () => {
  const several = plans.filter(
    ([, plan]) => plan.rounds.filter((r) => r.batches.length > 0).length > 1,
  );
  expect(several.length).toBeGreaterThan(3);
  for (const [, plan] of several) {
    const samples = [
      { at: mainMixed(plan) + 90 * 1440 * MINUTE, by: 'nail' as const, hard: false },
    ];
    const { plan: runs, main } = runPlan(plan, { ...NOTHING, samples }, mixedAsPlanned(plan));
    for (const round of runs.rounds.filter((r) => r.id !== plan.mainRound))
      expect(round).toEqual(plan.rounds.find((r) => r.id === round.id));
    if (main) expect(main.slow).toBeGreaterThan(1);
  }
});

test('a wait longer than its cure stays as long in the warm', () => {
  const mixes = mixedAsPlanned(worn);
  const seen = { ...seenAt(worn, 8), heat: [{ at: start(worn), on: true }] };
  const at = worn.links.findIndex((l) => 'round' in l.from);
  const linkOf = (plan: Plan) => runPlan(plan, seen, mixes).plan.links[at]?.least ?? 0;
  const own = worn.links[at]?.least ?? 0;
  expect(linkOf(worn)).toBeLessThan(own);
  const links = worn.links.map((l, i) => (i === at ? { ...l, least: own + 60 } : l));
  expect(linkOf({ ...worn, links })).toBe(own + 60);
});

test('a window opens by the last batch of its round and closes by the first', () => {
  const found = plans.flatMap(([, plan]) =>
    plan.links.flatMap((l, i) =>
      'round' in l.from && l.from.until && l.most !== null
        ? [{ plan, i, round: l.from.round }]
        : [],
    ),
  );
  expect(found.length).toBeGreaterThan(2);
  for (const { plan, i, round } of found) {
    const first = mixedAsPlanned(plan).find((x) =>
      plan.rounds.find((r) => r.id === round)?.batches.some((b) => b.no === x.batchNo),
    );
    if (!first) throw new Error('nothing is mixed');
    const second = { ...first, startedAt: first.startedAt + 90 * MINUTE };
    const c = plannedTemp(plan);
    const temps = [
      { at: first.startedAt, tempC: c - 3 },
      { at: second.startedAt, tempC: c - 3 },
      { at: second.startedAt + 1, tempC: c },
    ];
    const link = (mixes: MixedBatch[]) => runPlan(plan, { ...NOTHING, temps }, mixes).plan.links[i];
    expect(link([first, second])?.most).toBe(link([first])?.most);
    expect(link([first, second])?.least).toBe(link([second])?.least);
    expect(link([first])?.most).not.toBe(link([second])?.most);
  }
});
