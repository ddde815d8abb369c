import { MINUTE, planBatches, type MilestoneId, type MixedBatch, type Plan } from '@kelmot/core';
import { asItRuns, type CureSeen, type Running } from '@kelmot/core/run/asItRuns';
import { demoPlan } from '../src/index';
import { base } from './surveyed';

const AT = '2026-11-24T06:00:00Z';
const NOTHING: CureSeen = { temps: [], heat: [], samples: [] };
const plans = [...base.values()].map((survey): [string, Plan] => [
  survey.family,
  demoPlan({ survey, madeAt: AT }),
]);
const start = ({ survey }: Plan) => Date.parse(survey.window.startAt);
/** Every batch as it was planned. */
const mixedAsPlanned = (plan: Plan): MixedBatch[] =>
  planBatches(plan).map((b) => ({
    batchNo: b.no,
    startedAt: start(plan) + b.mixedAtMin * MINUTE,
    placedAt: start(plan) + b.placeByMin * MINUTE,
    binned: false,
  }));
const plannedC = (plan: Plan) => plan.heldC ?? plan.survey.readings.surfaceC;
/** Measured at each mix: so much warmer than planned. */
const seenAt = (plan: Plan, moreC: number): CureSeen => ({
  ...NOTHING,
  temps: mixedAsPlanned(plan).map((x) => ({ at: x.startedAt, tempC: plannedC(plan) + moreC })),
});
const moments = ({ plan }: Running): Record<string, number> =>
  Object.fromEntries([
    ...plan.rounds.flatMap((r) => r.milestones.map((x) => [`${r.id} ${x.id}`, x.minutes])),
    ...plan.links.flatMap((l, i) => [
      [`link ${i}`, l.least],
      [`link ${i} closes`, l.most ?? 0],
    ]),
  ]);
const planned = (plan: Plan) => moments({ plan, main: null });

describe.each(plans)('the clocks of %s', (_, plan) => {
  const mixes = mixedAsPlanned(plan);

  test('are those of its plan, where nothing was seen, and where it was as warm as planned', () => {
    expect(asItRuns(plan, NOTHING, mixes)).toEqual({ plan, main: null });
    const as = moments(asItRuns(plan, seenAt(plan, 0), mixes));
    for (const [name, minutes] of Object.entries(planned(plan)))
      expect([name, as[name]]).toEqual([name, expect.closeTo(minutes, 4)]);
  });

  test('go no sooner where it was colder and no later where it was warmer, and do move', () => {
    const before = planned(plan);
    const colder = moments(asItRuns(plan, seenAt(plan, -3), mixes));
    const warmer = moments(
      asItRuns(plan, { ...seenAt(plan, 3), heat: [{ at: start(plan), on: true }] }, mixes),
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

  test('are of what was mixed: nothing of a round that is not, nor of a batch that was binned', () => {
    const seen = seenAt(plan, -3);
    expect(asItRuns(plan, seen, []).plan).toEqual(plan);
    const binned = mixes.map((x) => ({ ...x, binned: true }));
    expect(asItRuns(plan, seen, binned)).toEqual({ plan, main: null });
  });

  test('never move the life of a pail', () => {
    const lives = ({ rounds }: Plan) =>
      rounds.map((r) => r.milestones.find((x) => x.id === 'life')?.minutes);
    expect(lives(asItRuns(plan, seenAt(plan, -3), mixes).plan)).toEqual(lives(plan));
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

test('a sample that is soft when it should be hard stretches its round; one that is hard brings nothing forward', () => {
  const tack = minutesTo({ plan: worn, main: null }, 'tackFree');
  const late = mainMixed(worn) + 1.5 * tack * MINUTE;
  const by = (hard: boolean, at: number) =>
    asItRuns(worn, { ...NOTHING, samples: [{ at, by: 'nail', hard }] }, mixedAsPlanned(worn));
  const soft = by(false, late);
  for (const { id, minutes } of worn.rounds.find((r) => r.id === worn.mainRound)?.milestones ?? [])
    if (id !== 'life') expect(minutesTo(soft, id)).toBeCloseTo(1.5 * minutes, 6);
  expect(soft.main?.slow).toBeCloseTo(1.5, 6);
  expect(by(true, mainMixed(worn) + 0.2 * tack * MINUTE)).toEqual({ plan: worn, main: null });
  // Soft before its time is as it should be.
  expect(by(false, mainMixed(worn) + 0.5 * tack * MINUTE).plan).toEqual(worn);
});

test('warmth that was switched off again is not taken to last', () => {
  const mixes = mixedAsPlanned(worn);
  const warm = seenAt(worn, 8);
  const at = start(worn);
  const on = asItRuns(worn, { ...warm, heat: [{ at, on: true }] }, mixes);
  const off = asItRuns(
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
  const before = minutesTo({ plan: worn, main: null }, worn.needed);
  expect(minutesTo(on, worn.needed)).toBeLessThan(before);
  expect(minutesTo(off, worn.needed)).toBeCloseTo(before, 6);
});
