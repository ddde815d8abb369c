import assert from 'node:assert/strict';
import { test } from 'node:test';
import { typeBelt } from './lib/belt';
import { PHONE, WIDE } from './lib/browser';
import { signedIn } from './lib/stage';

test('a belt has its own questions, section and cards', async () => {
  const screen = await signedIn('ida', PHONE);
  await typeBelt(screen, 'BC-5', '2 1/2 in', '12');
  assert.equal(await screen.attribute('family-F6', 'aria-checked'), 'true');
  assert.match(
    (await screen.attribute('section', 'aria-label')) ?? '',
    /hole: .*63\.5 mm|64 mm across/i,
  );
  await screen.press('survey-save');
  await screen.matches('match-B-410', /Fits/);
  await screen.press('take');
  await screen.press('station-build');
  await screen.matches('step-condition.conditioner', /A-915|conditioner/i);
  assert.deepEqual(screen.problems, []);
});

test('a tyre with visible cords is refused: the reason, who decides, and the sheet with the measurements', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('tab-repairs');
  await screen.press('repair-WL-2');
  await screen.press('station-match');
  await screen.matches('refusal', /cords show or are cut.*licensed tyre shop must decide/s);
  await screen.matches('match-T-510', /Does not fit/);
  await screen.press('referral');
  await screen.matches('referral-sheet', /Wheel loader 2.*90 mm.*14 mm.*Showing/s);
  assert.deepEqual(screen.problems, []);
});

test('a planner weights, compares, tries a change, and goes back', async () => {
  const screen = await signedIn('tomas', WIDE);
  await screen.press('register-SG-2');
  await screen.key('2');
  await screen.see('match-X-870');
  await screen.press('compare-X-870');
  await screen.press('compare-R-215');
  await screen.matches('compare', /X-870.*R-215/s);
  await screen.press('what-if-X-870');
  await screen.see('trial');
  assert.equal(await screen.attribute('take', 'aria-disabled'), 'true');
  await screen.matches('match-X-870', /Fits/);
  await screen.press('trial-undo');
  await screen.gone('trial');
  await screen.matches('match-X-870', /Fits if/);
  await screen.page.locator('::-p-aria(Ranking weights)').click();
  await screen.press('weight-life-more');
  await screen.says('your own weights');
  await screen.press('weights-reset');
  assert.deepEqual(screen.problems, []);
});

test('a planner edits a card into a new version; an error is shown, and nothing typed is lost', async () => {
  const screen = await signedIn('tomas', PHONE);
  await screen.press('tab-store');
  await screen.press('card-R-215');
  await screen.press('card-edit-R-215');
  const text = await screen.value('card-json');
  const put = (json: string) =>
    screen.page.evaluate(
      `(() => { const e = document.querySelector('[data-testid="card-json"]');
        Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value').set.call(e, ${JSON.stringify(json)});
        e.dispatchEvent(new Event('input', { bubbles: true })); })()`,
    );
  await put(text.replace('"wetHeatC": 55', '"wetHeatC": "warm"'));
  await screen.press('card-save');
  await screen.matches('card-said', /service\.wetHeatC: must be a number/);
  assert.match(await screen.value('card-json'), /"warm"/);
  await put(text.replace('"wetHeatC": 55', '"wetHeatC": 57'));
  await screen.press('card-save');
  await screen.matches('card-said', /R-215 is now version 2/);
  assert.deepEqual(screen.problems, []);
});

test('a survey asks what can change the result, shows the source of its air, and folds the rest', async () => {
  const screen = await signedIn('ida', PHONE);
  await typeBelt(screen, 'BC-5', '64', '14');
  await screen.matches('survey-quiet', /more without effect here/);
  await screen.gone('belt.carcass-steel');
  // If it is cut across, the carcass matters: the question is back.
  await screen.type('belt.carcassCutPct', '3');
  await screen.press('belt.carcass-steel');
  await screen.press('survey-save');
  await screen.matches('refusal', /Steel cords are cut.*belt splicer must decide/s);

  const air = await signedIn('ida', PHONE);
  await air.press('new-repair');
  await air.type('asset-search', 'P-305');
  await air.press('asset-P-305');
  await air.matches('known-air', /As read here at P-305/);
  const was = await air.value('readings.airC');
  assert.match(was, /^[\d.]+$/);
  await air.type('readings.airC', String(Number(was) + 1));
  await air.gone('known-air');
  assert.deepEqual([...screen.problems, ...air.problems], []);
});
