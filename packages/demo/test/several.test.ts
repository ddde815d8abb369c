import { demandOfSurvey, families, type Demand, type Survey } from '@kelmot/core';
import { plainSurvey } from '../src/plain';
import { siteSettings } from '../src/index';
import { AT } from './surveys';

type Damage = Survey['damages'][number];

/** The same damage, half as large again; the same depth and wall. */
const larger = (damage: Damage): Damage =>
  Object.fromEntries(
    Object.entries(damage).map(([key, x]) => [
      key,
      typeof x === 'number' && /length|width|diameter|inner|outer/i.test(key) ? x * 1.5 : x,
    ]),
  ) as Damage;
/** Several damages together demand the worst of each, or the sum. */
const sized = (d: Demand) => ({ longestMm: d.longestMm, prepMm2: d.prepMm2 });

test.each(
  families()
    .filter((f) => f.mostDamages > 1)
    .flatMap((f) => f.shapes.map(({ shape }) => [f.id, shape] as const)),
)('%s %s: of two damages the larger decides, in any order', (family, shape) => {
  const { survey } = plainSurvey({ family, shapes: [shape], startAt: AT });
  if (!survey) throw new Error(`${family} ${shape}`);
  const [one] = survey.damages;
  if (!one) throw new Error('nothing is damaged');
  const asks = (...damages: Damage[]): Demand =>
    demandOfSurvey({ ...survey, damages } as Survey, siteSettings);
  const [small, large] = [asks(one), asks(larger(one))];
  const both = asks(one, larger(one));
  expect(sized(asks(larger(one), one))).toEqual(sized(both));
  expect(large.longestMm).toBeGreaterThan(small.longestMm);
  const longest = [large.longestMm, small.longestMm + large.longestMm];
  expect(longest.map((x) => Math.abs(x - both.longestMm) < 1e-6)).toContain(true);
  const prepared = small.prepMm2 + large.prepMm2;
  expect(both.prepMm2).toBeCloseTo(prepared, 3);
  expect(both.bodies).toHaveLength(small.bodies.length + large.bodies.length);
});
