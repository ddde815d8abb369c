import {
  forecastCure,
  LONGEST_MIN,
  progressAt,
  type CureCourse,
  type SeenTemp,
} from '../src/cure/forecastCure';

/** 1000 min at 10 °C, 500 at 20, 250 at 30; planned at 20. */
const base: CureCourse = {
  points: [
    { tempC: 10, minutes: 1000 },
    { tempC: 20, minutes: 500 },
    { tempC: 30, minutes: 250 },
  ],
  plannedMin: 500,
  seen: [],
  lasts: true,
  slow: 1,
};
const temps = (...pairs: [number, number][]): SeenTemp[] =>
  pairs.map(([atMin, tempC]) => ({ atMin, tempC }));
const minutes = (more: Partial<CureCourse>) => forecastCure({ ...base, ...more })?.minutes;

test.each<[string, SeenTemp[], number]>([
  ['as planned is as planned', temps([0, 20]), 500],
  ['one reading is held to the end', temps([0, 10]), 1000],
  [
    'until the first reading it goes as planned: a fifth of it, then 0.8 at 1000',
    temps([100, 10]),
    900,
  ],
  ['half of it at 20, the rest at 10', temps([0, 20], [250, 20], [250.001, 10]), 750],
  ['done between two readings: all of it at 30', temps([0, 30], [300, 30]), 250],
  ['a fifth as planned, then 0.8 of 250 at 30', temps([100, 30], [400, 30]), 300],
  ['the first reading comes after it was done by the plan', temps([600, 10]), 500],
  ['a reading shortly before the mix says how warm it was there', temps([-60, 10]), 1000],
])('%s', (_, seen, expected) => {
  expect(minutes({ seen })).toBeCloseTo(expected, 1);
});

test('a reading before mixing counts for two hours, then linear to the next one', () => {
  expect(forecastCure({ ...base, seen: temps([-121, 10]) })).toBeNull();
  // 20 °C at the mix, on its way from 10 to 30.
  const through = forecastCure({ ...base, seen: temps([-60, 10], [60, 30]) });
  const from20 = forecastCure({ ...base, seen: temps([0, 20], [60, 30]) });
  const far = forecastCure({ ...base, seen: temps([-600, 10], [600, 30]) });
  expect(far?.minutes).toBeCloseTo(
    forecastCure({ ...base, seen: temps([0, 20], [600, 30]) })?.minutes ?? 0,
    6,
  );
  expect(through?.minutes).toBeCloseTo(from20?.minutes ?? 0, 6);
});

test('temporary warmth brings nothing forward; temporary cold still counts', () => {
  expect(minutes({ seen: temps([0, 30]), lasts: false })).toBeCloseTo(500, 6);
  expect(minutes({ seen: temps([0, 10]), lasts: false })).toBeCloseTo(1000, 6);
  // What was seen was seen: half of it in 125 min at 30, the rest at the pace of the plan.
  expect(minutes({ seen: temps([0, 30], [125, 30]), lasts: false })).toBeCloseTo(125 + 250, 1);
});

test('a slow cure is slow at every temperature, measured or not', () => {
  expect(minutes({ slow: 1.5 })).toBe(750);
  expect(minutes({ slow: 1.5, seen: temps([0, 20]) })).toBeCloseTo(750, 6);
  expect(minutes({ slow: 1.5, seen: temps([0, 10]) })).toBeCloseTo(1500, 6);
  // A tenth of 1000 as planned, then 0.9 at 2000.
  expect(minutes({ slow: 2, seen: temps([100, 10]) })).toBeCloseTo(1900, 6);
  expect(forecastCure(base)).toBeNull();
});

test("below the card's range it never cures, until it is heated", () => {
  const cold = forecastCure({ ...base, seen: temps([0, -5]) });
  expect([cold?.stalled, cold?.minutes, cold?.paceMin]).toEqual([true, LONGEST_MIN, null]);
  expect(cold?.working.at(-1)?.value).toBe('never');
  // Out of doors too: by the plan it is on its way, by what was seen it stands still.
  expect(forecastCure({ ...base, lasts: false, seen: temps([0, -5]) })?.stalled).toBe(true);
  const warmed = forecastCure({ ...base, seen: temps([0, -5], [120, -5], [120.001, 20]) });
  expect(warmed?.stalled).toBe(false);
  expect(warmed?.minutes).toBeCloseTo(620, 1);
});

test('its working ends in its minutes, through share and rate', () => {
  const found = forecastCure({ ...base, seen: temps([100, 10]) });
  const value = (symbol: string) => found?.working.find((l) => l.symbol === symbol)?.value;
  expect([value('a₀'), value('T'), value('p')]).toEqual([0.2, 10, expect.closeTo(1000, 6)]);
  expect(found?.working.at(-1)?.value).toBe(found?.minutes);
});

test('progress at a moment uses no later readings', () => {
  const seen = temps([0, 20], [250, 20], [260, 90]);
  expect(progressAt({ ...base, seen }, 250)).toBeCloseTo(0.5, 6);
  expect(progressAt({ ...base, seen }, 125)).toBeCloseTo(0.25, 6);
  expect(progressAt({ ...base, seen: [] }, 250)).toBeCloseTo(0.5, 6);
  // What is read at the very moment counts: it was colder on the way there.
  const colder = { ...base, seen: temps([0, 20], [200, 10]) };
  expect(progressAt(colder, 200)).toBeLessThan(0.39);
  expect(progressAt(colder, 199.999)).toBeCloseTo(0.4, 4);
  expect(progressAt({ ...base, seen: temps([0, -5]) }, 400)).toBe(0);
});
