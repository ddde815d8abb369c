import assert from 'node:assert/strict';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test } from 'node:test';
import { toFile } from 'qrcode';
import { PHONE } from './lib/browser';
import { behaves, signedIn } from './lib/stage';

test('a gate is read from an instrument; a faulty one is detected, reported, and cannot be used', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('tab-repairs');
  await screen.press('repair-FL-06');
  await screen.see('screen-run');
  const prep = new URL(screen.page.url()).pathname.replace('/run', '/prep');
  await screen.open(prep.replace('/prep', '/cure'));
  await screen.matches('outlook', /chance of being ready/);
  const read = async () => {
    await screen.open(prep);
    await screen.press('read-hygrometer');
  };
  const noticed: Record<string, RegExp> = {
    'wrong-unit': /value looks like °F/,
    'drop-out': /Connection lost/,
    drift: /keeps (rising|falling).*it drifts/,
  };
  for (const [how, says] of Object.entries(noticed)) {
    await behaves(screen, 'hygrometer', how);
    await read();
    await screen.see('instrument-state');
    await screen.page.waitForFunction(
      (source) =>
        new RegExp(source, 's').test(
          document.querySelector('[data-testid="instrument-state"]')?.textContent ?? '',
        ),
      { timeout: 60_000 },
      says.source,
    );
    assert.equal(await screen.attribute('instrument-take', 'aria-disabled'), 'true');
    assert.equal(await screen.attribute('instrument-state', 'role'), 'alert');
  }
  await behaves(screen, 'hygrometer', 'well');
  await read();
  await screen.matches('instrument-state', /Steady.*Go/);
  await screen.press('instrument-take');
  await screen.gone('instrument');
  assert.match(await screen.value('gate-airC'), /^\d+(\.\d+)?$/);
  await screen.press('record-gate');
  await screen.gone('send-state');
  await screen.open(prep.replace('/prep', '/accept'));
  await screen.press('story-open');
  await screen.says('Read by Surface thermo-hygrometer, simulated.');
  assert.deepEqual(screen.problems, []);
});

test('a cure is read from its logger, from a file and by hand: its clocks move everywhere, with the reason', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('tab-repairs');
  await screen.see('repair-SU-1');
  const planned = await screen.text('repair-SU-1');
  await screen.press('repair-SU-1');
  await screen.page.waitForFunction(() => location.pathname.startsWith('/repair/'));
  const cure = new URL(screen.page.url()).pathname.replace(/[^/]+$/, 'cure');
  const noticed: Record<string, RegExp> = {
    'wrong-unit': /value looks like °F/,
    'drop-out': /No readings for/,
    stuck: /it is stuck/,
    drift: /drifted apart/,
  };
  for (const [how, says] of Object.entries(noticed)) {
    await behaves(screen, 'logger', how);
    await screen.open(cure);
    await screen.press('read-logger');
    await screen.matches('instrument-state', says);
    assert.equal(await screen.attribute('instrument-take', 'aria-disabled'), 'true');
  }
  await behaves(screen, 'logger', 'well');
  await screen.open(cure);
  await screen.press('read-logger');
  await screen.matches('instrument-state', /readings over/);
  await screen.press('instrument-take');
  await screen.matches('cure-learnt', /(late|early)/);
  await screen.see('cure-trace');
  const logged = await screen.text('cure-learnt');

  await screen.press('cure-more');
  const folder = mkdtempSync(join(tmpdir(), 'kelmot-log-'));
  const take = async (name: string, rows: string) => {
    writeFileSync(join(folder, name), rows);
    const [chooser] = await Promise.all([
      screen.page.waitForFileChooser(),
      screen.press('log-file'),
    ]);
    await chooser.accept([join(folder, name)]);
  };
  await take('wrong.csv', 'min,°C\n0,4\n30,cold\n');
  await screen.matches('log-wrong', /^Row 3: “cold” is not a temperature/);
  await take('spot.csv', 'min,°C\n0,3\n30,2.5\n60,3\n');
  await screen.matches('instrument', /2.5 °C to 3 °C over 1 h/);
  await screen.press('instrument-take');
  rmSync(folder, { recursive: true, force: true });
  await screen.press('warmer-heater');
  await screen.type('cure-temp', '400');
  await screen.press('cure-temp-record');
  await screen.says('Must be −60 °C to 250 °C.');
  await screen.type('cure-temp', '5');
  await screen.press('cure-temp-record');
  await screen.matches('cure-learnt', / late.*5 °C at .*assumed to continue/);
  assert.notEqual(await screen.text('cure-learnt'), logged);
  await screen.gone('send-state');
  const learned = await screen.text('cure-learnt');
  await screen.open(cure);
  await screen.matches('cure-learnt', / late.*5 °C at/);
  assert.equal((await screen.text('cure-learnt')).split('\n')[0], learned.split('\n')[0]);
  await screen.open(cure.replace('/cure', '/accept'));
  await screen.press('story-open');
  await screen.says('Read by Cure logger, simulated.');
  await screen.says('Switched on.');
  await screen.open('/repairs');
  await screen.see('repair-SU-1');
  assert.notEqual(await screen.text('repair-SU-1'), planned);
  assert.deepEqual(screen.problems, []);
});

test('the lot of a pack is scanned by camera or from a picture, with its date; an unreadable one is reported', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('tab-repairs');
  await screen.press('repair-P-201');
  await screen.page.waitForFunction(() => location.pathname.startsWith('/repair/'));
  await screen.open(new URL(screen.page.url()).pathname.replace(/[^/]+$/, 'mix'));
  const { origin } = new URL(screen.page.url());
  const camera = (may: boolean) =>
    screen.page.browserContext().overridePermissions(origin, may ? ['camera'] : []);
  await camera(true);
  await screen.press('scan-lot');
  await screen.reads('lot', 'F-12');
  await screen.says('F-12 is good to 31 Jan 2099.');
  await screen.gone('viewfinder');
  await screen.fill([['lot', '']]);
  await camera(false);
  await screen.press('scan-lot');
  await screen.says('No camera, or no permission');
  const folder = mkdtempSync(join(tmpdir(), 'kelmot-code-'));
  const scan = async (name: string) => {
    const [chooser] = await Promise.all([
      screen.page.waitForFileChooser(),
      screen.press('scan-picture'),
    ]);
    await chooser.accept([join(folder, name)]);
  };
  await toFile(join(folder, 'pack.png'), '(01)09506000134352(17)990131(10)K-77', { width: 500 });
  await scan('pack.png');
  await screen.reads('lot', 'K-77');
  await screen.gone('viewfinder');
  await screen.says('K-77 is good to 31 Jan 2099.');
  writeFileSync(join(folder, 'none.png'), await screen.page.screenshot());
  await screen.press('scan-lot');
  await scan('none.png');
  await screen.says('No code found.');
  await screen.reads('lot', 'K-77');
  rmSync(folder, { recursive: true, force: true });
  assert.deepEqual(screen.problems, []);
});
