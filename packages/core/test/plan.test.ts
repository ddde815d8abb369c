import { makePlan, Plan } from '../src/plan/plan';
import { gistOf } from '../src/schedule/gist';
import { nextAct, openBatches } from '../src/schedule/nextAct';
import { stripOf, stripText } from '../src/schedule/strip';
import { axisOf } from '../src/schedule/axis';
import { drawSection } from '../src/section/section';
import { readDraft } from '../src/survey/draft';
import { sketchOf, withUnits } from '../src/survey/sketch';
import { asDraft, card, site, survey } from './fixtures';

const MIN = 60_000;
const made = (s = survey) => {
  const result = makePlan(s, card, site, '2026-11-24T08:05:00Z');
  if (!result.ok) throw new Error(result.why);
  return result.plan;
};

/**
 * Worked by hand: 200 × 100 × 10 mm is 200 ml, half a 100 µm profile over 200 cm² is 1 ml: 201 ml in all.
 * At 20 °C the life is 50 min, 40 of it usable, less 5 to mix: 35 min at 10 ml/min is 350 ml, so one batch.
 * 4:1 by volume is 160.8 and 40.2 ml, at 2 and 1 g/ml 321.6 and 40.2 g. Three packs of 100 ml cost 120, one of 500 costs 150.
 */
test('one pocket planned by hand', () => {
  const plan = made();
  expect(plan.figures.total?.value).toBeCloseTo(201, 6);
  expect(plan.figures.batches?.value).toBe(1);
  expect(plan.batches[0]).toMatchObject({
    no: 1,
    coat: 1,
    aG: expect.closeTo(321.6, 6),
    bG: expect.closeTo(40.2, 6),
    lifeMin: expect.closeTo(50, 6),
    placeByMin: expect.closeTo(40, 6),
  });
  expect(plan.picks).toEqual([
    { id: 'R-100/100', label: '100 ml pack', count: 3, price: 120, lot: null },
  ]);
  expect(plan.figures.packCost?.value).toBe(120);
  expect(plan.needed).toBe('immersion');
  expect(plan.milestones.find((m) => m.id === 'immersion')?.minutes).toBe(600);
  expect(plan.buildMin).toBeCloseTo(5 + 20.1, 6);
  expect(plan.readyMin).toBeCloseTo(plan.prepMin + 25.1 + 600 + plan.acceptMin, 6);
});

test('two coats overhead: each waits for the window of the one before', () => {
  const plan = made({
    ...survey,
    surface: { damp: 'dry', slope: 'overhead' },
    window: { ...survey.window, downMin: 2880 },
  });
  expect(plan.figures.coats?.value).toBe(2);
  expect(plan.figures.coat?.value).toBe(5);
  expect(plan.batches.map((b) => b.coat)).toEqual([1, 2]);
  const perCoat = 5 + 10.05;
  expect(plan.buildMin).toBeCloseTo(2 * perCoat + (80 - perCoat), 6);
  expect(plan.conditions).toContain('built in 2 coats');
});

test('a shaft seat leaves material on for the tool, and waits for full load', () => {
  const plan = made({
    ...survey,
    damages: [{ shape: 'seat', finishedDiameterMm: 80, wornDiameterMm: 76, lengthMm: 50 }],
    parent: { material: 'carbon-steel', salts: false, machined: true },
    service: { medium: 'oil', concPct: null, ph: 7, mediumC: 60, wear: 'sliding' },
  });
  const net = (Math.PI * 50 * (82 ** 2 - 76 ** 2)) / 4 / 1000;
  const profile = (Math.PI * 76 * 50 * 0.05) / 1000;
  expect(plan.figures.total?.value).toBeCloseTo(net + profile, 6);
  expect(plan.needed).toBe('fullLoad');
  expect(plan.steps.some((s) => s.id === 'machine')).toBe(true);
});

test('every figure ends in its own value, every step has a duration, the plan reads back from JSON', () => {
  const plan = made();
  for (const f of Object.values(plan.figures)) {
    expect(f.working.length).toBeGreaterThan(0);
    expect(Number.isFinite(f.value)).toBe(true);
  }
  for (const s of plan.steps) expect(s.minutes).toBeGreaterThanOrEqual(0);
  expect(Plan.parse(JSON.parse(JSON.stringify(plan)))).toEqual(plan);
});

test('a card that does not fit makes no plan, and says why', () => {
  const result = makePlan(
    { ...survey, service: { ...survey.service, mediumC: 95 } },
    card,
    site,
    '2026-11-24T08:05:00Z',
  );
  expect(result).toEqual({ ok: false, why: expect.stringMatching(/95 °C.*80 °C/) });
});

describe('a repair that runs', () => {
  const plan = made();
  const gist = gistOf(plan);
  const start = Date.parse('2026-11-24T10:00:00Z');
  const mix = { batchNo: 1, startedAt: start, placedAt: null, binned: false };
  const at = (minutes: number) => start + minutes * MIN;

  test('the strip is wet, late, curing, set, in that order and without gaps', () => {
    const strip = stripOf(gist, start);
    expect(strip.segments.map((s) => s.state)).toEqual(['wet', 'late', 'curing', 'set']);
    strip.segments.slice(1).forEach((s, i) => expect(s.from).toBe(strip.segments[i]?.to));
    expect(strip.segments.map((s) => (s.to - start) / MIN).slice(0, 3)).toEqual([
      expect.closeTo(40, 6),
      expect.closeTo(50, 6),
      600,
    ]);
    expect(stripText(strip, at(1), 0)).toBe(
      'Mixed 10:00, wet. Place by 10:40. Life ends 10:50. Set 20:00. Needed 08:00.',
    );
  });

  test('the next act follows the pail, the cure, and the end of it', () => {
    expect(nextAct(gist, [], at(0), 0)).toBeNull();
    expect(nextAct(gist, [mix], at(5), 0)).toMatchObject({
      phase: 'place',
      clockTo: expect.closeTo(at(40), -1),
      say: 'Place it by 10:40.',
    });
    expect(nextAct(gist, [mix], at(60), 0)?.say).toMatch(/^Stop/);
    const placed = { ...mix, placedAt: at(25) };
    expect(nextAct(gist, [placed], at(60), 0)).toMatchObject({
      phase: 'cure',
      say: 'Good for immersion from 20:00,',
    });
    expect(nextAct(gist, [placed], at(601), 0)?.phase).toBe('ready');
    expect(nextAct(gist, [{ ...mix, binned: true }], at(5), 0)).toBeNull();
    expect(openBatches(plan, [{ ...mix, binned: true }])).toEqual([1]);
  });

  test('between coats the window opens, closes, and is missed', () => {
    const two = gistOf(
      made({
        ...survey,
        surface: { damp: 'dry', slope: 'overhead' },
        window: { ...survey.window, downMin: 2880 },
      }),
    );
    const first = { ...mix, placedAt: at(20) };
    expect(nextAct(two, [first], at(30), 0)).toMatchObject({
      phase: 'overcoat-wait',
      say: 'Coat 2 from 11:20,',
    });
    expect(nextAct(two, [first], at(100), 0)).toMatchObject({
      phase: 'overcoat',
      say: 'Overcoat before 16:40,',
    });
    expect(nextAct(two, [first], at(500), 0)).toMatchObject({
      phase: 'overcoat-missed',
      say: 'Abrade first.',
    });
  });
});

test('an axis keeps order, holds what is outside, and breaks where the speed changes', () => {
  const axis = axisOf({
    from: 0,
    nearTo: 60 * MIN,
    to: 600 * MIN,
    width: 300,
    nearShare: 0.7,
    zoneMin: 60,
  });
  expect([axis.x(-5), axis.x(30 * MIN), axis.x(60 * MIN), axis.x(1e12)]).toEqual([
    0, 105, 210, 300,
  ]);
  expect(axis.breakX).toBe(210);
  const xs = axis.ticks.map((t) => t.x);
  expect([...xs].sort((a, b) => a - b)).toEqual(xs);
  expect(axis.ticks.some((t) => t.label !== null)).toBe(true);
});

describe('the section', () => {
  const options = {
    width: 358,
    height: 230,
    system: 'metric' as const,
    tag: 'P-1',
    material: 'cast-iron' as const,
    medium: null,
    layers: [],
    edgeMm: 3,
    label: 'R-100',
    dimensions: true,
    unknown: [] as string[],
  };

  test.each([
    [{ shape: 'pocket', diameterMm: 140, depthMm: 11, wallMm: 16 }, ['140', '11', '16', '5 left']],
    [
      { shape: 'flat', lengthMm: 400, widthMm: 200, depthMm: 1, wallMm: 18 },
      ['400 × 200', '1', '18', '17 left'],
    ],
    [
      { shape: 'seat', finishedDiameterMm: 80, wornDiameterMm: 76, lengthMm: 50 },
      ['50', '2', 'finished ⌀ 80', 'worn ⌀ 76'],
    ],
    [{ shape: 'bore', finishedDiameterMm: 120, wornDiameterMm: 123, lengthMm: 50 }, ['50', '1.5']],
  ] as const)('letters the true sizes of %j inside its box', (damage, texts) => {
    const drawing = drawSection('F2', damage, options);
    const lettered = drawing.prims.flatMap((p) => ('text' in p ? [p.text] : []));
    for (const text of texts) expect(lettered).toContain(text);
    for (const p of drawing.prims) {
      if (p.kind !== 'area') continue;
      for (const [x, y] of p.points) expect(x >= 0 && x <= 358 && y >= 0 && y <= 230).toBe(true);
    }
  });

  test('is the same line for the same repair, another for another', () => {
    const damage = { shape: 'pocket', diameterMm: 140, depthMm: 11, wallMm: 16 } as const;
    expect(drawSection('F2', damage, options)).toEqual(drawSection('F2', damage, options));
    expect(drawSection('F2', damage, { ...options, tag: 'P-2' }).prims).not.toEqual(
      drawSection('F2', damage, options).prims,
    );
  });

  test('is drawn while it is still being typed, with what is not known as a question', () => {
    const draft = asDraft(survey);
    const sketch = sketchOf(
      { ...draft, texts: { ...draft.texts, 'damages.0.depthMm': 'deep' } },
      0,
      'metric',
    );
    expect(sketch).toMatchObject({
      unknown: ['depthMm'],
      material: 'cast-iron',
      damage: { lengthMm: 200 },
    });
    if (!sketch) return;
    const drawing = drawSection('F2', sketch.damage, { ...options, unknown: sketch.unknown });
    expect(drawing.prims.flatMap((p) => ('text' in p ? [p.text] : []))).toContain('?');
  });
});

describe('a draft', () => {
  test('reads back to the survey it came from', () => {
    expect(readDraft(asDraft(survey), 'metric')).toEqual({ survey, issues: [] });
  });

  test('names each field that is wrong with its range, and keeps the rest', () => {
    const draft = asDraft(survey);
    const texts = {
      ...draft.texts,
      'damages.0.depthMm': '-4',
      'readings.rhPct': '140',
      'service.medium': '',
      'window.downMin': 'soon',
    };
    const { survey: none, issues } = readDraft(
      { ...draft, texts, asset: { ...draft.asset, tag: ' ' } },
      'metric',
    );
    expect(none).toBeNull();
    const byPath = Object.fromEntries(issues.map((i) => [i.path, i.message]));
    expect(byPath['damages.0.depthMm']).toBe('Too small: 0.2 mm is the least, 200 mm the most.');
    expect(byPath['readings.rhPct']).toBe('Too big: 100 % is the most, 1 % the least.');
    expect(byPath['service.medium']).toBe('Choose one.');
    expect(byPath['window.downMin']).toMatch(/not a number.*From 10 min to 60 d/);
    expect(byPath['asset.tag']).toMatch(/1 to 24 characters/);
  });

  test('knows what cannot be: deeper than the wall, a shaft worn over its size', () => {
    const deep = readDraft(
      asDraft({
        ...survey,
        damages: [{ shape: 'pocket', diameterMm: 90, depthMm: 20, wallMm: 12 }],
      }),
      'metric',
    );
    expect(deep.issues).toEqual([
      { path: 'damages.0.depthMm', message: expect.stringMatching(/under the sound wall/) },
    ]);
  });

  test('says its unit before another system takes over', () => {
    const draft = withUnits(asDraft(survey), (path) => (path.endsWith('Mm') ? 'mm' : ''));
    expect(draft.texts['damages.0.lengthMm']).toBe('200 mm');
    expect(readDraft({ ...draft }, 'us').survey?.damages[0]).toEqual(survey.damages[0]);
  });
});
