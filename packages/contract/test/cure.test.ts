import { planSummaryOf, MINUTE, planBatches, planRound, word, type Plan } from '@kelmot/core';
import {
  applyCommand,
  validRecords,
  Command,
  CURE,
  cureReadings,
  curedByServer,
  handoverOf,
  judgeCure,
  maySign,
  rowOf,
  runningOf,
  runningPlan,
  storyOf,
  waitsUntil,
  wrongOfCure,
  type CureValues,
  type LogRow,
  type ReadingValues,
  type RepairView,
} from '../src/index';
import { AT, HERS, ID, IDA, ida, met, planOf, viewOf } from './view';

const plan = planOf();
const mixedAt = Date.parse(AT);
const when = (min: number): string => new Date(mixedAt + min * MINUTE).toISOString();
const surfaceC = plan.survey.readings.surfaceC;
const needed = planRound(plan, plan.mainRound)?.milestones.find((x) => x.id === plan.needed);
const plannedMin = needed?.minutes ?? 0;

/** Everything mixed and placed at `AT`. */
function placed(of: Plan = plan): RepairView {
  const view = met(viewOf(of), ['prep', 'mix', 'build', 'cure', 'accept']);
  return {
    ...view,
    station: 'cure',
    readings: [],
    mixes: planBatches(of).map((b) => ({
      ...{ id: `mix-${b.no}`, batchNo: b.no, aG: 1, bG: 1, deviationPct: 0, inTolerance: true },
      ...{ lot: '', startedAt: AT, placedAt: AT, binnedAt: null, ...ida },
    })),
  };
}
let made = 0;
const lay = (view: RepairView, values: ReadingValues, at: string, stepId = CURE): RepairView =>
  applyCommand(
    view,
    { ...{ id: `r${(made += 1)}`, repairId: ID, at }, type: 'reading.add', stepId, values },
    HERS,
  );
const log = (from: string, ...rows: LogRow[]): CureValues => ({ kind: 'temperatures', from, rows });
const typed = (tempC: number, at: string) => log(at, { atMin: 0, tempC });
const readyOf = (view: RepairView): number => {
  const act = handoverOf(view, mixedAt, 'UTC');
  expect(act.wet.length).toBe(2);
  const row = rowOf(view);
  const own = row.summary?.rounds.find((r) => r.id === plan.mainRound);
  return own?.milestones.find((x) => x.id === plan.needed)?.minutes ?? 0;
};

test('a typed temperature moves every clock of the repair: row, gate, handover, the server’s', () => {
  const bare = placed();
  expect(readyOf(bare)).toBe(plannedMin);
  const cold = lay(bare, typed(surfaceC - 8, AT), AT);
  const learned = readyOf(cold);
  expect(learned).toBeGreaterThan(plannedMin * 1.3);
  expect(handoverOf(cold, mixedAt, 'UTC').wet).not.toEqual(handoverOf(bare, mixedAt, 'UTC').wet);
  const site = { secondSigns: 'never', zone: 'UTC' } as const;
  const signing = { verdict: 'accepted', override: null } as const;
  const inspected = {
    ...cold,
    checks: met(viewOf(plan), ['prep', 'mix', 'build', 'cure', 'accept']).checks,
  };
  const holds = met(viewOf(plan), ['prep', 'mix', 'build', 'cure', 'accept']).readings;
  const whole = { ...inspected, readings: [...holds, ...cold.readings] };
  const at = (min: number) => ({ device: mixedAt + min * MINUTE, server: mixedAt + min * MINUTE });
  const gate = maySign(whole, { signing, who: IDA, site, now: at(plannedMin + 5) });
  expect([gate?.by, gate && word(gate.title)]).toEqual(['cure', 'Not cured yet']);
  expect(
    maySign({ ...whole, readings: holds }, { signing, who: IDA, site, now: at(plannedMin + 5) }),
  ).toBeNull();
  expect(maySign(whole, { signing, who: IDA, site, now: at(learned + 5) })).toBeNull();
  expect(curedByServer(cold, mixedAt)).toBeCloseTo(mixedAt + learned * MINUTE, -3);
});

test('waits between rounds follow it too: in the cold the next coat opens and closes later', () => {
  const links = (view: RepairView) => runningPlan(view)?.links ?? [];
  const cold = lay(placed(), typed(surfaceC - 8, AT), AT);
  const moved = plan.links.filter((l, i) => 'round' in l.from && links(cold)[i]?.least !== l.least);
  expect(moved.length).toBeGreaterThan(0);
  for (const [i, link] of plan.links.entries()) {
    const now = links(cold)[i];
    if (!('round' in link.from)) expect(now).toEqual(link);
    else if (link.most !== null && link.from.until) expect(now?.most).toBeGreaterThan(link.most);
  }
  const [link] = moved;
  const step = plan.steps.find((s) => s.id === link?.to);
  if (!link || !step) throw new Error('no round is waited for');
  const at = mixedAt + (link.least + 5) * MINUTE;
  expect(waitsUntil(step, { view: placed(), plan, now: at })).toBeNull();
  expect(waitsUntil(step, { view: cold, plan, now: at })?.at).toBeGreaterThan(at);
});

test("the gate's surface reading counts, except where the repair is heated", () => {
  const gate: ReadingValues = { kind: 'ambient', airC: 12, rhPct: 50, surfaceC: surfaceC - 8 };
  const read = (of: Plan) => {
    const view = placed(of);
    const reading = {
      ...{ id: 'g', stepId: 'gate', values: gate, passed: true, say: needed as never },
      ...{ takenAt: when(-10), ...ida },
    };
    return runningOf({ ...view, readings: [reading] });
  };
  expect(read(plan)?.main?.minutes).toBeGreaterThan(plannedMin);
  expect(read({ ...plan, heldC: surfaceC })?.main).toBeNull();
});

test('of two spots the colder one counts, and a later log replaces an earlier one', () => {
  const two = log(AT, { atMin: 0, tempC: 20, otherC: 14 }, { atMin: 30, tempC: 13, otherC: 19 });
  const seen = (view: RepairView) =>
    cureReadings(view).temps.map((t) => [(t.at - mixedAt) / MINUTE, t.tempC]);
  const once = lay(placed(), two, when(30));
  expect(seen(once)).toEqual([
    [0, 14],
    [30, 13],
  ]);
  const again = lay(once, log(when(30), { atMin: 0, tempC: 8 }), when(30));
  expect(seen(again)).toEqual([
    [0, 14],
    [30, 8],
  ]);
  const twice = lay(
    once,
    log(when(15), { atMin: 0, tempC: 9 }, { atMin: 60, tempC: 10 }),
    when(75),
  );
  expect(seen(twice)).toEqual([
    [0, 14],
    [15, 9],
    [75, 10],
  ]);
});

test('heating and samples are named in the story; a soft sample is marked and delays the clock', () => {
  const tack = planRound(plan, plan.mainRound)?.milestones.find((x) => x.id === 'tackFree');
  const late = when((tack?.minutes ?? 0) * 2);
  const view = [
    [{ kind: 'heat', by: 'lamp', on: true }, when(1)],
    [{ kind: 'heat', by: 'lamp', on: false }, when(2)],
    [{ kind: 'nail', marks: true }, late],
    [typed(15.5, when(3)), when(3)],
  ].reduce((v, [values, at]) => lay(v, values as ReadingValues, at as string), placed());
  const lines = storyOf(view)
    .filter((l) => view.readings.some((r) => r.id === l.id))
    .map((l) => [word(l.title), l.say && word(l.say), l.mark]);
  expect(lines).toEqual([
    ['Lamp', 'Switched on.', null],
    ['Lamp', 'Switched off.', null],
    ['Temperature of the repair', '15.5 °C.', null],
    ['Kept sample', 'A fingernail leaves a mark: soft.', 'failed'],
  ]);
  const soft = lay(placed(), { kind: 'nail', marks: true }, late);
  expect(runningOf(soft)?.main?.minutes).toBeCloseTo(2 * plannedMin, 3);
  expect(handoverOf(soft, mixedAt, 'UTC').watch.at(-1)).toBeDefined();
});

test("a sample's hardness is judged by the card, and not asked for without one", () => {
  const hard = plan.card.service.hardness;
  if (!hard) throw new Error('the card of the fixtures gives a hardness');
  const say = (value: number) => judgeCure({ kind: 'shore', value }, plan);
  expect([say(hard.least).passed, say(hard.least - 1).passed]).toEqual([true, false]);
  const { hardness: _, ...service } = plan.card.service;
  const without = { card: { ...plan.card, service } };
  expect(wrongOfCure({ kind: 'shore', value: 80 }, AT, without)?.path).toBe('values.kind');
  expect(wrongOfCure({ kind: 'shore', value: 80 }, AT, plan)).toBeNull();
});

test('a log that ends after its recording is rejected by its last row, to the minute', () => {
  const rows = [
    { atMin: 0, tempC: 18 },
    { atMin: 60, tempC: 17 },
  ];
  expect(wrongOfCure(log(AT, ...rows), when(59), plan)).toBeNull();
  expect(wrongOfCure(log(AT, ...rows), when(58), plan)?.path).toBe('values.rows.1.atMin');
});

test('rows of a log have rising times and possible values; no rows is not a log', () => {
  const parsed = (rows: unknown[]) =>
    Command.safeParse({
      ...{ type: 'reading.add', id: ID, repairId: ID, at: AT, stepId: CURE },
      values: { kind: 'temperatures', from: AT, rows },
    });
  const row = (atMin: number, tempC = 18) => ({ atMin, tempC });
  expect(parsed([row(0), row(1), row(2)]).success).toBe(true);
  for (const wrong of [
    [],
    [row(0), row(0)],
    [row(2), row(1)],
    [row(-1)],
    [row(0, 251)],
    [row(0, -61)],
  ])
    expect(parsed(wrong).success).toBe(false);
  const said = parsed([row(0), row(5), row(4)]).error?.issues[0];
  expect([said?.path.at(-2), said?.message]).toEqual([2, 'must be over 5, the time before it']);
});

test('temperatures stay with the repair when its plan changes', () => {
  const { readings } = lay(viewOf(plan), typed(12, AT), AT);
  const next = planOf({ intent: 'stopgap' });
  const kept = validRecords({ body: plan, checks: [], readings }, next);
  expect(kept.readings).toEqual(readings);
  expect(kept.left).toEqual([]);
});

test('an update applied twice counts once, and the running plan is computed for each reading', () => {
  const view = placed();
  const first = runningOf(view);
  expect(runningOf(view)).toBe(first);
  expect(runningOf({ ...view })).toBe(first);
  const cold = lay(view, typed(5, AT), AT);
  expect(runningOf(cold)).not.toBe(first);
  expect(runningOf({ ...cold, mixes: [] })?.main).toBeNull();
  const summary = planSummaryOf(runningPlan(cold) ?? plan);
  expect(summary.rounds[0]?.batches).toEqual(planSummaryOf(plan).rounds[0]?.batches);
});

test('a lamp switched off leaves it heated while the heater is on', () => {
  const marks: [ReadingValues, number][] = [
    [{ kind: 'heat', by: 'heater', on: true }, 1],
    [{ kind: 'heat', by: 'lamp', on: true }, 2],
    [{ kind: 'heat', by: 'lamp', on: false }, 3],
    [{ kind: 'heat', by: 'heater', on: false }, 4],
  ];
  const view = marks.reduce((v, [values, min]) => lay(v, values, when(min)), placed());
  expect(cureReadings(view).heat.map((h) => h.on)).toEqual([true, true, true, false]);
});
