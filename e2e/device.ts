import { families } from '@kelmot/core';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { setTimeout as sleep } from 'node:timers/promises';
import { typeBelt } from './lib/belt';
import { PHONE, setBack, type Screen } from './lib/browser';
import { Days } from './lib/days';
import { taskShown, doCurrentTask, goneOn, pressDo } from './lib/runner';
import { back, cut, kept, until } from './lib/signal';
import { beside, newScreen, server, signedIn } from './lib/stage';

/** Does the current task, whatever it needs, and returns its name. */
async function doOne(screen: Screen): Promise<string> {
  const task = (await taskShown(screen)) ?? '';
  await doCurrentTask(screen, task, new Days());
  await goneOn(screen, task);
  return task;
}

/** Opens the run sheet of a repair, and waits until it and everything for planning is on the device. */
async function openRun(screen: Screen, id: string): Promise<void> {
  await screen.press('tab-repairs');
  await screen.press(`repair-${id}`);
  await taskShown(screen);
  await kept(screen);
}

const reload = (screen: Screen) => screen.page.reload({ waitUntil: 'load' });

test('the bench opens without any family, from files compressed at build time', async () => {
  const page = await (await fetch(server().base)).text();
  const paths = [...page.matchAll(/<script[^>]* src="([^"]+)"/g)].map(([, at]) => at ?? '');
  const scripts = await Promise.all(
    paths.map((at) => fetch(server().base + at, { headers: { 'accept-encoding': 'br' } })),
  );
  const sent = scripts.map(({ status, headers }) => [status, headers.get('content-encoding')]);
  assert.deepEqual(
    sent,
    scripts.map(() => [200, 'br']),
  );
  const code = (await Promise.all(scripts.map((script) => script.text()))).join('\n');
  assert.match(code, /screen-|bench-/);
  const titles = families().map(({ title }) => title);
  assert.deepEqual(
    titles.filter((title) => code.includes(title)),
    [],
  );
});

test('a repair is started, planned and worked on without network, reloads included', async () => {
  const screen = await signedIn('ida', PHONE);
  await kept(screen);
  await cut(screen);
  await reload(screen);
  await typeBelt(screen, 'BC-1', '64', '14');
  await screen.press('survey-save');
  await screen.press('pick-B-410');
  await screen.press('take');
  await screen.press('to-run');
  await screen.matches('no-signal', /No signal\. 2 kept/);
  assert.equal(await taskShown(screen), 'isolate');
  await pressDo(screen);
  await goneOn(screen, 'isolate');
  await reload(screen);
  assert.equal(await taskShown(screen), 'protect');

  // It is in the lists at once, and its clock runs there.
  const path = new URL(screen.page.url()).pathname;
  await screen.open('/repairs');
  await screen.see('repair-BC-1');
  await screen.open(path);
  await doOne(screen);
  const next = await taskShown(screen);
  assert.match(await screen.text('no-signal'), /4 kept/);

  await back(screen);
  await reload(screen);
  assert.equal(await taskShown(screen), next);
  assert.deepEqual(screen.problems, []);
});

test('a survey saved without signal shows as saved at once, and is judged', async () => {
  const screen = await signedIn('tomas', PHONE);
  await screen.press('tab-repairs');
  await screen.press('repair-P-207');
  await screen.see('screen-match');
  await kept(screen);
  const survey = new URL(screen.page.url()).pathname.replace('/match', '/survey');
  await screen.open(survey);
  await cut(screen);
  const before = await screen.value('service.mediumC');
  await screen.type('service.mediumC', '71');
  await screen.press('survey-save');
  await screen.see('screen-match');
  await reload(screen);
  await screen.see('screen-match');
  await screen.open(survey);
  assert.equal(await screen.value('service.mediumC'), '71');
  assert.notEqual(before, '71');
  await back(screen);
  await reload(screen);
  assert.equal(await screen.value('service.mediumC'), '71');
  assert.deepEqual(screen.problems, []);
});

test('a repair that is not on the device yet says so, and is loaded when signal returns', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('tab-repairs');
  await screen.see('repair-FL-06');
  await cut(screen);
  await screen.press('repair-FL-06');
  await screen.says('This is not on the device yet. It is loaded when signal returns.');
  await cut(screen, false);
  await taskShown(screen);
  assert.deepEqual(screen.problems, []);
});

test("two people share a phone: one person's entries are sent only as theirs, when they sign in", async () => {
  const screen = await signedIn('ida', PHONE);
  await openRun(screen, 'FL-06');
  await cut(screen);
  await doOne(screen);
  await screen.open('/settings');
  await screen.press('sign-out');
  await cut(screen, false);
  await reload(screen);
  await screen.press('demo-tomas');
  await screen.matches('of-others', /1 of Ida .* waits here, and is sent when they sign in/);
  await sleep(3000);
  await screen.see('of-others');
  await screen.open('/settings');
  await screen.press('sign-out');
  await screen.press('demo-ida');
  await screen.see('new-repair');
  await screen.gone('of-others');
  await screen.gone('send-state');
  await screen.press('tab-repairs');
  await screen.press('repair-FL-06');
  await screen.press('run-before');
  await screen.matches('screen-run', /done/);
  assert.deepEqual(screen.problems, []);
});

/** The names of demo people, by which a device knows them. */
const namesOf = (screen: Screen, ...usernames: string[]) =>
  screen.page.evaluate(async (asked) => {
    const people = (await (await fetch('/api/demo/users')).json()) as {
      username: string;
      name: string;
    }[];
    return asked.map((a) => people.find((u) => u.username === a)?.name ?? '');
  }, usernames);

/** The signed-in person sets a code on this device. */
async function setCode(screen: Screen, code: string): Promise<void> {
  await screen.open('/settings');
  await screen.page.locator('[aria-label="Set your code for this device"]').click();
  await screen.type('own-code', code);
  await screen.type('code-password', 'quillmere-demo');
  await screen.press('set-code');
}

test('two people hand a phone over by two taps and a short code, and an ended session asks for the code', async () => {
  const screen = await signedIn('ida', PHONE);
  await setCode(screen, '1234');
  await screen.says('counts up or down');
  await screen.type('own-code', '4071');
  await screen.press('set-code');
  const [ida, tomas] = await namesOf(screen, 'ida', 'tomas');
  await screen.see(`person-${ida}`);
  await screen.press('sign-out');
  await screen.see(`person-${ida}`);
  await screen.press('demo-tomas');
  await screen.see('new-repair');
  await setCode(screen, '9902');
  await screen.see(`person-${tomas}`);

  // Tap the name, tap the person, type the code.
  await screen.open('/');
  await screen.press('settings');
  await screen.press(`person-${ida}`);
  await screen.type('code', '1739');
  await screen.press('come-in');
  await screen.says('Tries left: 4');
  await screen.type('code', '4071');
  await screen.press('come-in');
  await screen.matches('settings', new RegExp((ida ?? '').split(' ')[0] ?? '-'));

  // Her session ends during work: the code is enough, and queued commands are sent.
  await screen.press('tab-repairs');
  await screen.press('repair-FL-06');
  await taskShown(screen);
  const devtools = await screen.page.createCDPSession();
  const { origin } = new URL(screen.page.url());
  await devtools.send('Network.deleteCookies', { name: 'kelmot.session_token', url: origin });
  await doOne(screen);
  await screen.matches('sign-in-again', /type your code/);
  await screen.type('password-again', '4071');
  await screen.press('go-on');
  await screen.gone('sign-in-again');
  await screen.gone('send-state');
  assert.deepEqual(screen.problems, []);
});

test('two people hand a phone over without signal: entries under the other name are sent after their code', async () => {
  const screen = await signedIn('tomas', PHONE);
  const [tomas] = await namesOf(screen, 'tomas');
  await setCode(screen, '9902');
  await screen.see(`person-${tomas}`);
  await screen.press('sign-out');
  await screen.press('demo-ida');
  await openRun(screen, 'FL-06');
  const { pathname } = new URL(screen.page.url());
  await screen.open('/settings');
  await screen.see(`person-${tomas}`);
  await cut(screen);
  await screen.see('no-signal');

  await screen.press(`person-${tomas}`);
  await screen.press('take-in-hand');
  await screen.matches(
    'in-hand',
    new RegExp(`${tomas} works on this device and is not confirmed yet`),
  );
  await screen.open(pathname);
  await doOne(screen);
  await reload(screen);
  await screen.matches('in-hand', /when signal returns/);

  // Her session continues: his commands are not sent with it.
  await cut(screen, false);
  await reload(screen);
  await screen.matches('in-hand', /Kelmot asks for the code now/);
  await sleep(3000);
  await screen.see('send-state');
  await screen.press('in-hand-go');
  await screen.matches('sign-in-again', new RegExp(`${tomas}, type your code.*1 unsent entry`));
  await screen.key('Escape');
  await screen.gone('sign-in-again');
  await screen.press('in-hand-go');
  await screen.type('password-again', '9902');
  await screen.press('go-on');
  await screen.gone('in-hand');
  await screen.gone('send-state');
  const by = await screen.page.evaluate(async (path) => {
    const view = (await (await fetch(`/api/repairs/${path.split('/')[2]}`)).json()) as Record<
      'checks' | 'readings',
      { by: string }[]
    >;
    return [...view.checks, ...view.readings].map((record) => record.by);
  }, pathname);
  assert.ok(by.includes(tomas ?? '-'), by.join(', '));
  assert.deepEqual(screen.problems, []);
});

test('two tabs share one outbox and one set of drafts: neither loses what is typed in either', async () => {
  const one = await signedIn('ida', PHONE);
  const two = await beside(one);
  await two.open('/');
  await typeBelt(two, 'BC-5', '50', '12');
  await one.page.bringToFront();
  await one.open('/new');
  assert.equal(await one.value('window.downMin'), '12 h');
  await one.type('readings.airC', '21');
  await two.page.bringToFront();
  await two.page.waitForFunction(
    () =>
      (document.querySelector('[data-testid="readings.airC"]') as HTMLInputElement | null)
        ?.value === '21',
  );
  await two.type('readings.rhPct', '44');
  await one.page.bringToFront();
  await reload(one);
  assert.deepEqual(
    await Promise.all(
      ['window.downMin', 'readings.airC', 'readings.rhPct'].map((id) => one.value(id)),
    ),
    ['12 h', '21', '44'],
  );
  assert.deepEqual([one.problems, two.problems], [[], []]);
});

test('a session that ends during work asks for the password on the same screen, and the outbox is sent', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('tab-repairs');
  await screen.press('repair-FL-06');
  await taskShown(screen);
  const endSession = async () => {
    const devtools = await screen.page.createCDPSession();
    await devtools.send('Network.clearBrowserCookies');
  };
  await endSession();
  const first = await doOne(screen);
  await screen.matches('sign-in-again', /1 unsent entry/);
  await screen.type('password-again', 'wrong-word-altogether');
  await screen.press('go-on');
  await screen.matches('sign-in-again', /wrong/);
  await screen.type('password-again', 'quillmere-demo');
  await screen.press('go-on');
  await screen.gone('sign-in-again');
  await screen.gone('send-state');
  const second = await taskShown(screen);
  assert.notEqual(second, first);

  // When another person takes over the phone, queued commands stay with their author.
  await endSession();
  await doOne(screen);
  await screen.see('sign-in-again');
  await screen.press('somebody-else');
  await screen.press('demo-tomas');
  await screen.matches('of-others', /1 of Ida/);
  assert.deepEqual(screen.problems, []);
});

test('a wrong clock is reported, and every time is correct nevertheless', async () => {
  const screen = await newScreen(PHONE);
  await setBack(screen.page, 3, false);
  await screen.open('/');
  await screen.press('demo-ida');
  await screen.matches('wrong-clock', /3 h behind/);
  await screen.press('tab-repairs');
  await screen.press('repair-FL-06');
  await doOne(screen);
  await screen.gone('send-state');
  const path = new URL(screen.page.url()).pathname.split('/')[2] ?? '';
  const all = await screen.page.evaluate(async (id) => {
    const view = (await (await fetch(`/api/repairs/${id}`)).json()) as {
      checks: { at: string; receivedAt: string }[];
      readings: { takenAt: string; receivedAt: string }[];
    };
    return [
      ...view.checks.map((c) => ({ at: c.at, had: c.receivedAt })),
      ...view.readings.map((r) => ({ at: r.takenAt, had: r.receivedAt })),
    ];
  }, path);
  const last = all.sort((p, q) => q.had.localeCompare(p.had))[0];
  const apart = Date.parse(last?.had ?? '') - Date.parse(last?.at ?? '');
  assert.ok(Math.abs(apart) < 60_000, `${apart} ms apart`);
  assert.deepEqual(screen.problems, []);
});

test('the server is killed during sending: everything arrives once, in order', async () => {
  const screen = await signedIn('ida', PHONE);
  await openRun(screen, 'FL-06');
  await cut(screen);
  const done = [await doOne(screen), await doOne(screen), await doOne(screen)];
  const restarted = server().restart();
  await cut(screen, false);
  await restarted;
  await back(screen);
  const id = new URL(screen.page.url()).pathname.split('/')[2] ?? '';
  const stored = await screen.page.evaluate(async (repair) => {
    const view = (await (await fetch(`/api/repairs/${repair}`)).json()) as {
      checks: { stepId: string; receivedAt: string }[];
      readings: { stepId: string; receivedAt: string }[];
    };
    return [...view.checks, ...view.readings]
      .sort((p, q) => p.receivedAt.localeCompare(q.receivedAt))
      .map((record) => record.stepId);
  }, id);
  assert.deepEqual(stored.slice(-done.length), done);
  assert.equal(new Set(stored).size, stored.length, 'none of it twice');
});

test('a closed repair that is pinned is listed under Pinned and opens without signal, until it is unpinned', async () => {
  const screen = await signedIn('ida', PHONE);
  await kept(screen);
  await screen.open('/repairs');
  await screen.press('filter-closed');
  await screen.type('repairs-search', 'P-014');
  await screen.press('repair-P-014');
  await screen.press('pin');
  await until(screen, 'state', (keys) => keys.some((key) => key.startsWith('settings/pinned/')));
  await cut(screen);
  await screen.open('/repairs');
  await screen.press('filter-pinned');
  await screen.press('repair-P-014');
  assert.equal(await screen.attribute('pin', 'aria-checked'), 'true');
  await screen.press('pin');
  await screen.open('/repairs');
  await screen.press('filter-pinned');
  await screen.gone('repair-P-014');
  await screen.says('pin it at the end of any of its stations');
  assert.deepEqual(screen.problems, []);
});
