import assert from 'node:assert/strict';
import { test } from 'node:test';
import { PHONE, type Screen } from './lib/browser';
import { signedIn } from './lib/stage';

/** Lets a simulated instrument behave so. */
async function behaves(screen: Screen, id: string, how: string): Promise<void> {
  await screen.open('/settings');
  await screen.press(`misbehaves-${id}-${how}`);
  assert.equal(await screen.attribute(`misbehaves-${id}-${how}`, 'aria-checked'), 'true');
}

test('a gate is read from an instrument; one that misbehaves is noticed, said, and not to be taken from', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('tab-repairs');
  await screen.press('repair-FL-06');
  await screen.see('screen-run');
  const prep = new URL(screen.page.url()).pathname.replace('/run', '/prep');
  const read = async () => {
    await screen.open(prep);
    await screen.press('read-hygrometer');
  };
  const noticed: Record<string, RegExp> = {
    'wrong-unit': /reads like °F/,
    'drop-out': /Nothing comes from it any more/,
    stuck: /it is stuck/,
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
      { timeout: 45_000 },
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
  await screen.press('story').catch(() => undefined);
  await screen.says('Read by Surface thermo-hygrometer, simulated.');
  assert.deepEqual(screen.problems, []);
});
