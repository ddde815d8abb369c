import { demandOfSurvey } from '../src/families/registry';
import { jobFrom, workFor } from '../src/job/job';
import { judge } from '../src/match/match';
import { m } from '../src/message/message';
import { word } from '../src/message/word';
import { costFigures } from '../src/plan/costs';
import { makePlan } from '../src/plan/make';
import { drawPacks, type Lot } from '../src/work/draw';
import { aidFor, aidProblem } from '../src/work/aids';
import { suppliesOf } from '../src/work/supplies';
import { weatherFor, windowsIn } from '../src/work/weather';
import { checkWeighed, partsFor, waterPerBag, weighing } from '../src/work/weighing';
import type { AidCard, SystemCard } from '../src/materials/card';
import type { Mix } from '../src/materials/mix';
import { card, site, survey } from './fixtures';

const packs = [
  { id: 's', label: 'small', size: 100, price: 40 },
  { id: 'l', label: 'large', size: 500, price: 150 },
];
const lot = (packId: string, name: string, expiresOn: string, count: number): Lot => ({
  id: name,
  cardCode: 'R-100',
  packId,
  lot: name,
  expiresOn,
  count,
});
const drawn = (need: number, lots: Lot[]) => {
  const found = drawPacks({ need, packs, lots, at: '2026-11-24T08:00:00Z' });
  if (!found.ok) throw new Error(found.why);
  return found;
};

describe('packs for an amount', () => {
  test.each<[string, number, Lot[], [string | null, number][], number]>([
    ['nothing on the shelf: the cheapest to buy', 201, [], [[null, 3]], 120],
    [
      'the oldest lot first',
      150,
      [lot('s', 'b', '2027-09-01', 5), lot('s', 'a', '2027-01-01', 1)],
      [
        ['a', 1],
        ['b', 1],
      ],
      80,
    ],
    ['past its date is not taken', 90, [lot('s', 'old', '2026-11-23', 5)], [[null, 1]], 40],
    ['good on its last day', 90, [lot('s', 'old', '2026-11-24', 5)], [['old', 1]], 40],
    [
      'what a larger pack covers stays',
      450,
      [lot('s', 'a', '2027-01-01', 2), lot('l', 'b', '2027-02-01', 1)],
      [['b', 1]],
      150,
    ],
    [
      'the rest is bought',
      320,
      [lot('s', 'a', '2027-01-01', 2)],
      [
        ['a', 2],
        [null, 2],
      ],
      160,
    ],
    ['nothing is needed', 0, [lot('s', 'a', '2027-01-01', 2)], [], 0],
  ])('%s', (_, need, lots, picks, price) => {
    const found = drawn(need, lots);
    expect(found.picks.map((p) => [p.lot, p.count])).toEqual(picks);
    expect(found.price).toBe(price);
    expect(found.total - need).toBeCloseTo(found.leftover, 9);
    expect(found.leftover).toBeGreaterThanOrEqual(0);
    expect(found.working.at(-1)).toMatchObject({ symbol: '€', value: price });
  });
});

describe('what is weighed', () => {
  const powder: Mix = {
    kind: 'powder-water',
    bagKg: 25,
    yieldLPerBag: 12.5,
    waterLPerBag: { patch: 2.5, base: 4, finish: 3 },
    restMinutes: 3,
    maxAggregatePct: 50,
    aggregateOverMm: 50,
    tolerancePct: 5,
    mixMinutes: 3,
    mixedSign: 'Even',
    tool: 'Paddle',
  };
  const made = (mix: Mix): SystemCard => ({ ...card, mix });

  test('nothing for a whole kit, a cartridge or a roll', () => {
    const { mix } = card;
    expect(weighing(mix.kind === 'two-part' ? { ...mix, wholeKit: true } : mix)).toBeNull();
    expect(partsFor(made({ ...powder }), 12_500, { consistency: 'base', slope: 'level' })).toEqual({
      aG: expect.closeTo(25_000, 6),
      bG: expect.closeTo(4000, 6),
    });
  });

  test('water by the coat, otherwise that of the patch', () => {
    expect([waterPerBag(powder, 'base'), waterPerBag(powder, 'finish')]).toEqual([4, 3]);
    const plain = { ...powder, waterLPerBag: { patch: 2.5 } };
    expect(waterPerBag(plain, 'finish')).toBe(2.5);
  });

  test('aggregate extends a bag: less powder for the same fill', () => {
    const parts = partsFor(made(powder), 12_500, {
      consistency: 'patch',
      slope: 'level',
      aggregatePct: 50,
    });
    // 12.5 l and 12.5 kg of stone at 2.65 kg/l: 17.217 l a bag.
    expect(parts?.aG).toBeCloseTo((25_000 * 12.5) / (12.5 + 12.5 / 2.65), 6);
  });

  test('too wet is off ratio, with the powder to correct it', () => {
    const weighed = { aG: 25_000, bG: 3000 };
    const check = checkWeighed(powder, weighed, { consistency: 'patch', slope: 'level' });
    expect(check).toMatchObject({ verdict: 'out', addB_G: 0 });
    expect(check?.deviationPct).toBeCloseTo(20, 9);
    expect(check?.addA_G).toBeCloseTo(5000, 6);
    expect(checkWeighed(powder, weighed, { consistency: 'finish', slope: 'level' })?.verdict).toBe(
      'in',
    );
  });

  test('a filler too thin or too thick shows what to add', () => {
    const filler: Mix = {
      kind: 'dissolved',
      solventDensityGml: 0.8,
      solids: { paste: 0.5, syrup: 0.25 },
      density: 0.9,
      tolerancePct: 10,
      mixMinutes: 5,
      mixedSign: 'Smooth',
      tool: 'Jar',
    };
    const weighed = { aG: 40, bG: 60 };
    // Half solids want 60 g of pellets to 60 of solvent; a quarter wants 120 of solvent to 40 of pellets.
    expect(
      checkWeighed(filler, weighed, { consistency: 'patch', slope: 'vertical' })?.addA_G,
    ).toBeCloseTo(20, 9);
    expect(
      checkWeighed(filler, weighed, { consistency: 'patch', slope: 'level' })?.addB_G,
    ).toBeCloseTo(60, 9);
  });
});

describe('aids and costs', () => {
  const aid: AidCard = {
    role: 'aid',
    code: 'A-101',
    version: 1,
    name: 'Test wipe',
    summary: '',
    use: 'wipe',
    example: true,
    flashOffMinutes: 5,
    coverageM2L: 10,
    packs: [{ id: 'A-101/500', label: '500 ml', size: 500, price: 9 }],
    flammable: true,
    hazards: ['solvent'],
    ppe: ['gloves'],
    mustNotTouch: [],
    spoils: [],
    notOn: [],
  };

  const worked = (s = survey) =>
    workFor({
      survey: s,
      card,
      site,
      context: { library: [aid] },
      demand: demandOfSurvey(s, site),
      heldC: null,
      terms: 0,
    });

  test('an aid is drawn by area and coverage; a missing one is still named', () => {
    const work = worked();
    const { supplies, used } = suppliesOf(work, {
      main: card,
      rounds: jobFrom(work).draft.rounds,
      needs: [
        { kind: 'aid', use: 'wipe', for: m('the metal'), areaMm2: 2e6 },
        { kind: 'aid', use: 'release', for: m('the former'), areaMm2: 1e6 },
      ],
    });
    // 2 m² at 10 m²/l.
    expect(supplies.find((s) => s.code === 'A-101')).toMatchObject({
      amount: 200,
      price: 9,
      leftover: 300,
    });
    expect(supplies.find((s) => s.name === 'Release agent')).toMatchObject({
      code: null,
      picks: [],
    });
    expect(used.map((c) => c.code)).toEqual(['R-100', 'A-101']);
    expect(aidFor(work, 'etch')).toBeNull();
    expect(aidProblem(work, 'etch')).toBeNull();
  });

  test('a flammable aid is replaced where nothing may burn; without a replacement the card is excluded', () => {
    const burns = { ...aid, flammable: true };
    const wet = { ...aid, flammable: false, code: 'A-102', name: 'Water wipe' };
    const hot = { ...survey, site: { ...survey.site, ignition: 'stays' as const } };
    const zoned = { ...survey, site: { ...survey.site, area: 'zone-1' as const } };
    const at = (s: typeof survey, library: AidCard[]) => ({
      context: { library },
      survey: s,
      demand: demandOfSurvey(s, site),
    });
    expect(aidFor(at(survey, [burns, wet]), 'wipe')?.code).toBe('A-101');
    for (const s of [hot, zoned]) {
      expect(aidFor(at(s, [burns, wet]), 'wipe')?.code).toBe('A-102');
      expect(aidProblem(at(s, [burns, wet]), 'wipe')).toBeNull();
      expect(word(aidProblem(at(s, [burns]), 'wipe') ?? m(''))).toMatch(
        /^No last wipe for here. A-101 burns/,
      );
    }
    const rusts: AidCard = { ...wet, notOn: ['cast-iron'] };
    expect(word(aidProblem(at(survey, [rusts]), 'wipe') ?? m(''))).toMatch(
      /may not touch cast iron/,
    );
    const match = judge(hot, card, { site, context: { library: [burns] } });
    expect(match.judged.filter((j) => j.verdict === 'no').map((j) => j.rule.id)).toEqual(['aids']);
  });

  test('two coats take twice as much', () => {
    const work = worked();
    const amounts = [1, 2, 3].map((coats) => {
      const { supplies, figures } = suppliesOf(work, {
        main: card,
        rounds: [],
        needs: [{ kind: 'aid', use: 'wipe', for: m('the metal'), areaMm2: 5e5, coats }],
      });
      const figure = figures.find((f) => f.id === 'supply.wipe');
      expect(figure?.working.at(-1)?.value).toBe(figure?.value);
      return supplies.find((x) => x.code === 'A-101')?.amount;
    });
    expect(amounts).toEqual([50, 100, 150]);
  });

  test('the job costs material, people and the stop; doing nothing costs the later stop', () => {
    const past = {
      ...survey.past,
      grows: 'yes',
      nowMm: 10,
      mmPerWeek: 5,
      stopsAtMm: 60,
      stopMin: 600,
      quoteCost: 900,
      quoteMin: 60,
    } as const;
    const work = worked({ ...survey, past });
    const { supplies } = suppliesOf(work, {
      main: card,
      rounds: jobFrom(work).draft.rounds,
      needs: [],
    });
    const spent = { supplies, labourMin: 90, readyMin: 700, heatMin: 120 };
    const figures = new Map(costFigures(work, spent).map((f) => [f.id, f.value]));
    expect(figures.get('cost.labour')).toBeCloseTo((90 / 60) * 50, 6);
    expect(figures.get('cost.material')).toBe(120);
    // A heater costs 6 an hour.
    expect(figures.get('cost.heat')).toBeCloseTo(12, 6);
    expect(figures.get('cost.total')).toBeCloseTo(120 + 75 + 12 + (700 / 60) * 600, 6);
    expect(figures.get('nothing.until')).toBeCloseTo(10 * 7 * 1440, 6);
    expect(figures.get('nothing.cost')).toBe(6000);
    // A contractor's price and an hour of the stop.
    expect(figures.get('quote.cost')).toBeCloseTo(900 + 600, 6);
  });
});

describe('weather', () => {
  const hours = Array.from({ length: 30 }, (_, i) => ({
    at: new Date(Date.parse('2026-11-24T08:00:00Z') + i * 3_600_000).toISOString(),
    airC: 12,
    rhPct: i < 10 ? 60 : 95,
    rainMm: i === 4 ? 1 : 0,
  }));
  const gate = { minAboveDewC: 3, maxRhPct: 85, minSurfaceC: 5, maxSurfaceC: 40 };

  test('under a roof it is ignored; outdoors the surface follows the air', () => {
    expect(weatherFor(survey, hours)).toEqual({});
    const outside = { ...survey, site: { ...survey.site, outdoors: true } };
    const { forecast } = weatherFor(outside, hours);
    expect(forecast?.[0]).toEqual({ atMin: 0, tempC: survey.readings.surfaceC });
    expect(forecast?.[1]).toEqual({ atMin: 60, tempC: 12 });
    expect(weatherFor(outside, [])).toEqual({});
  });

  test('windows end before the rain; without hours there are none', () => {
    const found = windowsIn(hours, { gate, applyMinutes: 60, protectMinutes: 60 });
    expect(found[0]).toMatchObject({
      from: '2026-11-24T08:00:00.000Z',
      latestStart: '2026-11-24T10:00:00.000Z',
    });
    expect(windowsIn([], { gate, applyMinutes: 60, protectMinutes: 60 })).toEqual([]);
  });

  test('a cold night makes the plan longer, and the plan says so', () => {
    const outside = {
      ...survey,
      site: { ...survey.site, outdoors: true },
      window: { ...survey.window, downMin: 3000 },
    };
    const ready = (airC: number) => {
      const context = weatherFor(
        outside,
        hours.map((h) => ({ ...h, airC })),
      );
      const made = makePlan(outside, card, { site, madeAt: '2026-11-24T08:00:00Z', context });
      return made.ok ? made.plan.readyMin : NaN;
    };
    expect(ready(11)).toBeGreaterThan(ready(18));
  });
});
