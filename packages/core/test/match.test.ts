import { judge, matchAll, shareOfLimit, type CardMatch } from '../src/match/match';
import { m } from '../src/message/message';
import { rank, whyFirst } from '../src/match/rank';
import { makePlan } from '../src/plan/make';
import type { SurveyOf } from '../src/families/registry';
import { word } from '../src/message/word';
import type { Verdict } from '../src/rules/rule';
import { card, site, survey } from './fixtures';

type Rebuild = SurveyOf<'F2'>;
type Change = (s: Rebuild) => void;
const changed = (change: Change): Rebuild => {
  const copy = structuredClone(survey);
  change(copy);
  return copy;
};

/** What a technician would say of the card, before any code: survey in short, rule, verdict. */
const cases: [string, Change, string, Verdict][] = [
  ['clean cast iron pocket, blasted, water at 40', () => undefined, 'substrate', 'fits'],
  ['aluminium, not on the card', (s) => (s.parent.material = 'cast-aluminium'), 'substrate', 'no'],
  ['blasting reaches Sa 2½', () => undefined, 'prep', 'fits'],
  ['only hand tools for a lasting repair', (s) => (s.site.tools = 'hand'), 'prep', 'no'],
  [
    'power tools for a stop-gap that asks St 3',
    (s) => {
      s.intent = 'stopgap';
      s.site.tools = 'power';
    },
    'prep',
    'fits',
  ],
  ['blasting in zone 1', (s) => (s.site.area = 'zone-1'), 'prep', 'no'],
  ['damp can be dried', (s) => (s.surface.damp = 'damp'), 'damp', 'if'],
  ['under water with a dry paste', (s) => (s.surface.damp = 'under-water'), 'damp', 'no'],
  ['steel 4 °C under a 5 °C limit', (s) => (s.readings.surfaceC = 4), 'ambient', 'if'],
  [
    'steel at the dew point',
    (s) => {
      s.readings.rhPct = 84;
      s.readings.surfaceC = 16;
      s.readings.airC = 18;
    },
    'ambient',
    'if',
  ],
  [
    'air too humid',
    (s) => {
      s.readings.rhPct = 90;
      s.readings.airC = 10;
      s.readings.surfaceC = 30;
    },
    'ambient',
    'if',
  ],
  ['steel at 60 °C', (s) => (s.readings.surfaceC = 60), 'ambient', 'if'],
  ['wet heat at the limit', (s) => (s.service.mediumC = 80), 'heat', 'fits'],
  ['wet heat one degree over', (s) => (s.service.mediumC = 81), 'heat', 'no'],
  [
    'dry heat over the wet limit',
    (s) => {
      s.service.medium = 'air';
      s.service.mediumC = 110;
    },
    'heat',
    'fits',
  ],
  ['colder than the card goes', (s) => (s.service.mediumC = -35), 'heat', 'no'],
  ['an acid that is not on the card', (s) => (s.service.medium = 'mineral-acid'), 'medium', 'no'],
  [
    'caustic hotter than the card stands',
    (s) => {
      s.service.medium = 'caustic';
      s.service.concPct = 5;
      s.service.mediumC = 55;
    },
    'medium',
    'no',
  ],
  ['pH just inside', (s) => (s.service.ph = 13.5), 'ph', 'fits'],
  ['pH over the range', (s) => (s.service.ph = 13.9), 'ph', 'no'],
  ['pH under the range', (s) => (s.service.ph = 1), 'ph', 'no'],
  [
    'air has no pH',
    (s) => {
      s.service.medium = 'air';
      s.service.ph = 0;
    },
    'ph',
    'fits',
  ],
  ['good against erosion', (s) => (s.service.wear = 'erosion'), 'wear', 'fits'],
  ['fair against knocks', (s) => (s.service.wear = 'impact'), 'wear', 'if'],
  ['to be machined, and it can be', (s) => (s.parent.machined = true), 'machine', 'fits'],
  [
    '11 mm in one level coat of 15',
    (s) => (s.damages = [{ shape: 'pocket', diameterMm: 100, depthMm: 11, wallMm: 30 }]),
    'thickness',
    'fits',
  ],
  [
    '11 mm overhead, where one coat holds 6',
    (s) => {
      s.surface.slope = 'overhead';
      s.damages = [{ shape: 'pocket', diameterMm: 100, depthMm: 11, wallMm: 30 }];
    },
    'thickness',
    'fits',
  ],
  [
    'thinner than it holds',
    (s) => (s.damages = [{ shape: 'flat', lengthMm: 100, widthMm: 50, depthMm: 0.8, wallMm: 12 }]),
    'thickness',
    'fits',
  ],
  [
    'thicker than it may be in all',
    (s) => (s.damages = [{ shape: 'pocket', diameterMm: 300, depthMm: 70, wallMm: 150 }]),
    'thickness',
    'no',
  ],
  ['one small batch', () => undefined, 'batches', 'fits'],
  ['a day and a half down', (s) => (s.window.downMin = 36 * 60), 'window', 'fits'],
  ['four hours down', (s) => (s.window.downMin = 240), 'window', 'no'],
  [
    'half the wall left',
    (s) => (s.damages = [{ shape: 'pocket', diameterMm: 80, depthMm: 8, wallMm: 16 }]),
    'wall',
    'fits',
  ],
  [
    '2 mm of wall left',
    (s) => (s.damages = [{ shape: 'pocket', diameterMm: 80, depthMm: 8, wallMm: 10 }]),
    'wall',
    'if',
  ],
  [
    'a shaft seat holds no pressure',
    (s) =>
      (s.damages = [{ shape: 'seat', finishedDiameterMm: 80, wornDiameterMm: 76, lengthMm: 40 }]),
    'wall',
    'fits',
  ],
];

test.each(cases)('%s', (_, change, ruleId, verdict) => {
  const found = judge(changed(change), card, { site }).judged.find((j) => j.rule.id === ruleId);
  expect({ ruleId, verdict: found?.verdict }).toEqual({ ruleId, verdict });
  expect(found && word(found.because)).toMatch(/\.$/);
  if (verdict === 'if') expect(found?.condition).toBeTruthy();
});

test('one no excludes; coats and batches are the build, not a condition', () => {
  const poor = { ...card, code: 'R-900', service: { ...card.service, wetHeatC: 30 } };
  const ranked = rank(matchAll(survey, [poor, card], { site }), 'lasting');
  expect(ranked.map((s) => [s.match.card.code, s.match.verdict])).toEqual([
    [card.code, 'fits'],
    ['R-900', 'no'],
  ]);
  const [first, second] = ranked;
  expect(first && word(whyFirst(first, second, 'lasting') ?? m(''))).toBe('R-900 does not fit');
  const deep = changed((s) => {
    s.surface.slope = 'overhead';
    s.damages = [{ shape: 'pocket', diameterMm: 100, depthMm: 11, wallMm: 30 }];
  });
  const built = judge(deep, card, { site });
  const thick = built.judged.find((j) => j.rule.id === 'thickness');
  expect([built.verdict, thick?.condition, word(thick?.build ?? m(''))]).toEqual([
    'fits',
    undefined,
    'built in 2 coats',
  ]);
});

test("conditions have the site's price in minutes and money, and change the ranking", () => {
  // A fair card for wear is looked at again early; a thin wall is a pressure engineer's to allow.
  const thin = changed((s) => {
    s.service.wear = 'impact';
    s.damages = [{ shape: 'pocket', diameterMm: 80, depthMm: 8, wallMm: 10 }];
  });
  const dear = { ...site, leaveMinutes: 600, leaveCost: 333, termMinutes: 60, labourPerHour: 45 };
  // Its packs are fetched first: nothing of it is on the shelf.
  const bare = { shelf: [] };
  const found = judge(thin, card, { site: dear, context: bare });
  expect(found.judged.filter((j) => j.verdict === 'if').map((j) => j.rule.id)).toEqual([
    'wear',
    'wall',
    'stock',
  ]);
  // What is met by hand is in the schedule, while the leave is waited for.
  const free = judge(thin, card, { site: { ...dear, termMinutes: 0 }, context: bare });
  expect(found.readyMin).toBeCloseTo((free.readyMin ?? 0) + 60, 6);
  expect(found.workCost).toBeCloseTo((free.workCost ?? 0) + 45, 6);
  expect(found.besides).toEqual({ minutes: 540, cost: 333 + 45 });
  expect(found.serviceMin).toBe((found.readyMin ?? 0) + 540);
  const { materialCost, workCost, downtimeCost, totalCost } = found;
  expect(downtimeCost).toBeCloseTo(((found.serviceMin ?? 0) / 60) * thin.asset.costPerHour, 6);
  expect(totalCost).toBeCloseTo(
    (materialCost ?? 0) + (workCost ?? 0) + 378 + (downtimeCost ?? 0),
    6,
  );
  expect(judge(survey, card, { site: dear }).besides).toEqual({ minutes: 0, cost: 0 });
  // Of two alike, the one that nobody need allow goes first.
  const leave = { ...card, code: 'R-902', permission: 'pressure-engineer' as const };
  expect(
    rank(matchAll(survey, [leave, card], { site: dear }), 'lasting').map((s) => s.match.card.code),
  ).toEqual([card.code, 'R-902']);
});

test('with enough margin, cost per year decides for lasting, and time to service for stop-gap', () => {
  const order = (intent: 'lasting' | 'stopgap', ...cards: (typeof card)[]) =>
    rank(matchAll(survey, cards, { site }), intent).map((s) => s.match.card.code);
  const priced = (code: string, price: number, lasting: number) => ({
    ...card,
    code,
    packs: card.packs.map((p) => ({ ...p, price })),
    lifeDays: { ...card.lifeDays, lasting },
  });
  // Dearer and longer: by the year it is the cheaper one.
  const long = priced('R-903', 100, 4000);
  expect(order('lasting', priced('R-904', 60, 400), long)[0]).toBe('R-903');
  expect(order('lasting', priced('R-904', 60, 400), priced('R-903', 9000, 500))[0]).toBe('R-904');
  const slower = { ...priced('R-905', 1, 9000), applyMlPerMin: card.applyMlPerMin / 20 };
  expect(order('stopgap', slower, long)).toEqual(['R-903', 'R-905']);
  // The same by the year: the one that runs sooner.
  const twin = (code: string, serviceMin: number) => {
    const [own] = matchAll(survey, [priced(code, 60, 400)], { site });
    if (!own) throw new Error('no match');
    const as = { serviceMin, totalCost: 500 };
    return Object.create(own, Object.getOwnPropertyDescriptors(as)) as CardMatch;
  };
  const tied = rank([twin('R-908', 900), twin('R-909', 300)], 'lasting');
  expect(tied.map((s) => s.match.card.code)).toEqual(['R-909', 'R-908']);
  // Little to spare comes after enough, whatever it costs.
  const tight = { ...long, code: 'R-906', service: { ...card.service, wetHeatC: 43 } };
  expect(order('lasting', tight, priced('R-907', 9000, 500))).toEqual(['R-907', 'R-906']);
  const [first, second] = rank(matchAll(survey, [tight, card], { site }), 'lasting');
  expect(first && word(whyFirst(first, second, 'lasting') ?? m(''))).toBe(
    'R-906 has 5 % to spare: heat',
  );
});

test('the first line gives the reason in figures: life, time to service, cost', () => {
  const [own] = rank(matchAll(survey, [card], { site }), 'lasting');
  if (!own) throw new Error('no match');
  const as = (match: Partial<typeof own.match>) => {
    const whole = Object.create(own.match, Object.getOwnPropertyDescriptors(match)) as CardMatch;
    return { ...own, match: whole };
  };
  const first = as({ lifeDays: 1095, serviceMin: 90, totalCost: 110 });
  const second = as({ lifeDays: 730, serviceMin: 150, totalCost: 70 });
  const why = (p: typeof own, q: typeof own, intent: 'lasting' | 'stopgap') =>
    word(whyFirst(p, q, intent) ?? m(''));
  const { code } = card;
  expect(why(first, second, 'lasting')).toBe(
    `it lasts 3 years here, ${code} 2 years; it costs €40 more`,
  );
  expect(why(first, second, 'stopgap')).toBe(
    `it is back in 1 h 30 min, ${code} in 2 h 30 min; it costs €40 more`,
  );
  const cheaper = as({ lifeDays: 730, totalCost: 30 });
  expect(why(cheaper, second, 'lasting')).toBe(
    `it lasts 2 years here, and so does ${code}; it costs €40 less`,
  );
  const unknown = as({ lifeDays: 730, totalCost: null });
  expect(why(first, unknown, 'lasting')).toBe(`it lasts 3 years here, ${code} 2 years`);
  expect(whyFirst(first, undefined, 'lasting')).toBeNull();
});

test('the score is the visible sum of its parts, and weights add up to one', () => {
  for (const intent of ['lasting', 'stopgap'] as const) {
    for (const { score, parts } of rank(matchAll(survey, [card], { site }), intent)) {
      expect(parts.reduce((sum, p) => sum + p.weight, 0)).toBeCloseTo(1, 9);
      expect(parts.reduce((sum, p) => sum + p.weight * p.score, 0)).toBeCloseTo(score, 9);
    }
  }
});

test('a withdrawn card says why, as the main and as a second material', () => {
  const gone = { ...card, withdrawn: 'Supplier changed the hardener.' };
  const found = judge(survey, gone, { site });
  expect(found.verdict).toBe('no');
  const stop = found.judged.find((j) => j.verdict === 'no');
  expect([stop?.rule.id, word(stop?.because ?? m(''))]).toEqual([
    'in-use',
    'Withdrawn: Supplier changed the hardener.',
  ]);
  expect(makePlan(survey, gone, { site, madeAt: '2026-11-25T08:00:00Z' }).ok).toBe(false);
});

test('too many coats or batches are refused at once', () => {
  const thin = {
    ...card,
    layer: {
      ...card.layer,
      minMm: 0.001,
      maxMm: { level: 0.001, vertical: 0.001, overhead: 0.001 },
    },
  };
  const coats = judge(survey, thin, { site }).judged.find((j) => j.rule.id === 'thickness');
  expect(word(coats?.because ?? m(''))).toMatch(/over 40 coats\.$/);
  const drops = { ...site, vesselMl: 0.01 };
  const batches = judge(survey, card, { site: drops }).judged.find((j) => j.rule.id === 'batches');
  expect([batches?.verdict, word(batches?.because ?? m(''))]).toEqual([
    'no',
    expect.stringMatching(/^That is \d+ batches; more than 1000 is not a plan\./),
  ]);
});

test.each([
  ['under a most', { value: 40, limit: 50, quantity: 'length', sense: 'max' }, 0.8],
  ['at a most', { value: 50, limit: 50, quantity: 'length', sense: 'max' }, 1],
  ['over a least', { value: 6, limit: 5, quantity: 'length', sense: 'min' }, 1.2],
  [
    'over a least below zero',
    { value: 15, limit: -5, quantity: 'temperature', sense: 'min' },
    4 / 3,
  ],
  [
    'under a least below zero',
    { value: -8, limit: -5, quantity: 'temperature', sense: 'min' },
    0.95,
  ],
  ['over a most of nothing', { value: 6, limit: 0, quantity: 'temperature', sense: 'max' }, 1.1],
  ['far under a least', { value: 0, limit: 1, quantity: 'length', sense: 'min' }, 0],
] as const)('a figure is on the right side of its rule: %s', (_, against, share) => {
  expect(shareOfLimit(against)).toBeCloseTo(share, 9);
});
