import assert from 'node:assert/strict';
import { test } from 'node:test';
import { demoUsers } from '@kelmot/demo';
import { setTimeout as sleep } from 'node:timers/promises';
import { later, PHONE, setPresent, WIDE, type Screen } from './lib/browser';
import { newScreen, server, signedAfterwards, signedIn } from './lib/stage';

/** Types the survey of a pocket that R-210 fits. */
async function typeSurvey(screen: Screen): Promise<void> {
  await screen.type('asset-search', 'VP-2');
  await screen.press('asset-VP-2');
  await screen.press('shape-0-pocket');
  await screen.fill([
    ['damages.0.diameterMm', '6 in'],
    ['damages.0.depthMm', '11mm'],
    ['damages.0.wallMm', '26'],
    ['window.downMin', '30 h'],
    ['readings.airC', '20'],
    ['readings.rhPct', '50'],
    ['readings.surfaceC', '18,5'],
  ]);
  await screen.press('site.tools-blast');
}

test('a technician walks one repair through the seven stations on a phone', async () => {
  const screen = await signedIn('ida', PHONE, 48);
  await screen.press('new-repair');
  await typeSurvey(screen);
  assert.match(
    (await screen.attribute('section', 'aria-label')) ?? '',
    /152\.4 mm|152 mm across, 11 mm deep, wall 26 mm, 15 mm left/,
  );

  // Typed text survives a reload.
  await screen.page.reload({ waitUntil: 'networkidle2' });
  assert.equal(await screen.value('damages.0.diameterMm'), '6 in');
  await screen.press('survey-save');

  await screen.see('match-R-210');
  await screen.matches('match-R-210', /Fits/);
  await screen.matches('match-R-215', /Fits[\s\S]*It is built in 2 coats/);
  await screen.matches('match-R-230', /Does not fit/);
  await screen.press('figure-R-210.rule.thickness');
  await screen.says('Can it be built this thick at this slope?');
  await screen.press('close-working');
  await screen.gone('working');
  await screen.press('intent-stopgap');
  await screen.press('intent-lasting');
  await screen.press('pick-R-210');
  await screen.press('take');

  await screen.see('step-isolate');
  await screen.see('to-run');
  await screen.tickAll();
  await screen.type('reading-open-up', '1');
  await screen.press('record-open-up');
  await screen.says('Stop: 1 mm; 3 mm is the least.');
  await screen.type('reading-open-up', '4');
  await screen.press('record-open-up');
  await screen.type('reading-grade', '95');
  await screen.press('record-grade');

  // The gate stops on a wet day and opens on a dry one.
  await screen.type('gate-airC', '20');
  await screen.type('gate-rhPct', '84');
  await screen.type('gate-surfaceC', '18');
  await screen.press('record-gate');
  await screen.says('above dew point; it needs 3');
  await screen.see('to-run');
  await screen.type('gate-rhPct', '50');
  await screen.press('record-gate');
  await screen.says('Go. Steel is');
  // The release agent dries before mixing.
  await screen.press('start-release-dry');
  await screen.matches('to-run', /Run, \d+ to do: Let the release dry/);
  await later(screen, 47);
  await screen.moveOn('mix');

  // Every figure shows its working.
  await screen.press('figure-round.main.total');
  await screen.says('volume of the dish');
  await screen.says('To change it, change');
  await screen.press('close-working');
  await screen.gone('working');

  await screen.tickAll();
  const target = async (id: string) => Number((await screen.text(id)).replace(/[^\d.]/g, ''));
  for (let batch = 1; ; batch++) {
    await screen.see('weigh-a');
    await screen.type('weigh-a', String(await target('figure-round.main.aG')));
    await screen.type('weigh-b', String((await target('figure-round.main.bG')) * 0.8));
    await screen.matches('ratio-verdict', /Wrong ratio\. Hardener .* short.* Add .* g hardener/);
    assert.equal(await screen.attribute('batch-start', 'aria-disabled'), 'true');
    await screen.type('weigh-b', String(await target('figure-round.main.bG')));
    await screen.matches('ratio-verdict', /^Ratio OK\./);
    await screen.press('batch-start');
    await screen.see('batch-clock');
    await sleep(600);
    await screen.press('batch-placed');
    await screen.gone('batch-clock');
    const more = await screen.page.$('[data-testid="weigh-a"]');
    if (!more) break;
    assert.ok(batch < 9, 'batches end');
  }
  await screen.moveOn('build');
  await screen.tickAll();
  await screen.moveOn('cure');
  await screen.says('Needed: ');
  await screen.tickAll();
  await screen.moveOn('accept');
  await screen.see('to-run');

  // The phone is closed, the server restarts; two days later the repair is still there, cured.
  const address = screen.page.url();
  await screen.page.goto('about:blank');
  await server().restart();
  await setPresent(screen.page);
  await screen.page.goto(address, { waitUntil: 'networkidle2' });
  await screen.see('screen-accept');
  await screen.tickAll();
  await screen.type('reading-hardness', '70 86 87');
  await screen.press('record-hardness');
  await screen.says('Stop: lowest 70; it needs 84.');
  await screen.type('reading-hardness', '86 87 88');
  await screen.press('record-hardness');
  await screen.says('Lowest 86; it needs 84.');
  await signedAfterwards(screen, 'Flush, one sound, hard all over.');
  await screen.see('review-look');
  await screen.press('back');

  await screen.press('tab-repairs');
  await screen.press('filter-closed');
  await screen.type('repairs-search', 'VP-2');
  await screen.see('repair-VP-2');
  await screen.says('Closed');
  assert.deepEqual(screen.problems, []);
});

test('bad input is reported at its field with its range, and nothing typed is lost', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('new-repair');
  await screen.press('asset-new');
  await screen.type('asset.tag', 'Z-9');
  await screen.press('shape-0-seat');
  await screen.type('damages.0.finishedDiameterMm', '-80');
  await screen.type('damages.0.wornDiameterMm', '8 kg');
  await screen.type('readings.rhPct', '1000000');
  await screen.press('survey-save');
  await screen.says('Too small: 10 mm is the least, 2000 mm the most.');
  await screen.says('“kg” is not a unit here');
  await screen.says('Too big: 100 % is the most, 1 % the least.');
  await screen.says('Choose one.');
  assert.equal(await screen.value('damages.0.wornDiameterMm'), '8 kg');
  await screen.press('back');
  await screen.press('new-repair');
  assert.equal(
    await screen.value('damages.0.finishedDiameterMm'),
    '-80',
    'leaving and coming back keeps it',
  );
  assert.deepEqual(screen.problems, []);
});

test('without signal a tick waits on the device, survives a reload, and is sent when signal returns', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('tab-repairs');
  await screen.press('repair-P-031');
  await screen.press('run-list');
  await screen.see('check-isolate');
  await screen.page.setOfflineMode(true);
  await screen.press('check-isolate');
  assert.equal(await screen.attribute('check-isolate', 'aria-checked'), 'true');
  await screen.see('send-state');
  await screen.page.setOfflineMode(false);
  await screen.page.reload({ waitUntil: 'networkidle2' });
  await screen.gone('send-state');
  assert.equal(await screen.attribute('check-isolate', 'aria-checked'), 'true');
});

test('two people change one survey: the second sees both states and decides', async () => {
  const ida = await signedIn('ida', PHONE);
  const tomas = await signedIn('tomas', PHONE);
  for (const s of [ida, tomas]) {
    await s.press('tab-repairs');
    await s.press('repair-GB-2');
    await s.press('station-survey');
    await s.see('window.downMin');
  }
  // She typed something, so her draft stays; otherwise the other survey would simply be shown.
  await ida.type('readings.surfaceC', '21');
  await tomas.type('window.downMin', '40 h');
  await tomas.press('survey-save');
  await tomas.see('take');
  await tomas.gone('send-state');
  await ida.matches('survey-moved', /Another person changed this survey/);
  await ida.press('survey-save');
  await ida.see('refused');
  await ida.matches('refused', /Someone changed this repair/);
  await ida.matches('refused', /Down for: 2400 stored, 2160 yours/);
  await ida.press('throw-away');
  await ida.gone('refused');
  // A person who typed nothing sees the other's saved survey at once.
  await ida.press('station-survey');
  await ida.see('window.downMin');
  await tomas.press('station-survey');
  await tomas.type('window.downMin', '41 h');
  await tomas.press('survey-save');
  await tomas.see('take');
  await ida.reads('window.downMin', '41 h');
  assert.equal(await ida.page.$('[data-testid="survey-moved"]'), null);
});

test('a record on a replaced plan stays with that plan, and is reported', async () => {
  const ida = await signedIn('ida', PHONE);
  await ida.press('tab-repairs');
  await ida.press('repair-GB-2');
  await ida.press('pick-R-210');
  await ida.press('take');
  await ida.see('check-isolate');
  await ida.gone('send-state');
  const tomas = await signedIn('tomas', PHONE);
  await tomas.open(new URL(ida.page.url()).pathname);
  await ida.page.setOfflineMode(true);
  await ida.press('check-isolate');
  await ida.see('send-state');
  await tomas.press('station-match');
  await tomas.press('pick-R-210');
  await tomas.press('take');
  await tomas.see('check-isolate');
  await tomas.gone('send-state');
  await ida.page.setOfflineMode(false);
  await later(ida, 0);
  await ida.matches('kept-elsewhere', /Saved with plan 1, on which it was made: the tick/);
  assert.equal(await ida.attribute('check-isolate', 'aria-checked'), 'false');
  await ida.press('kept-read');
  await ida.gone('kept-elsewhere');
  await ida.press('station-accept');
  await ida.matches('story', /The record, \d+ lines?, 1 of earlier plans/);
});

test('a planner works the wide layout by keyboard', async () => {
  const screen = await signedIn('tomas', WIDE);
  await screen.see('register-P-204');
  await screen.key('?');
  await screen.see('keys-help');
  await screen.key('?');
  await screen.gone('keys-help');
  await screen.key('/');
  await screen.page.keyboard.type('P-204');
  await screen.key('Escape');
  await screen.see('register-P-204');
  await screen.press('register-P-204');
  await screen.see('screen-build');
  for (const [key, station] of [
    ['1', 'survey'],
    ['2', 'match'],
    ['3', 'prep'],
    ['4', 'mix'],
    ['6', 'cure'],
    ['7', 'accept'],
    ['5', 'build'],
  ] as const) {
    await screen.key(key);
    await screen.see(`screen-${station}`);
  }
  await screen.see('batch-clock');
  await screen.see('section');
  await screen.press('figure-coat');
  await screen.matches('working', /each coat/i);
  await screen.key('t');
  await screen.gone('batch-clock');
  await screen.key('n');
  await screen.see('asset-search');
  assert.deepEqual(screen.problems, []);
});

test('the keyboard reaches and shows every control of the sign-in, and a viewer can only read', async () => {
  const screen = await newScreen(WIDE);
  await screen.open('/');
  await screen.see('demo-vera');
  const seen: string[] = [];
  const controls = [
    ...demoUsers.map((u) => `demo-${u.username}`),
    ...['username', 'password', 'sign-in'],
  ];
  for (const _ of controls) {
    await screen.key('Tab');
    seen.push(
      await screen.page.evaluate(
        () =>
          `${document.activeElement?.getAttribute('data-testid')}|${[document.activeElement, document.activeElement?.parentElement].map((e) => e && getComputedStyle(e).outlineStyle).find((o) => o && o !== 'none') ?? 'none'}`,
      ),
    );
  }
  for (const id of controls) {
    assert.ok(
      seen.some((s) => s.startsWith(`${id}|`) && !s.endsWith('|none')),
      `${id} in ${seen.join(' ')}`,
    );
  }
  await screen.press('demo-vera');
  await screen.press('register-P-031');
  await screen.see('check-isolate');
  assert.equal(await screen.attribute('survey-save', 'aria-disabled').catch(() => 'true'), 'true');
  assert.notEqual(await screen.attribute('check-isolate', 'disabled').catch(() => null), 'false');
  const name = await screen.page.$$eval(
    '[role="button"], [role="link"], [role="checkbox"], [role="radio"], input, textarea',
    (list) =>
      list
        .filter((e) => !(e.getAttribute('aria-label') ?? e.textContent ?? '').trim())
        .map((e) => e.outerHTML.slice(0, 120)),
  );
  assert.deepEqual(name, [], 'every control has a name');
});

test('night shift, US units and 200 % text hold together', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('settings');
  await screen.press('theme-night');
  await screen.see('theme-night');
  await screen.press('units-us');
  await screen.press('tab-repairs');
  await screen.press('repair-P-117');
  await screen.press('station-survey');
  assert.match((await screen.attribute('section', 'aria-label')) ?? '', / in across/);
  await screen.page.evaluate(() => {
    document.documentElement.style.fontSize = '32px';
  });
  const spill = await screen.page.evaluate(
    () => document.documentElement.scrollWidth - window.innerWidth,
  );
  assert.ok(spill <= 0, `nothing runs off the side (${spill})`);
});

test('a person changes their password: an error is shown at its field, and other devices sign in again', async () => {
  const screen = await signedIn('vera', PHONE);
  const elsewhere = await signedIn('vera', PHONE);
  await screen.press('settings');
  await screen.page.locator('[aria-label="Change your password"]').click();
  const change = async (now: string, next: string) => {
    await screen.type('password-now', now);
    await screen.type('password-new', next);
    await screen.press('change-password');
  };
  await change('not-hers-at-all', 'four words of her own');
  await screen.says('This is not your password');
  await change('quillmere-demo', 'password1234');
  await screen.says('one of the passwords that are tried first');
  await change('quillmere-demo', 'four words of her own');
  await screen.see('password-changed');
  // The server remembers a session for some seconds.
  await screen.page.waitForFunction(async () => (await fetch('/api/me')).status === 200, {
    timeout: 60_000,
  });
  await elsewhere.page.waitForFunction(async () => (await fetch('/api/me')).status === 401, {
    timeout: 60_000,
    polling: 500,
  });
  await elsewhere.page.reload({ waitUntil: 'networkidle2' });
  await elsewhere.see('sign-in-again');
  await elsewhere.press('somebody-else');
  await elsewhere.see('demo-vera');
  await change('four words of her own', 'quillmere-demo');
  await screen.see('password-changed');
  assert.deepEqual(screen.problems, []);
});
