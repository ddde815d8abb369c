import assert from 'node:assert/strict';
import { test } from 'node:test';
import { setTimeout as sleep } from 'node:timers/promises';
import { typeBelt } from './lib/belt';
import { later, PHONE, WIDE } from './lib/browser';
import { taskShown, goneOn, pressDo } from './lib/runner';
import { signedIn } from './lib/stage';

test('a job is run one step at a time with one large button; a task is reread, undone, and survives a reload', async () => {
  const screen = await signedIn('ida', PHONE);
  await typeBelt(screen, 'BC-5', '64', '14');
  await screen.press('survey-save');
  await screen.press('pick-B-410');
  await screen.press('take');
  await screen.press('to-run');

  // A double tap counts once: the second does not reach the next task.
  const first = await taskShown(screen);
  assert.equal(first, 'isolate');
  await screen.doubleTap('run-do');
  await goneOn(screen, 'isolate');
  assert.equal(await taskShown(screen), 'protect');

  // A done task can be opened and undone; then it is current again.
  await screen.press('run-before');
  await screen.matches('screen-run', /Isolate and make safe/);
  await screen.matches('screen-run', /1 of \d+, Prep, done/);
  await screen.press('run-take-back');
  await screen.matches('run-do', /Done: Isolate/);
  await pressDo(screen);
  await goneOn(screen, 'isolate');

  // The list is one tap away, and the way back one more; a reload keeps the place.
  await screen.press('run-list');
  assert.equal(await screen.attribute('check-isolate', 'aria-checked'), 'true');
  await screen.press('to-run');
  assert.equal(await taskShown(screen), 'protect');
  await screen.page.reload({ waitUntil: 'networkidle2' });
  assert.equal(await taskShown(screen), 'protect');
  await screen.matches('run-next', /Next.*Cut/s);
  await screen.matches('run-pace', /back in service .* early/);

  assert.deepEqual(screen.problems, []);
});

test('a pedal or a key does the current task, arrows look around, and a failed reading stays with its remedy', async () => {
  const screen = await signedIn('tomas', WIDE);
  await screen.press('register-JH-2');
  await screen.press('one-at-a-time');
  assert.equal(await taskShown(screen), 'isolate');
  await screen.key('ArrowRight');
  assert.equal(await taskShown(screen), 'protect');
  await screen.matches('run-back-to-current', /Back to: Isolate/);
  await screen.key('Enter');
  assert.equal(await taskShown(screen), 'isolate');
  await sleep(600);
  await screen.key('Space');
  await goneOn(screen, 'isolate');
  await sleep(600);
  await screen.photograph('protect', 'run-do');
  assert.equal(await taskShown(screen), 'former');
  await screen.type('reading-former', 'flat');
  await pressDo(screen);
  await screen.matches('run-step-former', /not a number/);
  await screen.type('reading-former', '0.4');
  await pressDo(screen);
  await screen.matches('verdict-former', /Stop: 0\.4 mm; 0\.1 mm is the most/);
  assert.equal(await taskShown(screen), 'former');
  assert.equal(await screen.value('reading-former'), '0.4');
  await screen.type('reading-former', '0.05');
  await pressDo(screen);
  await goneOn(screen, 'former');
  assert.equal(await taskShown(screen), 'degrease');
  assert.deepEqual(screen.problems, []);
});

test('without signal the run sheet goes on, and entries are sent when signal returns', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('tab-repairs');
  await screen.press('repair-CT-1');
  const first = await taskShown(screen);
  await screen.page.setOfflineMode(true);
  await pressDo(screen);
  await goneOn(screen, first ?? '');
  await screen.see('send-state');
  const second = await taskShown(screen);
  await screen.page.setOfflineMode(false);
  await later(screen, 0);
  await screen.gone('send-state');
  assert.equal(await taskShown(screen), second);
});

test("with reading aloud on, the current step is spoken in the screen's words, and again on demand", async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.page.evaluateOnNewDocument(() => {
    const said: string[] = [];
    Object.assign(globalThis, { said });
    speechSynthesis.speak = ({ text }) => void said.push(text);
  });
  await screen.open('/settings');
  await screen.press('aloud');
  await screen.matches('aloud', /device’s voice/);
  await screen.press('tab-repairs');
  await screen.press('repair-YD-1');
  await screen.see('screen-run');
  await screen.page.reload({ waitUntil: 'networkidle2' });
  await screen.press('say-again');
  const said = await screen.page.evaluate(() => (globalThis as unknown as { said: string[] }).said);
  assert.equal(said.length, 2);
  assert.equal(said[0], said[1]);
  const shown = await screen.text(`run-step-${await taskShown(screen)}`);
  const title = String(said[0]).split('. ')[0] ?? '';
  assert.ok(title.length > 3 && shown.includes(title), `${title} is not on the screen`);
  await screen.open('/settings');
  await screen.press('aloud');
  assert.deepEqual(screen.problems, []);
});
