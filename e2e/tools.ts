import assert from 'node:assert/strict';
import { test } from 'node:test';
import { setTimeout as sleep } from 'node:timers/promises';
import { PHONE, WIDE } from './lib/browser';
import { signedIn } from './lib/stage';

test('a quick tool answers while typing, in any unit, and keeps invalid input', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('tab-know-how');
  await screen.type('tools-search', 'dew');
  await screen.press('tool-open-dew-point');
  await screen.matches('tool-result', /Dew point\s+12\s*°C/);
  await screen.type('tool-airC', '77 F');
  await screen.matches('tool-result', /16\.7\s*°C/);
  await screen.says('Magnus formula');
  await screen.type('tool-rhPct', '400');
  await screen.says('Too big: 100 % is the most.');
  await screen.gone('tool-result');
  await screen.page.reload({ waitUntil: 'networkidle2' });
  assert.equal(await screen.value('tool-rhPct'), '400');
  assert.equal(await screen.value('tool-airC'), '77 F');
  await screen.press('tool-example');
  await screen.matches('tool-result', /12\s*°C/);
  await screen.press('tool-undo');
  assert.equal(await screen.value('tool-rhPct'), '400');
  assert.deepEqual(screen.problems, []);
});

test('a link carries the input to another person', async () => {
  const ida = await signedIn('ida', PHONE);
  await ida.open('/know-how/bolt-sequence');
  await ida.type('tool-count', '8');
  await ida.matches('tool-result', /1, 5, 3, 7, 2, 6, 4, 8/);
  // As text: a compiled function would need helpers that the page does not have.
  await ida.page.evaluate(
    `Object.defineProperty(navigator, 'clipboard', { value: { writeText: () => Promise.reject(new Error('not allowed')) } })`,
  );
  await ida.press('tool-link');
  const link = await ida.text('tool-said');
  assert.match(link, /\/know-how\/bolt-sequence\?in=/);
  const tomas = await signedIn('tomas', WIDE);
  await tomas.open(new URL(link).pathname + new URL(link).search);
  await tomas.matches('tool-result', /1, 5, 3, 7, 2, 6, 4, 8/);
  assert.equal(await tomas.value('tool-count'), '8');
  assert.deepEqual(tomas.problems, []);
});

test('long calculations run in a worker with progress, can be stopped and repeated, and are drawn', async () => {
  const screen = await signedIn('ida', WIDE);
  const workers = () => screen.page.workers().length;
  await screen.open('/know-how/readiness');
  await screen.see('chart-readiness');
  assert.equal(workers(), 1, 'the sum ran in a worker');
  await screen.type('tool-traces', '1000000');
  await screen.page.waitForSelector('[data-testid="tool-progress"]:not([aria-valuenow="0"])');
  await screen.press('tool-stop');
  await screen.says('Stopped.');
  for (let i = 0; i < 50 && workers() > 0; i++) await sleep(100);
  assert.equal(workers(), 0, 'stopping ends it');
  await screen.type('tool-traces', '4000');
  await screen.matches('tool-result', /Chance of being done\s+4\d/);
  await screen.open('/know-how/exotherm');
  await screen.see('chart-exotherm');
  await screen.matches('tool-result', /Peak\s+170\s*°C/);
  assert.deepEqual(screen.problems, []);
});

test('every tool opens with its answered example, no two alike, and none is wider than a phone', async () => {
  const screen = await signedIn('vera', PHONE);
  await screen.open('/know-how');
  const all = await screen.page.$$eval('[data-testid^="tool-open-"]', (list) =>
    list.map((e) => (e.getAttribute('data-testid') ?? '').replace('tool-open-', '')),
  );
  // Another test covers the tool that needs a card.
  const names = all.filter((name) => name !== 'how-far');
  assert.deepEqual([all.length, names.length], [34, 33]);
  for (const name of names) {
    await screen.press(`tool-open-${name}`);
    await screen.see(`screen-${name}`);
    await screen.see('tool-result');
    const spill = await screen.page.evaluate(
      () => document.documentElement.scrollWidth - window.innerWidth,
    );
    assert.ok(spill <= 0, `${name} runs off by ${spill}`);
    await screen.press('back');
    await screen.see('tools-search');
  }
  assert.deepEqual(screen.problems, []);
});

test("an unknown tool's address is reported and leads on", async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.open('/know-how/perpetual-motion');
  await screen.says('There is no tool called perpetual-motion.');
});

test('how far a pack goes: any card, any damage, updated while sizes are typed; on the card as well', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.open('/know-how');
  await screen.type('tools-search', 'how far');
  await screen.press('tool-open-how-far');
  await screen.press('far-others');
  await screen.press('far-card-C-620');
  await screen.press('shape-0-crack');
  await screen.fill([
    ['far-lengthMm', '1 m'],
    ['far-widthMm', '4'],
    ['far-depthMm', '20'],
  ]);
  const metres = async () => Number.parseFloat(await screen.text('far-length'));
  const whole = await metres();
  assert.ok(whole > 1, `${whole} m`);
  await screen.type('far-depthMm', '40');
  await screen.matches('far-length', /m/);
  assert.ok((await metres()) < whole);
  await screen.type('far-widthMm', 'wide');
  await screen.says('is not a number');
  await screen.gone('far-length');
  await screen.open('/store');
  await screen.press('card-W-310');
  // Two quick touches at one place count as one: the second comes later.
  await sleep(600);
  await screen.page.locator('::-p-aria(How far does one pack go?)').click();
  await screen.see('how-far-W-310');
  await screen.matches('far-each', /m/);
  assert.deepEqual(screen.problems, []);
});
