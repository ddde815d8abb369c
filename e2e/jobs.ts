import assert from 'node:assert/strict';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test } from 'node:test';
import { setTimeout as sleep } from 'node:timers/promises';
import { later, PHONE, WIDE, type Screen } from './lib/browser';
import { signedAfterwards, signedIn } from './lib/stage';
import { typeBelt } from './lib/belt';

/** Downloads go to their own folder; returns the content of the file that a press makes. */
async function downloaded(screen: Screen, press: string, ending: string): Promise<Buffer> {
  const folder = mkdtempSync(join(tmpdir(), 'kelmot-down-'));
  const cdp = await screen.page.createCDPSession();
  await cdp.send('Browser.setDownloadBehavior', {
    behavior: 'allow',
    downloadPath: folder,
    browserContextId: screen.page.browserContext().id,
  });
  await screen.press(press);
  try {
    for (let i = 0; i < 100; i++) {
      const name = readdirSync(folder).find((f) => f.endsWith(ending));
      const file = name ? readFileSync(join(folder, name)) : null;
      // The file exists before its content.
      if (file && file.length > 0) return file;
      await sleep(200);
    }
    throw new Error(`${press} made no ${ending}`);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

test('a belt is cut, primed, poured from a whole kit and run again, hold by hold, on a phone', async () => {
  const screen = await signedIn('ida', PHONE, 60);
  await typeBelt(screen, 'BC-7', '64', '14');
  await screen.press('survey-save');
  await screen.press('pick-B-410');
  await screen.press('take');

  await screen.tickAll();
  await screen.type('gate-airC', '20');
  await screen.type('gate-rhPct', '50');
  await screen.type('gate-surfaceC', '20');
  await screen.press('record-gate');
  await screen.says('Go. The surface is');
  await screen.moveOn('mix');

  // The conditioner is a round of its own, and the rubber waits until it is tacky.
  await screen.matches('screen-mix', /Mix: Conditioner.*A-915/s);
  await screen.tickAll();
  await screen.press('batch-start');
  await screen.see('batch-clock');
  await sleep(600);
  await screen.press('batch-placed');
  await screen.gone('batch-clock');
  await screen.matches('screen-mix', /Mix: Rubber.*B-410/s);
  await screen.matches('supply-B-410', /B-410.*400\s+ml/s);
  // The step before the rubber is at Build: the main action opens it.
  await screen.matches('to-run', /to do: Condition/);
  await later(screen, 59);
  await screen.press('station-build');
  await screen.matches('round-strips', /Conditioner.*A-915.*B-410/s);
  await screen.tickAll();
  await screen.press('station-mix');
  await screen.tickAll();
  await screen.press('batch-start');
  await screen.see('batch-clock');
  await sleep(600);
  await screen.press('batch-placed');
  await screen.gone('batch-clock');
  await screen.moveOn('build');
  await screen.matches('step-pour.main', /from the bottom/);
  await screen.tickAll();
  await screen.moveOn('cure');
  // The job's own clock shows the time now: the chance was for the plan.
  await screen.matches('outlook', /^If heated/);
  await screen.tickAll();
  await screen.moveOn('accept');
  await later(screen, 40);
  await screen.tickAll();
  await screen.type('reading-hardness', '72 73 74');
  await screen.press('record-hardness');
  await signedAfterwards(screen, 'Runs true, no edge lifts.');
  assert.deepEqual(screen.problems, []);
});

test('the papers of a job are printed and sent, and its plan is read back into a repair', async () => {
  const screen = await signedIn('tomas', WIDE);
  await screen.press('register-FL-06');
  await screen.press('to-papers');
  await screen.matches('papers', /The job.*Material in all.*Labour/s);
  const pdf = await downloaded(screen, 'paper-a4', '.pdf');
  assert.equal(pdf.subarray(0, 5).toString(), '%PDF-');
  assert.match((await downloaded(screen, 'paper-csv', '.csv')).toString(), /C-620,system/);
  assert.match((await downloaded(screen, 'paper-ics', '.ics')).toString(), /^BEGIN:VCALENDAR/);
  const json = await downloaded(screen, 'paper-json', '.json');
  assert.equal((JSON.parse(json.toString()) as { format: string }).format, 'kelmot-plan');
  const record = await downloaded(screen, 'paper-record', '.pdf');
  assert.equal(record.subarray(0, 5).toString(), '%PDF-');
  const list = await downloaded(screen, 'paper-record-csv', '-record.csv');
  assert.match(list.toString(), /^at,what,found,limit,mark,by,plan/);
  const whole = await downloaded(screen, 'paper-record-json', '-record.json');
  assert.equal((JSON.parse(whole.toString()) as { tag: string }).tag, 'FL-06');
  await screen.press('figure-cost.total');
  await screen.says('Labour');

  const folder = mkdtempSync(join(tmpdir(), 'kelmot-plan-'));
  const choose = async (name: string, text: string) => {
    const path = join(folder, name);
    writeFileSync(path, text);
    const [chooser] = await Promise.all([
      screen.page.waitForFileChooser(),
      screen.press('from-plan-file'),
    ]);
    await chooser.accept([path]);
  };
  await screen.open('/new');
  await choose('wrong.json', '{"format":"kelmot-plan","version":1}');
  await screen.matches('plan-file-said', /version 1.*reads version 2/);
  await choose('plan.json', json.toString());
  await screen.matches('step-chase', /Cut the crack open/);
  rmSync(folder, { recursive: true, force: true });
  assert.deepEqual(screen.problems, []);
});

test('a changed survey shows the change of the plan, and a picture is stored with its step', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('tab-repairs');
  await screen.press('repair-YD-1');
  await screen.press('run-list');
  await screen.see('windows');
  await screen.photograph('remove-old');
  await screen.matches('verdict-remove-old', /How the old repair failed\./);
  await screen.page.waitForSelector('[data-testid="step-remove-old"] img', { timeout: 60_000 });

  await screen.press('station-survey');
  await screen.type('readings.surfaceC', '24');
  await screen.matches('replan', /became .*: it is 16 °C warmer\./s);
  await screen.type('damages.0.lengthMm', '28 m');
  await screen.matches('replan', /packs? became.*length of this run is 28/s);
  await screen.press('survey-revert');
  await screen.gone('replan');
  assert.deepEqual(screen.problems, []);
});

test('packs are added by lot and taken, and what a plan takes leaves the shelf', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('tab-store');
  await screen.press('card-B-420');
  await screen.press('receive-B-420');
  await screen.matches('shelf-said-B-420', /Type the lot/);
  await screen.type('lot-B-420', 'NEW-7');
  await screen.type('day-B-420', 'soon');
  await screen.press('receive-B-420');
  await screen.matches('shelf-said-B-420', /as 2027-05-31/);
  assert.equal(await screen.value('lot-B-420'), 'NEW-7');
  await screen.type('day-B-420', '2031-05-31');
  await screen.type('count-B-420', '4');
  await screen.press('receive-B-420');
  await screen.matches('shelf-B-420', /4 × .*Lot NEW-7, good to 2031-05-31/s);
  await screen.press('take-NEW-7');
  await screen.matches('shelf-B-420', /3 × .*Lot NEW-7/s);
  assert.deepEqual(screen.problems, []);
});
