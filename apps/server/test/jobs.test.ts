import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import type { Forecast, Me, Problem, ShelfLot, StockMove } from '@kelmot/contract';
import { planBatches, word, type FamilyId } from '@kelmot/core';
import { demoPhoto, demoSurvey, surveyedRepairs } from '@kelmot/demo';
import { benchRowsOf } from '@kelmot/demo-server/walk';
import { v7 as uuidv7 } from 'uuid';
import {
  command,
  openWorld,
  planRepair,
  signedAfterwards,
  work,
  type Person,
  type World,
} from './harness';

let world: World;
let ida: Person;
const MINUTE = 60_000;
const ago = (minutes: number) => new Date(Date.now() - minutes * MINUTE).toISOString();

before(async () => {
  world = await openWorld();
  ida = await world.person().signIn('ida');
});
after(() => world.close());

/** A planned repair of a family, begun so many minutes ago. */
function planned(family: FamilyId, cardCode: string, minutes: number): Promise<string> {
  const found = surveyedRepairs.filter((r) => r.survey.family === family).at(-1);
  if (!found) throw new Error(`no demo survey of ${family}`);
  const survey = demoSurvey(found.tag, null, ago(minutes), found.survey);
  return planRepair(ida, survey, cardCode, ago(minutes));
}

test('a belt is poured from a whole kit: nothing is weighed, and not before the conditioner is tacky', async () => {
  const id = await planned('F6', 'B-410', 700);
  const plan = (await ida.repair(id)).plan?.body;
  const main = plan && planBatches(plan).find((b) => b.round === plan.mainRound);
  assert.ok(plan && main);
  const start = Date.now() - 700 * MINUTE;
  await work(ida, id, start, (act) => act.kind === 'mix');
  const early = await ida.send<Problem>(
    command(id, { type: 'mix.start', at: ago(600), batchNo: main.no, aG: null, bG: null, lot: '' }),
  );
  assert.equal(early.status, 422, 'the conditioner goes first');
  assert.match(early.body.detail ?? '', /to place/);
  const first = benchRowsOf(plan).findIndex((act) => act.kind === 'mix');
  const done = new Set(
    benchRowsOf(plan)
      .slice(0, first)
      .map((act) => JSON.stringify(act)),
  );
  await work(ida, id, start, undefined, (act) => done.has(JSON.stringify(act)));
  const view = await ida.repair(id);
  for (const x of view.mixes) assert.deepEqual([x.aG, x.bG, x.deviationPct], [null, null, null]);
  const tomas = await world.person().signIn('tomas');
  const signed = await tomas.send(command(id, { ...signedAfterwards('Runs true.'), at: ago(1) }));
  assert.equal(signed.status, 200, JSON.stringify(signed.body));
  assert.equal((await ida.repair(id)).status, 'closed');
});

test('a mortar is weighed as powder and water; too much water is reported with the correction', async () => {
  const id = await planned('F9', 'C-645', 600);
  let mixAt = 0;
  await work(ida, id, Date.now() - 600 * MINUTE, (act) => {
    mixAt = act.atMin;
    return act.kind === 'mix';
  });
  const { plan } = await ida.repair(id);
  const batch = plan && planBatches(plan.body)[0];
  assert.ok(batch?.aG && batch.bG);
  const start = (aG: number | null, bG: number | null) =>
    ida.send<Problem>(
      command(id, { type: 'mix.start', at: ago(600 - mixAt), batchNo: 1, aG, bG, lot: '' }),
    );
  const none = await start(null, null);
  assert.equal(none.body.issues?.[0]?.path, 'aG');
  const wet = await start(batch.aG, batch.bG * 1.2);
  assert.match(wet.body.title, /^Off ratio by 20 %; 5 % is the most$/);
  assert.match(wet.body.detail ?? '', /^Add [\d.\u202f]+ k?g powder\.$/);
  assert.equal((await start(batch.aG, batch.bG)).status, 200);
});

test('counts of a step are stored when started; a step without counts takes none', async () => {
  const id = await planned('F4', 'W-310', 300);
  const { plan } = await ida.repair(id);
  const held = plan?.body.steps.find((s) => s.timed);
  const other = plan?.body.steps.find((s) => s.hold && !s.timed);
  assert.ok(held && other);
  const begin = (stepId: string, no = 1) =>
    ida.send<Problem>(
      command(id, { type: 'reading.add', at: ago(1), stepId, values: { kind: 'timed', no } }),
    );
  assert.equal((await begin(held.id)).status, 200);
  const refused = await begin(other.id);
  assert.equal(refused.status, 422);
  assert.equal(refused.body.issues?.[0]?.path, 'values.kind');
  assert.equal((await begin(held.id, 0)).status, 422);
  const readings = (await ida.repair(id)).readings.filter((r) => r.values.kind === 'timed');
  assert.deepEqual(
    readings.map((r) => [r.stepId, r.passed, word(r.say)]),
    [[held.id, true, 'Pressure held: 10 min by the clock.']],
  );
});

test('a picture is stored with its step and read back; a reading cannot replace it', async () => {
  const id = await planned('F4', 'W-310', 300);
  const stepId = 'mark-leak';
  const false_ = await ida.send<Problem>(
    command(id, {
      type: 'reading.add',
      at: ago(299),
      stepId,
      values: { kind: 'photo', photoId: uuidv7() },
    }),
  );
  assert.equal(false_.status, 422);
  const { mime, data } = demoPhoto;
  const photo = command(id, { type: 'photo.add', at: ago(298), stepId, mime, data });
  assert.equal((await ida.send(photo)).status, 200);
  assert.equal((await ida.send(photo)).status, 200, 'sent twice it counts once');
  const view = await ida.repair(id);
  const readings = view.readings.filter((r) => r.stepId === stepId);
  assert.equal(readings.length, 1);
  const got = await ida.get<string>(`/api/photos/${photo.id}`);
  assert.equal(got.headers.get('content-type'), 'image/jpeg');
  assert.ok(got.body.length > 100);
  const page = Buffer.from('<script>alert(1)</script>').toString('base64');
  const scripted = await ida.send<Problem>(
    command(id, { type: 'photo.add', at: ago(298), stepId, mime: 'image/jpeg', data: page }),
  );
  assert.equal(scripted.status, 422);
  assert.match(scripted.body.issues?.[0]?.message ?? '', /not a picture of this type/);
  assert.equal((await ida.get(`/api/photos/${uuidv7()}`)).status, 404);
  const other = await ida.send<Problem>(
    command(id, { type: 'photo.add', at: ago(297), stepId: 'isolate', mime, data }),
  );
  assert.equal(other.status, 422);
});

test('a pressure wrap waits for the engineer: an authorised account, or a typed name that is marked', async () => {
  const id = await planned('F5', 'W-330', 100);
  const approve = (person: Person, name: string, reference: string, account?: string) =>
    person.send<Problem>(
      command(id, {
        type: 'reading.add',
        at: ago(90),
        stepId: 'approval',
        values: { kind: 'approval', name, reference, account },
      }),
    );
  const last = async () => {
    const reading = (await ida.repair(id)).readings.at(-1);
    return [reading && word(reading.say), reading?.values] as const;
  };
  const empty = await approve(ida, '', '');
  assert.equal(empty.status, 422);
  assert.ok(empty.body.issues?.some((i) => i.path.includes('name')));
  // The server sets the account of an approval from the session, whatever the device sends.
  assert.equal((await approve(ida, 'Orla Venn', 'Calc 12', 'orla')).status, 200);
  assert.deepEqual(await last(), [
    'Approved by Orla Venn, Calc 12. The name was typed; it is not verified.',
    { kind: 'approval', name: 'Orla Venn', reference: 'Calc 12', account: null },
  ]);
  const orla = await world.person().signIn('orla');
  const me = (await orla.get<Me>('/api/me')).body;
  assert.equal((await approve(orla, 'Somebody Else', 'Calc 12')).status, 200);
  assert.deepEqual(await last(), [
    'Approved by Orla Venn, Calc 12, signed in.',
    { kind: 'approval', name: 'Orla Venn', reference: 'Calc 12', account: me.id },
  ]);
});

test('the shelf is a ledger: by lot, never below zero, each move once, not for viewers', async () => {
  const shelf = async () => (await ida.get<ShelfLot[]>('/api/shelf')).body;
  const lots = await shelf();
  assert.ok(lots.length > 20);
  assert.deepEqual(
    lots.map((l) => l.expiresOn),
    lots.map((l) => l.expiresOn).sort(),
  );
  const [lot] = lots;
  assert.ok(lot);
  const move = (given: Partial<StockMove>): StockMove => ({
    id: uuidv7(),
    at: ago(1),
    cardCode: lot.cardCode,
    packId: lot.packId,
    lot: lot.lot,
    delta: -1,
    reason: 'drawn',
    repairId: null,
    ...given,
  });
  const post = <T>(body: StockMove, who: Person = ida) =>
    who.request<T>('POST', '/api/shelf/moves', body);
  const one = move({});
  assert.equal((await post(one)).status, 200);
  assert.equal((await post(one)).status, 200);
  const left = (await shelf()).find((l) => l.id === lot.id);
  assert.equal(left?.count ?? 0, lot.count - 1, 'sent twice it counts once');
  const most = await post<Problem>(move({ delta: -1000 }));
  assert.equal(most.status, 422);
  assert.match(most.body.issues?.[0]?.message ?? '', /are on the shelf/);
  const unknown = await post<Problem>(move({ lot: 'NEW-1', delta: 3, reason: 'received' }));
  assert.equal(unknown.body.issues?.[0]?.path, 'expiresOn');
  const fresh = move({ lot: 'NEW-1', delta: 3, reason: 'received', expiresOn: '2031-01-01' });
  assert.equal((await post(fresh)).status, 200);
  assert.equal((await shelf()).find((l) => l.lot === 'NEW-1')?.count, 3);
  assert.equal((await post<Problem>(move({ packId: 'none' }))).body.issues?.[0]?.path, 'packId');
  const vera = await world.person().signIn('vera');
  assert.equal((await post(move({}), vera)).status, 403);
});

test('two people take the last packs: one of them is rejected', async () => {
  const lot = (await ida.get<ShelfLot[]>('/api/shelf')).body.at(-1);
  assert.ok(lot);
  const take = () =>
    ida.request('POST', '/api/shelf/moves', {
      id: uuidv7(),
      at: ago(1),
      cardCode: lot.cardCode,
      packId: lot.packId,
      lot: lot.lot,
      delta: -lot.count,
      reason: 'drawn',
      repairId: null,
    });
  const answers = await Promise.all([take(), take()]);
  assert.deepEqual(answers.map((a) => a.status).sort(), [200, 422]);
});

test('the forecast is hourly for five days, names its source, and is used by the plan', async () => {
  const { body } = await ida.get<Forecast>('/api/forecast');
  assert.equal(body.source, 'simulated');
  assert.equal(body.hours.length, 120);
  const id = await planned('F10', 'C-630', 10);
  const { plan } = await ida.repair(id);
  assert.ok(plan?.body.windows, 'out of doors the plan asks the weather');
  assert.ok(plan.body.supplies.length > 1);
});
