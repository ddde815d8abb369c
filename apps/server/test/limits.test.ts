import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import type { Problem, RepairPage } from '@kelmot/contract';
import { makePlan } from '@kelmot/core';
import { demoCards, siteSettings, systemCards } from '@kelmot/demo';
import sharp from 'sharp';
import { leftoversInWorker, planInWorker } from '../src/services/planner';
import { reencodePicture } from '../src/services/pictures';
import { command, openWorld, planRepair, surveyAt, type Person, type World } from './harness';

let world: World;
let ida: Person;
const now = () => new Date().toISOString();

before(async () => {
  world = await openWorld();
  ida = await world.person().signIn('ida');
});
after(() => world.close());

test('a plan over its time limit is ended with a reason, and the next one is made', async () => {
  const card = systemCards.find((c) => c.code === 'R-210');
  if (!card) throw new Error('no card');
  const survey = surveyAt(now());
  const context = { library: demoCards };
  const ask = [survey, card, { site: siteSettings, madeAt: now(), context }] as const;
  await assert.rejects(planInWorker([...ask], 0), /R-210 takes too long to calculate/);
  const made = await planInWorker([...ask]);
  assert.deepEqual(made, JSON.parse(JSON.stringify(makePlan(...ask))));
  if (!made.ok) throw new Error('no plan');
  // About a millisecond each: far over the limit also where the machine is fast.
  const others = Array.from({ length: 2000 }, (_, i) => ({ repairId: String(i), survey }));
  const asked = leftoversInWorker([made.plan, others, { site: siteSettings, context }], 0);
  await assert.rejects(asked, /too long/);
  assert.deepEqual(await leftoversInWorker([made.plan, [], { site: siteSettings, context }]), []);
});

test('a picture is encoded again: upright, reduced, and without its location', async () => {
  const taken = await sharp({
    create: { width: 2400, height: 1200, channels: 3, background: '#884422' },
  })
    .withExif({ IFD3: { GPSLatitude: '48/1 12/1 30/1', GPSLatitudeRef: 'N' } })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
  const kept = await reencodePicture(taken);
  const { format, width, height, exif, orientation } = await sharp(kept.data).metadata();
  assert.deepEqual([kept.mime, format, width, height], ['image/jpeg', 'jpeg', 800, 1600]);
  assert.deepEqual([exif, orientation], [undefined, undefined]);
});

test('a file that only begins like a picture is rejected, and nothing of it is stored', async () => {
  const id = await planRepair(ida, surveyAt(now(), 'PIC-1'), 'R-210', now());
  const whole = await sharp({
    create: { width: 40, height: 40, channels: 3, background: '#123456' },
  })
    .jpeg()
    .toBuffer();
  const cut = whole.subarray(0, whole.length / 2);
  const script = Buffer.concat([whole.subarray(0, 4), Buffer.from('<script>alert(1)</script>')]);
  const send = (data: Buffer) =>
    ida.send<Problem>(
      command(id, {
        type: 'photo.add',
        stepId: 'protect',
        mime: 'image/jpeg',
        data: data.toString('base64'),
      }),
    );
  for (const data of [cut, script]) {
    const refused = await send(data);
    assert.deepEqual([refused.status, refused.body.issues?.[0]?.path], [422, 'data']);
  }
  assert.equal((await ida.repair(id)).readings.length, 0);
  const good = await send(whole);
  assert.equal(good.status, 200, JSON.stringify(good.body));
});

test('an unchanged answer is not sent again', async () => {
  const path = '/api/repairs?status=open';
  const first = await ida.get<RepairPage>(path);
  const tag = first.headers.get('etag') ?? '';
  assert.ok(tag.length > 4);
  assert.equal(first.headers.get('cache-control'), 'private, no-cache');
  const ask = () => ida.request('GET', path, undefined, { 'if-none-match': tag });
  assert.equal((await ask()).status, 304);
  await planRepair(ida, surveyAt(now(), 'TAG-1'), 'R-210', now());
  assert.equal((await ask()).status, 200);
});
