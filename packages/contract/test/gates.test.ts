import { HOUR, planBatches, word, type Plan } from '@kelmot/core';
import {
  applyCommand,
  approvedBy,
  CLOCK_SLACK,
  curedByServer,
  deviationOf,
  mayMix,
  mayMove,
  mayOverride,
  maySign,
  type GateRefusal,
  type Me,
  type RepairView,
} from '../src/index';
import { AT, ID, ida, HERS, IDA, met, planOf, viewOf } from './view';

const plan = planOf();
const batch = planBatches(plan)[0] as ReturnType<typeof planBatches>[number];
const start = Date.parse(AT);
const weighed = { aG: batch.aG, bG: batch.bG };
/** The text of a gate: what holds it, and the first thing to do. */
const told = (gate: GateRefusal | null) =>
  gate && [gate.by, word(gate.title), gate.why[0] ? word(gate.why[0]) : null];

/** Everything before mixing was met an hour ago. */
const ready = met(viewOf(plan), ['prep', 'mix']);
const soon = start + HOUR;

describe('a batch may be mixed', () => {
  test('if everything before it is met and it is on ratio', () => {
    expect(mayMix(ready, { batchNo: 1, scale: weighed, now: soon })).toBeNull();
    expect(deviationOf(ready, 1, weighed)).toBeCloseTo(0, 9);
  });
  test('its deviation is its own, once both parts are weighed', () => {
    const heavy = { ...weighed, bG: (batch.bG ?? 0) * 1.1 };
    expect(deviationOf(ready, 1, heavy)).toBeCloseTo(10, 6);
    expect(deviationOf(ready, 2, heavy)).toBeNull();
    expect(deviationOf({ plan: null }, 1, heavy)).toBeNull();
    expect(deviationOf(ready, 1, { ...heavy, aG: null })).toBeNull();
    expect(deviationOf(ready, 1, { ...heavy, bG: null })).toBeNull();
    const kit = planBatches(plan).map((b) => ({ ...b, aG: null, bG: null }));
    const rounds = plan.rounds.map((r) => ({
      ...r,
      batches: kit.filter((b) => b.round === r.id),
    }));
    const whole = { ...ready, plan: { id: ID, number: 1, body: { ...plan, rounds } } };
    expect(deviationOf(whole, 1, heavy)).toBeNull();
    expect(mayMix(whole, { batchNo: 1, scale: { aG: null, bG: null }, now: soon })).toBeNull();
  });
  test.each<[string, RepairView, number, typeof weighed, unknown]>([
    [
      'no plan',
      { ...ready, plan: null },
      1,
      weighed,
      ['open', 'Choose a system first', 'there is no plan yet'],
    ],
    [
      'no such batch',
      ready,
      99,
      weighed,
      ['input', 'Input out of range', `must be 1 to ${planBatches(plan).length}`],
    ],
    [
      'a hold is open',
      viewOf(plan),
      1,
      weighed,
      ['open', 'Not ready to mix', 'Isolate and make safe'],
    ],
    [
      'nothing is weighed',
      ready,
      1,
      { aG: null, bG: null },
      ['input', 'Weigh both parts first', 'must be what the scale shows, in g'],
    ],
    [
      'one part is weighed',
      ready,
      1,
      { aG: 100, bG: null },
      ['input', 'Weigh both parts first', 'must be what the scale shows, in g'],
    ],
  ])('not if %s', (_, view, no, scale, says) => {
    expect(told(mayMix(view, { batchNo: no, scale, now: soon }))).toEqual(says);
  });
  test("not off ratio beyond the card's tolerance: the short part and its correction are named", () => {
    const bG = (batch.bG ?? 0) * 0.9;
    const gate = mayMix(ready, { batchNo: 1, scale: { aG: batch.aG, bG }, now: soon });
    expect([gate?.by, gate?.field]).toEqual(['input', 'bG']);
    expect(gate && word(gate.title)).toMatch(/^Off ratio by 10 %; [\d.]+ % is the most$/);
    expect(gate?.why[0] && word(gate.why[0])).toMatch(/^add .* g hardener$/);
    const more = mayMix(ready, {
      batchNo: 1,
      scale: { aG: batch.aG, bG: (batch.bG ?? 0) * 1.1 },
      now: soon,
    });
    expect(more?.field).toBe('aG');
    expect(more?.why[0] && word(more.why[0])).toMatch(/^add .* g base$/);
  });
  test('not twice, unless the first was thrown away', () => {
    const mixed = applyCommand(
      ready,
      {
        id: ID,
        repairId: ID,
        at: new Date(soon).toISOString(),
        type: 'mix.start',
        batchNo: 1,
        ...weighed,
        lot: '',
      },
      HERS,
    );
    expect(mixed.mixes).toHaveLength(1);
    expect(told(mayMix(mixed, { batchNo: 1, scale: weighed, now: soon }))?.slice(0, 2)).toEqual([
      'state',
      'Batch 1 is mixed already',
    ]);
    const binned = { ...mixed, mixes: mixed.mixes.map((x) => ({ ...x, binnedAt: AT })) };
    expect(mayMix(binned, { batchNo: 1, scale: weighed, now: soon })).toBeNull();
  });
});

describe('a repair may move', () => {
  test('back always, forward if nothing holds it, and past Match only with a plan', () => {
    const view = viewOf(plan);
    expect(mayMove(view, 'survey', soon)).toBeNull();
    expect(mayMove(view, 'prep', soon)).toBeNull();
    expect(told(mayMove(view, 'mix', soon))?.[0]).toBe('open');
    expect(mayMove(met(view, ['prep']), 'mix', soon)).toBeNull();
    const bare = { ...view, plan: null, station: 'survey' as const };
    expect(mayMove(bare, 'match', soon)).toBeNull();
    expect(told(mayMove(bare, 'prep', soon))?.[1]).toBe('Choose a system first');
  });
});

/** Everything done, mixed at the start; `receivedAfter`: the server's receipt, hours later. */
function done(of: Plan, receivedAfter: number | null, by = ida): RepairView {
  const receivedAt =
    receivedAfter === null ? null : new Date(start + receivedAfter * HOUR).toISOString();
  const view = met(viewOf(of), ['prep', 'mix', 'build', 'cure', 'accept']);
  const placed = {
    ...{ deviationPct: 0, inTolerance: true, lot: '', binnedAt: null },
    startedAt: AT,
    placedAt: new Date(start + HOUR / 3).toISOString(),
    ...by,
    receivedAt,
  };
  return {
    ...view,
    station: 'accept',
    mixes: planBatches(of).map((b) => ({
      id: `${ID}${b.no}`,
      batchNo: b.no,
      aG: b.aG,
      bG: b.bG,
      ...placed,
    })),
  };
}

describe('a repair may be signed', () => {
  const site = { secondSigns: 'never', zone: 'UTC' } as const;
  const planner: Me = { ...IDA, id: 'tomas', name: 'Tomas', role: 'planner' };
  const accepted = { verdict: 'accepted', override: null } as const;
  const after = (hours: number) => ({ device: start + hours * HOUR, server: start + hours * HOUR });
  const cureHours =
    (Date.parse(AT) && ((curedByServer(done(plan, 0), start) ?? 0) - start) / HOUR) || 0;

  test('once all is met and the cure is over, and not before', () => {
    const view = done(plan, 0);
    expect(cureHours).toBeGreaterThan(1);
    expect(
      told(maySign(view, { signing: accepted, who: IDA, site, now: after(cureHours - 0.5) }))?.[0],
    ).toBe('cure');
    expect(
      maySign(view, { signing: accepted, who: IDA, site, now: after(cureHours + 0.1) }),
    ).toBeNull();
    expect(
      told(maySign(viewOf(plan), { signing: accepted, who: IDA, site, now: after(200) }))?.[0],
    ).toBe('open');
    expect(
      told(
        maySign({ ...view, plan: null }, { signing: accepted, who: IDA, site, now: after(200) }),
      )?.[1],
    ).toBe('Nothing to sign off');
    expect(
      told(
        maySign({ ...view, mixes: [] }, { signing: accepted, who: IDA, site, now: after(200) }),
      )?.[0],
    ).toBe('open');
  });
  test('as “do it again” at any time', () => {
    expect(
      maySign(viewOf(plan), {
        signing: { verdict: 'redo', override: null },
        who: IDA,
        site,
        now: after(0),
      }),
    ).toBeNull();
  });
  test('not if the server has not seen the end of the cure, except by a planner with a reason', () => {
    const late = done(plan, 100);
    const now = after(101);
    expect(told(maySign(late, { signing: accepted, who: IDA, site, now }))?.[0]).toBe('clock');
    expect(
      maySign(late, { signing: accepted, who: IDA, site, now: after(100 + cureHours + 0.1) }),
    ).toBeNull();
    const why = { verdict: 'accepted', override: 'Entered afterwards.' } as const;
    expect(told(maySign(late, { signing: why, who: IDA, site, now }))?.[0]).toBe('clock');
    expect(told(maySign(late, { signing: accepted, who: planner, site, now }))?.[0]).toBe('clock');
    expect(maySign(late, { signing: why, who: planner, site, now })).toBeNull();
    expect(['technician', 'planner', 'viewer'].map((role) => mayOverride({ role } as Me))).toEqual([
      false,
      true,
      false,
    ]);
  });
  test('a small clock difference is accepted; a queued batch counts from now', () => {
    const slow = done(plan, CLOCK_SLACK / HOUR);
    expect(curedByServer(slow, start)).toBeCloseTo(start + cureHours * HOUR, -2);
    const waiting = done(plan, null);
    expect(curedByServer(waiting, start + 5 * HOUR)).toBeCloseTo(
      start + (5 + cureHours) * HOUR,
      -2,
    );
    expect(curedByServer({ ...slow, plan: null }, start)).toBeNull();
  });
  test('by a second person if the site says so: always, or where approval is needed', () => {
    const view = done(plan, 0);
    const now = after(300);
    const asks = (secondSigns: 'never' | 'approved' | 'always', who: Me, of = view) =>
      told(maySign(of, { signing: accepted, who, site: { ...site, secondSigns }, now }))?.[0] ??
      null;
    expect([asks('never', IDA), asks('approved', IDA), asks('always', IDA)]).toEqual([
      null,
      null,
      'person',
    ]);
    expect(asks('always', planner)).toBeNull();
    // A person who only inspects it at the end did no work on it.
    const byPlanner = { by: 'Tomas', byId: planner.id };
    const at = (station: string) =>
      plan.steps.find((s) => s.station === station && s.hold?.kind === 'check')?.id;
    const ticked = (station: string): RepairView => ({
      ...view,
      checks: view.checks.map((c) => (c.stepId === at(station) ? { ...c, ...byPlanner } : c)),
    });
    expect([
      asks('always', planner, ticked('accept')),
      asks('always', planner, ticked('prep')),
    ]).toEqual([null, 'person']);
    const [first] = plan.steps;
    if (!first) throw new Error('no step');
    const approval = {
      ...first,
      id: 'approval',
      hold: { kind: 'approval', who: 'pressure-engineer' },
    } as const;
    const engineered = { ...plan, steps: [...plan.steps, approval] } as Plan;
    const approved = met(done(engineered, 0), ['prep', 'mix', 'build', 'cure', 'accept']);
    expect(asks('approved', IDA, approved)).toBe('person');
    expect(asks('approved', planner, approved)).toBeNull();
  });
});

describe('an approval', () => {
  const hold = { kind: 'approval', who: 'pressure-engineer' } as const;
  const typed = {
    kind: 'approval',
    name: 'Some Name',
    reference: 'D-1',
    account: 'forged',
  } as const;
  test('is by an authorised account, or a typed name without an account', () => {
    expect(approvedBy(hold, typed, IDA)).toEqual({ ...typed, account: null });
    const orla: Me = { ...IDA, id: 'orla', name: 'Orla', approves: ['pressure-engineer'] };
    expect(approvedBy(hold, typed, orla)).toEqual({ ...typed, name: 'Orla', account: 'orla' });
    const diver: Me = { ...orla, approves: ['diver'] };
    expect(approvedBy(hold, typed, diver)).toEqual({ ...typed, account: null });
    const value = { kind: 'reading', value: 1 } as const;
    expect(approvedBy(hold, value, orla)).toBe(value);
  });
});

test('a record on a replaced plan is not applied to the new one', () => {
  const other = `${ID.slice(0, -1)}9`;
  const tick = {
    type: 'check.set',
    stepId: 'isolate',
    batchNo: null,
    done: true,
    note: '',
  } as const;
  const base = { id: other, repairId: ID, at: AT };
  const view = viewOf(plan);
  expect(applyCommand(view, { ...base, ...tick, planId: other }, HERS).checks).toEqual([]);
  expect(applyCommand(view, { ...base, ...tick, planId: ID }, HERS).checks).toHaveLength(1);
});
