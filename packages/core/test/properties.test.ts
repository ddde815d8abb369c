import fc from 'fast-check';
import { ambientGate } from '../src/ambient/ambientGate';
import { call } from '../src/calculations/call';
import { calcs } from '../src/calculations/registry';
import { cureTime } from '../src/cure/cureTime';
import { workingLife } from '../src/cure/workingLife';
import { shapeVolume } from '../src/geometry/shapeVolume';
import { batchPlan } from '../src/mix/batchPlan';
import { kitPick } from '../src/mix/kitPick';
import { mixCheck } from '../src/mix/mixCheck';
import { mixSplit } from '../src/mix/mixSplit';
import { formatQuantity } from '../src/units/format';
import { parseQuantity } from '../src/units/parse';

const real = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true, noDefaultInfinity: true });
const points = fc
  .tuple(
    real(-10, 20),
    fc.array(fc.tuple(real(2, 15), real(1.1, 4)), { minLength: 1, maxLength: 4 }),
    real(50, 2000),
  )
  .map(([start, steps, slowest]) => {
    let [tempC, minutes] = [start, slowest];
    return [
      { tempC, minutes },
      ...steps.map(([dt, f]) => ({ tempC: (tempC += dt), minutes: (minutes /= f) })),
    ];
  });
const ratio = fc.record({
  a: real(0.5, 20),
  b: real(0.5, 20),
  by: fc.constantFrom('volume' as const, 'mass' as const),
});
const density = real(0.7, 4);

test('a colder cure is never faster', () => {
  fc.assert(
    fc.property(points, real(-20, 90), real(0.01, 30), (p, t, colder) => {
      const warm = cureTime({ points: p, tempC: t });
      const cold = cureTime({ points: p, tempC: t - colder });
      if (warm.ok && cold.ok)
        expect(cold.minutes).toBeGreaterThanOrEqual(warm.minutes * (1 - 1e-9));
    }),
  );
});

test('a bigger batch never lives longer', () => {
  fc.assert(
    fc.property(points, real(10, 5000), real(1, 10), real(0, 1), (p, massG, more, massExponent) => {
      const base = { points: p, tempC: p[0]?.tempC ?? 20, refMassG: 500, massExponent };
      const small = workingLife({ ...base, massG });
      const big = workingLife({ ...base, massG: massG * more });
      if (small.ok && big.ok) expect(big.minutes).toBeLessThanOrEqual(small.minutes * (1 + 1e-12));
    }),
  );
});

test('the parts of a mix add up to the whole, and weighed they are on ratio', () => {
  fc.assert(
    fc.property(ratio, density, density, real(1, 20000), (r, densityA, densityB, ml) => {
      const { aMl, bMl, aG, bG } = mixSplit({ ratio: r, densityA, densityB, total: { ml } });
      expect(aMl + bMl).toBeCloseTo(ml, 6);
      const check = mixCheck({
        ratio: r,
        densityA,
        densityB,
        weighed: { aG, bG },
        tolerancePct: 1,
      });
      expect(Math.abs(check.deviationPct)).toBeLessThan(1e-9);
    }),
  );
});

test('the correction of mix-check restores the ratio', () => {
  fc.assert(
    fc.property(
      ratio,
      density,
      density,
      real(5, 5000),
      real(5, 5000),
      (r, densityA, densityB, aG, bG) => {
        const base = { ratio: r, densityA, densityB, tolerancePct: 2 };
        const { addA_G, addB_G } = mixCheck({ ...base, weighed: { aG, bG } });
        const after = mixCheck({ ...base, weighed: { aG: aG + addA_G, bG: bG + addB_G } });
        expect(Math.abs(after.deviationPct)).toBeLessThan(1e-6);
      },
    ),
  );
});

test('every batch fits the vessel and is placed within the usable part of its working life', () => {
  fc.assert(
    fc.property(
      points,
      real(10, 20000),
      real(2, 400),
      real(100, 5000),
      (lifePoints, totalMl, applyMlPerMin, vesselMl) => {
        const tempC = lifePoints[0]?.tempC ?? 20;
        const input = {
          totalMl,
          densityGml: 2,
          lifePoints,
          tempC,
          refMassG: 500,
          massExponent: 0.3,
          mixMinutes: 3,
          useFraction: 0.8,
          applyMlPerMin,
          vesselMl,
          vesselFill: 0.75,
        };
        const plan = batchPlan(input);
        if (!plan.ok) return;
        expect(plan.batchMl).toBeLessThanOrEqual(vesselMl * 0.75 * (1 + 1e-9));
        expect(plan.minutesToPlace + 3).toBeLessThanOrEqual(0.8 * plan.batchLifeMin * (1 + 1e-6));
        expect(plan.batchMl * plan.batches).toBeGreaterThanOrEqual(totalMl * (1 - 1e-9));
      },
    ),
  );
});

test('kit-pick is never beaten by trying every combination', () => {
  const kit = fc.record({
    ml: fc.integer({ min: 50, max: 900 }),
    price: fc.integer({ min: 5, max: 90 }),
  });
  fc.assert(
    fc.property(
      fc.array(kit, { minLength: 1, maxLength: 3 }),
      fc.integer({ min: 0, max: 2500 }),
      (raw, neededMl) => {
        const kits = raw.map((k, i) => ({ ...k, id: `k${i}` }));
        const picked = kitPick({ neededMl, kits, maxPacks: 12 });
        let best = Infinity;
        const walk = (i: number, ml: number, price: number, packs: number): void => {
          if (ml >= neededMl) best = Math.min(best, price);
          const k = kits[i];
          if (!k || packs >= 12) return;
          walk(i, ml + k.ml, price + k.price, packs + 1);
          walk(i + 1, ml, price, packs);
        };
        walk(0, 0, 0, 0);
        if (picked.ok) expect(picked.totalPrice).toBeCloseTo(best, 6);
        else expect(best).toBe(Infinity);
      },
    ),
    { numRuns: 60 },
  );
});

test('a deeper dish needs more; overfill and waste only add', () => {
  fc.assert(
    fc.property(
      real(10, 500),
      real(1, 50),
      real(1, 20),
      real(0, 50),
      (diameterMm, depthMm, deeper, overfillPct) => {
        const of = (d: number, over: number) =>
          shapeVolume({
            shape: { kind: 'dish', diameterMm, depthMm: d },
            overfillPct: over,
            wastePct: 0,
            profileUm: 0,
          });
        expect(of(depthMm + deeper, 0).netMl).toBeGreaterThan(of(depthMm, 0).netMl);
        expect(of(depthMm, overfillPct).grossMl).toBeGreaterThanOrEqual(of(depthMm, 0).grossMl);
      },
    ),
  );
});

test('a colder surface never turns a stop for cold or dew into go', () => {
  fc.assert(
    fc.property(
      real(-10, 40),
      real(20, 100),
      real(-10, 40),
      real(0, 10),
      (airC, rhPct, surfaceC, colder) => {
        const limits = { minAboveDewC: 3, maxRhPct: 85, minSurfaceC: 5, maxSurfaceC: 200 };
        const now = ambientGate({ airC, rhPct, surfaceC, ...limits });
        const later = ambientGate({ airC, rhPct, surfaceC: surfaceC - colder, ...limits });
        if (now.verdict === 'no-go') expect(later.verdict).toBe('no-go');
      },
    ),
  );
});

test('a formatted length reads back as shown, in both unit systems', () => {
  fc.assert(
    fc.property(
      real(0.1, 4000),
      fc.constantFrom('metric' as const, 'us' as const),
      (mm, system) => {
        const text = formatQuantity(mm, 'length', system);
        const back = parseQuantity(text, 'length', { system });
        if (!back.ok) throw new Error(`${text}: ${back.message}`);
        expect(formatQuantity(back.value, 'length', system)).toBe(text);
      },
    ),
  );
});

test('any input gets an answer or an error that names a field; nothing is NaN', () => {
  fc.assert(
    fc.property(fc.constantFrom(...calcs.map((c) => c.name)), fc.anything(), (name, input) => {
      const result = call(name, input);
      expect(JSON.stringify(result)).not.toMatch(/NaN|Infinity/);
      if (result.status === 'bad') expect(result.bad.issues.length).toBeGreaterThan(0);
    }),
  );
});
