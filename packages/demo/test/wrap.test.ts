import { USUAL_TRADE } from '@kelmot/core';
import { fittingFactor, wrapped } from '@kelmot/core/work/wrap';
import type { Demand, WrapNeed } from '@kelmot/core/survey/demand';
import { card } from './surveyed';

const HERE = { installC: 20, trade: USUAL_TRADE };

/** An 88.9 mm pipe, 5.5 mm of wall, holed, at 40 °C, wrapped at 20 °C. */
const need = (more: Partial<WrapNeed> = {}): WrapNeed => ({
  outsideDiameterMm: 88.9,
  wallMm: 5.5,
  remainingMm: 0,
  pressureBar: 16,
  designC: 40,
  defects: [{ kind: 'hole', diameterMm: 12 }],
  engineered: true,
  extentMm: 50,
  fitting: 'straight',
  straightMm: null,
  ...more,
});
const wrap = (code: string, more: Partial<WrapNeed> = {}) => {
  const found = wrapped(card(code), { wrap: need(more) } as Demand, HERE);
  if (!found) throw new Error('nothing is wrapped');
  return found;
};
const ENGINEERED = 'W-330';
const laminateOf = (code: string) => {
  const { laminate } = card(code);
  if (!laminate) throw new Error('no laminate');
  return laminate;
};

/**
 * The pressure that so many plies hold over the hole, MPa, by the method's formula, with a service factor of a third.
 */
function holds(code: string, plies: number, d: number, designC: number): number {
  const { hoopModulusMPa, axialModulusMPa, poisson, plyMm, shearMPa, toughnessJm2, tgC } =
    laminateOf(code);
  const t = plies * plyMm;
  const under = tgC - 30 - designC;
  const fT = Math.min(1, 6e-5 * under ** 2 + 0.001 * under + 0.7014);
  const E = Math.sqrt(hoopModulusMPa * axialModulusMPa);
  const bends = ((1 - poisson ** 2) / E) * ((3 * d ** 4) / (512 * t ** 3) + d / Math.PI);
  const shears = (3 * d ** 2) / (64 * shearMPa * t);
  return fT * 0.333 * Math.sqrt((0.001 * toughnessJm2) / (bends + shears));
}

test.each([8, 12, 16])(
  'over a hole of %i mm the plies hold the pressure with a third for service, and one less does not',
  (diameterMm) => {
    const { design } = wrap(ENGINEERED, {
      pressureBar: 40,
      defects: [{ kind: 'hole', diameterMm }],
    });
    if (!design?.ok) throw new Error(design?.why);
    const plies = Math.round((design.leakMm ?? 0) / laminateOf(ENGINEERED).plyMm);
    expect(plies).toBeGreaterThan(1);
    expect(holds(ENGINEERED, plies, diameterMm, 40)).toBeGreaterThanOrEqual(4);
    const reach = Math.sqrt(6 * 88.9 * (plies - 1) * laminateOf(ENGINEERED).plyMm);
    expect(holds(ENGINEERED, plies - 1, diameterMm, 40) < 4 || diameterMm > reach).toBe(true);
    expect(design.plies).toBeGreaterThanOrEqual(plies);
  },
);

test('an elbow needs a fifth more layers than a straight, a branch twice as many, in whole layers', () => {
  const straight = wrap(ENGINEERED).layers;
  const factor = (at: 'straight' | 'elbow' | 'tee') => fittingFactor(at, USUAL_TRADE);
  expect([factor('straight'), factor('elbow'), factor('tee')]).toEqual([1, 1.2, 2]);
  expect(wrap(ENGINEERED, { fitting: 'elbow' }).layers).toBe(Math.ceil(straight * 1.2 - 1e-9));
  expect(wrap(ENGINEERED, { fitting: 'tee' }).layers).toBe(straight * 2);
});

test('an open line is designed for a tenth of a bar, not for zero', () => {
  const open = wrap(ENGINEERED, { pressureBar: 0 });
  const least = wrap(ENGINEERED, { pressureBar: 0.1 });
  expect(open.design).toEqual(least.design);
});

test("plain tape extends beyond the leak on both sides, with its card's layers", () => {
  const plain = wrap(ENGINEERED, { engineered: false, extentMm: 60 });
  expect(plain.design).toBeNull();
  expect(plain.lengthsMm).toEqual([12 + 2 * 60]);
  expect(plain.besideMm).toEqual([60]);
  expect(plain.layers).toBe(6);
});

test('each place is wrapped separately, and the tape is added up', () => {
  const two = wrap(ENGINEERED, {
    defects: [
      { kind: 'hole', diameterMm: 12 },
      { kind: 'hole', diameterMm: 12 },
    ],
  });
  const one = wrap(ENGINEERED);
  expect(two.lays).toHaveLength(2);
  expect(two.metres).toBeCloseTo(2 * one.metres, 9);
  expect(two.thicknessMm).toBeCloseTo(one.layers * laminateOf(ENGINEERED).plyMm, 9);
});

test('without a pipe or a tape card nothing is wrapped', () => {
  expect(wrapped(card(ENGINEERED), { wrap: null } as Demand, HERE)).toBeNull();
  expect(wrapped(card('R-210'), { wrap: need() } as Demand, HERE)).toBeNull();
});
