import { judge, type CardMatch } from '../src/match/match';
import { whatWouldChange, withChanges } from '../src/match/changes';
import { atItsLimit, costPerYear, criteria, rank, weightsOf } from '../src/match/rank';
import type { Relax } from '../src/rules/rule';
import { card, site, survey } from './fixtures';

/** A match of which only the figures that are ranked by are given. */
function match(code: string, figures: Partial<CardMatch>): CardMatch {
  const [own] = [judge(survey, { ...card, code }, { site })];
  const round = { lifeDays: 365, serviceMin: 600, totalCost: 100, marginPct: 50 };
  return Object.create(
    own,
    Object.getOwnPropertyDescriptors({ ...round, ...figures }),
  ) as CardMatch;
}
const codes = (ranked: readonly { match: CardMatch }[]) => ranked.map((r) => r.match.card.code);

test('lasting repairs rank by cost per year, stop-gaps by time to service; nothing else counts by default', () => {
  expect(weightsOf('lasting')).toEqual({ year: 1, ready: 0, life: 0, cost: 0, margin: 0 });
  expect(weightsOf('stopgap')).toEqual({ year: 0, ready: 1, life: 0, cost: 0, margin: 0 });
});

test("a person's weights are scaled to one; negative ones count as zero, all zero as equal", () => {
  const own = (weights: Record<string, number>) => weightsOf('lasting', weights);
  expect(own({ year: 3, ready: 1 })).toMatchObject({ year: 0.75, ready: 0.25, life: 0 });
  expect(own({ year: 2, ready: -5 })).toMatchObject({ year: 1, ready: 0 });
  const none = Object.fromEntries(criteria.map((c) => [c.id, 0]));
  expect(Object.values(own(none))).toEqual([0.2, 0.2, 0.2, 0.2, 0.2]);
});

test('cost per year is the total over its life in years', () => {
  expect(costPerYear(match('R-1', { totalCost: 300, lifeDays: 730 }))).toBeCloseTo(150, 9);
  expect(costPerYear(match('R-1', { totalCost: null }))).toBeNull();
});

/**
 * Worked by hand: R-1 costs 100, R-2 200; both last a year. R-1 runs after 1200 min, R-2 after 600.
 * Of the best: cost a year 1 and 0.5, time 0.5 and 1, life 1 and 1, cost 1 and 0.5, margin 50/80 and 1.
 */
test('each part is its share of the best, the score their weighted sum', () => {
  const pair = [
    match('R-1', { totalCost: 100, serviceMin: 1200, marginPct: 50 }),
    match('R-2', { totalCost: 200, serviceMin: 600, marginPct: 80 }),
  ];
  const ranked = rank(pair, 'lasting', { year: 1, ready: 1, life: 0, cost: 1, margin: 1 });
  const parts = Object.fromEntries(
    ranked.map((r) => [r.match.card.code, Object.fromEntries(r.parts.map((p) => [p.id, p.score]))]),
  );
  expect(parts['R-1']).toEqual({ year: 1, ready: 0.5, life: 1, cost: 1, margin: 0.625 });
  expect(parts['R-2']).toEqual({ year: 0.5, ready: 1, life: 1, cost: 0.5, margin: 1 });
  expect(ranked.map((r) => r.score)).toEqual([0.78125, 0.75]);
  expect(codes(ranked)).toEqual(['R-1', 'R-2']);
  expect(codes(rank(pair, 'lasting', { year: 0, ready: 1, life: 0, cost: 0, margin: 0 }))).toEqual([
    'R-2',
    'R-1',
  ]);
  expect(codes(rank(pair, 'stopgap'))).toEqual(['R-2', 'R-1']);
  expect(codes(rank(pair, 'lasting'))).toEqual(['R-1', 'R-2']);
});

test('an unknown value has no share; zero cost is the best', () => {
  const ranked = rank(
    [match('R-1', { totalCost: null }), match('R-2', { totalCost: 0 })],
    'lasting',
  );
  const year = (code: string) =>
    ranked.find((r) => r.match.card.code === code)?.parts.find((p) => p.id === 'year')?.score;
  expect([year('R-1'), year('R-2')]).toEqual([0, 1]);
  expect(codes(ranked)).toEqual(['R-2', 'R-1']);
});

test('margin comes before cost: enough from ten per cent, none below half a per cent, unfit cards last', () => {
  const at = (code: string, marginPct: number, totalCost: number) =>
    match(code, { marginPct, totalCost });
  const out = match('R-5', { verdict: 'no', totalCost: 1, marginPct: 90 });
  const ranked = rank(
    [out, at('R-4', 0, 2), at('R-3', 9.9, 3), at('R-2', 10, 4000), at('R-1', 60, 5000)],
    'lasting',
  );
  expect(codes(ranked)).toEqual(['R-2', 'R-1', 'R-3', 'R-4', 'R-5']);
  expect(atItsLimit(at('R-4', 0, 2))).toBe(true);
  expect(atItsLimit(at('R-4', 10, 2))).toBe(false);
  expect(atItsLimit(out)).toBe(false);
});

test('lasting ties go to the sooner, stop-gap ties to the cheaper, then to card order', () => {
  const [a, b] = [match('R-1', { serviceMin: 900 }), match('R-2', { serviceMin: 600 })];
  expect(codes(rank([a, b], 'lasting'))).toEqual(['R-2', 'R-1']);
  const [c, d] = [match('R-3', { totalCost: 90 }), match('R-4', { totalCost: 80 })];
  expect(codes(rank([c, d], 'stopgap'))).toEqual(['R-4', 'R-3']);
  const [e, f] = [match('R-5', {}), match('R-6', {})];
  expect(codes(rank([e, f], 'lasting'))).toEqual(['R-5', 'R-6']);
  expect(codes(rank([f, e], 'stopgap'))).toEqual(['R-6', 'R-5']);
});

describe('what would change the ranking', () => {
  const ready = { ...survey, site: { ...survey.site, tools: 'hand' as const } };
  /** Wants blasting, and goes anywhere else. */
  const blasted = (code: string, price: number) => ({
    ...card,
    code,
    packs: card.packs.map((p) => ({ ...p, price })),
  });
  /** Content with what a hand tool leaves. */
  const byHand = {
    ...blasted('R-930', 200),
    substrates: card.substrates.map((s) => ({ ...s, lasting: 'St 2', profileUm: null })) as never,
  };
  const offered = (...cards: (typeof card)[]) =>
    whatWouldChange(
      ready,
      rank(
        cards.map((c) => judge(ready, c, { site })),
        'lasting',
      ),
      { site },
    );

  test('a change is offered if it allows a card that would then be first', () => {
    const found = offered(byHand, blasted('R-931', 1));
    expect(found.map((w) => w.code)).toEqual(['R-931']);
    const [first] = found;
    const after = withChanges(ready, first?.changes ?? []);
    expect(after && judge(after, blasted('R-931', 1), { site }).verdict).toBe(first?.verdict);
  });

  test('one that would rank behind is not offered', () => {
    expect(offered(byHand, blasted('R-932', 90_000))).toEqual([]);
  });

  test('a fitting card needs no change', () => {
    expect(offered(byHand)).toEqual([]);
  });

  test('fewest changes first, then the better card', () => {
    const found = offered(blasted('R-934', 3), blasted('R-933', 2), blasted('R-935', 1));
    expect(found.map((w) => w.code)).toEqual(['R-935', 'R-933', 'R-934']);
  });

  test('an unknown or out-of-range change changes nothing', () => {
    const relax = (path: string, text: string) => [{ path, text }] as unknown as Relax[];
    expect(withChanges(survey, relax('service.nothing', '4'))).toBeNull();
    expect(withChanges(survey, relax('service.mediumC', '9999'))).toBeNull();
    expect(withChanges(survey, relax('service.mediumC', '45'))?.service.mediumC).toBe(45);
    const deeper = withChanges(survey, relax('damages.0.depthMm', '12'));
    expect(deeper?.damages[0]).toMatchObject({ depthMm: 12, lengthMm: 200 });
    expect(survey.damages[0]).toMatchObject({ depthMm: 10 });
  });
});
