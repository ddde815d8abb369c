import { m, type Hold } from '@kelmot/core';
import { pouring } from '@kelmot/core/instruments/pour';
import type { InstrumentState } from '@kelmot/core/instruments/instrumentState';
import { instrumentFor } from '@kelmot/core/run/instrumentFor';
import { demoSurvey, surveyedRepairs } from '../src/index';

const [first] = surveyedRepairs;
if (!first) throw new Error('no repair');
const survey = demoSurvey(first.tag, null, '2026-11-25T08:00:00Z', first.survey);
const by = (hold: Hold | null) => instrumentFor(hold, { survey });
const figure = (min: number | null, max: number | null, quantity = 'length' as const): Hold => ({
  kind: 'reading',
  label: m('Depth'),
  ...{ quantity, min, max },
});

test('one figure from several spots: the lowest against a minimum, the highest against a maximum, else the mean', () => {
  expect(by(figure(3, null))?.recorded([3.6, 2.5, 3.9])).toEqual([2.5]);
  expect(by(figure(null, 4))?.recorded([3.6, 4.5, 3.9])).toEqual([4.5]);
  expect(by(figure(1, 5))?.recorded([2, 3, 4])).toEqual([3]);
});

test('a stream and a set are recorded unchanged', () => {
  const { airC, rhPct, surfaceC } = survey.readings;
  expect(by({ kind: 'ambient' })).toMatchObject({ expects: [airC, rhPct, surfaceC], least: 1 });
  for (const hold of [
    { kind: 'ambient' },
    { kind: 'hardness', target: 80, minReadings: 3, minSharePct: 100, scale: 'D' },
    { kind: 'thickness', targetMm: 4, minReadings: 5, leastShare: 0.8 },
  ] satisfies Hold[])
    expect(by(hold)?.recorded([1, 2, 3])).toEqual([1, 2, 3]);
});

test('the expected value passes the hold, and can be measured', () => {
  for (const target of [60, 80, 95, 99]) {
    const hard = by({ kind: 'hardness', target, minReadings: 3, minSharePct: 100, scale: 'D' });
    const [expected] = hard?.expects ?? [];
    expect(expected).toBeGreaterThan(target);
    expect(expected).toBeLessThan(100);
  }
  expect(by(figure(3, null))?.expects[0]).toBeGreaterThan(3);
  expect(by(figure(null, 4))?.expects[0]).toBeLessThan(4);
  expect(by(figure(null, null))?.expects).toEqual([null]);
});

test('films have their own gauge; what no instrument measures is typed', () => {
  const film = { ...figure(60, 100), quantity: 'thinFilm' } as Hold;
  expect(by(film)?.device.id).toBe('film');
  expect(by(figure(3, null))?.device.id).toBe('thickness');
  expect(by({ ...figure(1, null), quantity: 'force' } as Hold)).toBeNull();
  expect([by({ kind: 'check' }), by(null)]).toEqual([null, null]);
});

test('a pour counts once steady above half; missing or excess mass is shown until the target', () => {
  const shows = (g: number, state: InstrumentState['state'] = 'steady') =>
    pouring({ state, fault: null, say: m(''), values: [g] }, 400);
  expect([shows(0).isIn, shows(199).isIn, shows(200).isIn]).toEqual([false, false, true]);
  expect([shows(400, 'settling').isIn, shows(400, 'fault').isIn]).toEqual([false, false]);
  expect([shows(399.5).say, shows(400.5).say]).toEqual([null, null]);
  expect(shows(390).say).toMatchObject({ text: 'Add {left}.', values: { left: { value: 10 } } });
  expect(shows(405).say).toMatchObject({
    text: '{over} too much.',
    values: { over: { value: 5 } },
  });
});
