import assert from 'node:assert/strict';
import { test } from 'node:test';
import { typeBelt } from './lib/belt';
import { PHONE, WIDE, type Screen } from './lib/browser';
import { Days } from './lib/days';
import { taskShown, doCurrentTask, goneOn, pressDo } from './lib/runner';
import { signedIn } from './lib/stage';

const nameOf = (screen: Screen): Promise<string> =>
  screen.page.evaluate(
    async () => ((await (await fetch('/api/me')).json()) as { name: string }).name,
  );

test('two people on one repair see each other, their steps and their work; nothing moves under a thumb', async () => {
  const ida = await signedIn('ida', PHONE);
  await typeBelt(ida, 'BC-7', '60', '14');
  await ida.press('survey-save');
  await ida.press('pick-B-410');
  await ida.press('take');
  await ida.press('to-run');
  await ida.gone('send-state');
  const path = new URL(ida.page.url()).pathname;
  const tomas = await signedIn('tomas', WIDE);
  await tomas.open(path);
  const [I, T] = [await nameOf(ida), await nameOf(tomas)];
  await ida.see(`present-${T}`);
  await tomas.see(`present-${I}`);
  await ida.matches('at-isolate', new RegExp(`${T} is at this step too`));

  // Ida does it; Tomas, who shows the same task, sees that, and stays where he was.
  await pressDo(ida);
  await Promise.all([
    tomas.matches('ticked-isolate', new RegExp(`Done .*${I}`)),
    goneOn(ida, 'isolate'),
  ]);
  assert.equal(await taskShown(tomas), 'isolate');
  await tomas.press('run-back-to-current');
  await goneOn(tomas, 'isolate');
  // A task with more than a tick is done by one of them.
  while (!(await ida.text('run-do')).startsWith('Done')) {
    const task = (await taskShown(ida)) ?? '';
    await doCurrentTask(ida, task, new Days());
    await goneOn(ida, task);
    await tomas.press('run-back-to-current');
  }
  const next = await taskShown(ida);
  await tomas.see(`run-step-${next}`);

  // Both do the same task while one has no signal: afterwards both see that.
  await tomas.page.setOfflineMode(true);
  await tomas.gone(`present-${I}`);
  await pressDo(tomas);
  await goneOn(tomas, String(next));
  await pressDo(ida);
  await goneOn(ida, String(next));
  await tomas.page.setOfflineMode(false);
  await tomas.gone('no-signal');
  const twice = new RegExp(`Done twice: .*(${I}|${T}).*(${I}|${T})`);
  for (const screen of [ida, tomas]) {
    await screen.press('run-before');
    await screen.matches(`ticked-${next}`, twice);
  }

  // The next person reads the state, from the record.
  await ida.press('run-handover');
  await ida.matches(
    'handover-stands',
    /Last done: .*, (Ida|Tomas).*\d+ of \d+ done\. Next, at Prep/,
  );
  await ida.press('handover-go-on');
  await ida.see('screen-run');

  // A person who leaves is no longer shown.
  await tomas.open('/');
  await ida.gone(`present-${T}`);
  assert.deepEqual([...ida.problems, ...tomas.problems], []);
});
