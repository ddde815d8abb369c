import { leftoverUses, makePlan, type Survey } from '@kelmot/core';
import { siteSettings } from '../src/index';
import { card, known, surveyed } from './surveyed';

const AT = '2026-11-24T06:00:00Z';
const planned = (survey: Survey, code: string) => {
  const made = makePlan(survey, card(code), { site: siteSettings, madeAt: AT, context: known });
  if (!made.ok) throw new Error('no plan');
  return made.plan;
};
const pocket = (diameterMm: number, depthMm: number) =>
  surveyed('F2', {
    damages: [{ shape: 'pocket', diameterMm, depthMm, wallMm: 40 }] as never,
    'window.downMin': 6000,
  });
const belt = (diameterMm: number) => surveyed('F6', { 'damages.0.diameterMm': diameterMm });

test("a pack's leftover does the open repairs that its card fits and that need no more", () => {
  const plan = planned(pocket(90, 10), 'R-210');
  const left = plan.supplies.find((s) => s.code === 'R-210')?.leftover ?? 0;
  const uses = leftoverUses(
    plan,
    [
      { repairId: 'small', survey: pocket(40, 8) },
      { repairId: 'middling', survey: pocket(60, 10) },
      { repairId: 'huge', survey: pocket(700, 30) },
      { repairId: 'acid', survey: { ...pocket(40, 8), ...surveyed('F2', { 'service.ph': 1 }) } },
      { repairId: 'belt', survey: belt(30) },
    ],
    { site: siteSettings, context: known },
  );
  expect(left).toBeGreaterThan(20);
  // The one that uses up the most of it first.
  expect(uses.map((u) => u.repairId)).toEqual(['middling', 'small']);
  for (const use of uses) {
    expect(use).toMatchObject({ code: 'R-210', from: 'pack', left, withinMin: null });
    expect(use.takes).toBeLessThanOrEqual(left);
    const own = planned(use.repairId === 'small' ? pocket(40, 8) : pocket(60, 10), 'R-210');
    expect(use.takes).toBeCloseTo(own.supplies.find((s) => s.code === 'R-210')?.amount ?? NaN, 6);
  }
});

test('the rest of a whole kit is mixed: offered within its working life only', () => {
  const plan = planned(belt(40), 'B-410');
  const round = plan.rounds.find((r) => r.card.code === 'B-410');
  const last = round?.batches.at(-1);
  if (!round || !last) throw new Error('no batch');
  expect(round.spareMl).toBeGreaterThan(0);
  const uses = leftoverUses(
    plan,
    [
      { repairId: 'scar', survey: belt(8) },
      { repairId: 'wide', survey: belt(180) },
    ],
    { site: siteSettings, context: known },
  ).filter((u) => u.code === 'B-410');
  for (const use of uses) {
    expect(use.repairId).toBe('scar');
    expect(use).toMatchObject({ from: 'batch', left: round.spareMl });
    expect(use.withinMin).toBeCloseTo(last.placeByMin - last.mixedAtMin, 9);
    expect(use.withinMin).toBeLessThanOrEqual(last.lifeMin);
  }
  expect(uses.length).toBe(1);
});

test('without leftovers nothing is offered', () => {
  const plan = planned(pocket(90, 10), 'R-210');
  const spent = { ...plan, supplies: plan.supplies.map((s) => ({ ...s, leftover: 0 })) };
  expect(
    leftoverUses(spent, [{ repairId: 'small', survey: pocket(40, 8) }], { site: siteSettings }),
  ).toEqual([]);
});
