import fc from 'fast-check';
import { reduceLog, type LogReading } from '../src/cure/reduceLog';

const row = (at: number, ...values: number[]): LogReading => ({ at, values });
/** What straight lines between the rows say at a moment. */
function lineAt(rows: readonly LogReading[], at: number, i: number): number {
  const next = rows.findIndex((r) => r.at >= at);
  const [a, b] = [rows[Math.max(0, next - 1)] as LogReading, rows[next] as LogReading];
  const share = b.at === a.at ? 0 : (at - a.at) / (b.at - a.at);
  return (a.values[i] as number) + share * ((b.values[i] as number) - (a.values[i] as number));
}

test('points on a line are removed; corners of any value stay', () => {
  const straight = [0, 1, 2, 3, 4].map((at) => row(at, 10 + at, 20));
  expect(reduceLog(straight, 0.1).map((r) => r.at)).toEqual([0, 4]);
  const corner = [row(0, 10, 20), row(1, 10, 20), row(2, 10, 21), row(3, 10, 20), row(4, 10, 20)];
  expect(reduceLog(corner, 0.1).map((r) => r.at)).toEqual([0, 1, 2, 3, 4]);
  expect(reduceLog([], 0.1)).toEqual([]);
  expect(reduceLog([row(5, 1)], 0.1)).toEqual([row(5, 1)]);
});

test('the rest reproduces every reading within the tolerance', () => {
  const temps = fc.array(
    fc.tuple(
      fc.double({ min: -20, max: 60, noNaN: true }),
      fc.double({ min: -20, max: 60, noNaN: true }),
    ),
    {
      minLength: 2,
      maxLength: 60,
    },
  );
  fc.assert(
    fc.property(temps, fc.double({ min: 0.01, max: 5, noNaN: true }), (list, within) => {
      const rows = list.map((values, at) => row(at, ...values));
      const kept = reduceLog(rows, within);
      expect([kept[0], kept.at(-1)]).toEqual([rows[0], rows.at(-1)]);
      for (const { at, values } of rows)
        values.forEach((v, i) =>
          expect(Math.abs(lineAt(kept, at, i) - v)).toBeLessThanOrEqual(within + 1e-9),
        );
    }),
  );
});
