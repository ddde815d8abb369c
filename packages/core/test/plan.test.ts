import { stepWords } from '../src/work/step';
import { readDraft } from '../src/form/draft';
import { sketchOf, withUnits } from '../src/form/sketch';
import { word } from '../src/message/word';
import { checkPlan } from '../src/plan/check';
import { makePlan } from '../src/plan/make';
import { Plan, planBatches, planRound } from '../src/plan/plan';
import { drawSection } from '../src/plan/section';
import { axisOf } from '../src/schedule/axis';
import { asDraft, card, made, site, survey } from './fixtures';

const MIN = 60_000;
/**
 * Worked by hand: 200 × 100 × 10 mm is 200 ml, half a 100 µm profile over 200 cm² is 1 ml: 201 ml in all.
 * At 20 °C the life is 50 min, 40 of it usable, less 5 to mix: 35 min at 10 ml/min is 350 ml, so one batch.
 * 4:1 by volume is 160.8 and 40.2 ml, at 2 and 1 g/ml 321.6 and 40.2 g. Three packs of 100 ml cost 120, one of 500 costs 150.
 */
test('one pocket planned by hand', () => {
  const plan = made();
  expect(plan.figures.total?.value).toBeCloseTo(201, 6);
  expect(plan.figures.batches?.value).toBe(1);
  const [batch] = planBatches(plan);
  expect(batch).toMatchObject({
    no: 1,
    aG: expect.closeTo(321.6, 6),
    bG: expect.closeTo(40.2, 6),
    lifeMin: expect.closeTo(50, 6),
  });
  if (!batch) return;
  expect(batch.placeByMin - batch.mixedAtMin).toBeCloseTo(40, 6);
  expect(batch.lastTouchMin - batch.mixedAtMin).toBeCloseTo(5 + 20.1, 6);
  const [system] = plan.supplies;
  expect(system?.picks).toEqual([
    { id: 'R-100/100', label: '100 ml pack', count: 3, price: 120, lot: null },
  ]);
  expect(plan.figures.packCost?.value).toBe(120);
  expect(plan.needed).toBe('immersion');
  const round = planRound(plan, plan.mainRound);
  expect(round?.milestones.find((x) => x.id === 'immersion')?.minutes).toBe(600);
  const accept = plan.schedule
    .filter((s) => plan.steps.find((x) => x.id === s.step)?.station === 'accept')
    .map((s) => s.from);
  expect(plan.readyMin).toBeGreaterThanOrEqual(batch.mixedAtMin + 600);
  expect(Math.min(...accept)).toBeGreaterThanOrEqual(batch.lastTouchMin);
});

test("two coats overhead are two rounds: the second waits for the first's window", () => {
  const plan = made({
    ...survey,
    surface: { damp: 'dry', slope: 'overhead' },
    window: { ...survey.window, downMin: 2880 },
  });
  expect(plan.figures.coats?.value).toBe(2);
  expect(plan.figures.coat?.value).toBe(5);
  expect(plan.rounds).toHaveLength(2);
  const [one, two] = planBatches(plan);
  if (!one || !two) throw new Error('two batches');
  expect(one.round).not.toBe(two.round);
  // In this order: the first with half of the profile under it, the last loaded by the service, and over-filled.
  const coats = plan.rounds.map((r) => [r.id, word(r.name), r.needed]);
  expect(coats).toEqual([
    ['coat-1', 'Coat 1 of 2', null],
    ['coat-2', 'Coat 2 of 2', 'immersion'],
  ]);
  const placed = plan.steps.filter((s) => s.does === 'place').map((s) => [s.round, stepWords(s)]);
  expect(placed[0]?.[1]).toMatch(/Build up 5 mm\. Work from the middle/);
  expect(placed[1]?.[1]).toMatch(
    /^Place this coat inside the overcoat window.* Add 5 mm\. Work from the middle/,
  );
  // Opens 80 min after its mix, closes after 400; touched once it has begun to be placed.
  expect(two.mixedAtMin).toBeGreaterThanOrEqual(one.mixedAtMin + 80 - 5);
  expect(two.lastTouchMin).toBeLessThanOrEqual(one.mixedAtMin + 400);
  expect(plan.conditions).toEqual([]);
});

test('the cover over the surface is laid only with the last coat', () => {
  const overhead = {
    ...survey,
    surface: { damp: 'dry' as const, slope: 'overhead' as const },
    window: { ...survey.window, downMin: 2880 },
  };
  const result = makePlan(overhead, card, {
    site: { ...site, overfillPct: 10 },
    madeAt: '2026-11-24T08:05:00Z',
  });
  if (!result.ok) throw new Error(word(result.why));
  // 200 ml in two coats of 100; half a 100 µm profile over 200 cm² lies under the first; ten per cent over on the second.
  const ml = result.plan.rounds.map((r) =>
    r.batches.reduce((sum, b) => sum + (b.aG ?? 0) / 2 + (b.bG ?? 0), 0),
  );
  expect(ml).toEqual([expect.closeTo(101, 6), expect.closeTo(110, 6)]);
});

test('a shaft seat keeps material for machining, and waits for full load', () => {
  const plan = made({
    ...survey,
    damages: [{ shape: 'seat', finishedDiameterMm: 80, wornDiameterMm: 76, lengthMm: 50 }],
    parent: { ...survey.parent, material: 'carbon-steel', machined: true },
    service: { ...survey.service, medium: 'oil', mediumC: 60, wear: 'sliding' },
  });
  const net = (Math.PI * 50 * (82 ** 2 - 76 ** 2)) / 4 / 1000;
  const profile = (Math.PI * 76 * 50 * 0.05) / 1000;
  expect(plan.figures.total?.value).toBeCloseTo(net + profile, 6);
  expect(plan.needed).toBe('fullLoad');
  expect(plan.steps.some((s) => s.name === 'machine')).toBe(true);
});

test('every figure ends in its value, every step has a duration, the plan reads back from JSON', () => {
  const plan = made();
  for (const f of Object.values(plan.figures)) {
    expect(f.working.at(-1)?.value).toBeCloseTo(f.value, 6);
    expect(Number.isFinite(f.value)).toBe(true);
  }
  for (const s of plan.steps) expect(s.minutes).toBeGreaterThanOrEqual(0);
  expect(Plan.parse(JSON.parse(JSON.stringify(plan)))).toEqual(plan);
});

test('a card that does not fit makes no plan, with the reason', () => {
  const result = makePlan({ ...survey, service: { ...survey.service, mediumC: 95 } }, card, {
    site,
    madeAt: '2026-11-24T08:05:00Z',
  });
  expect(result.ok ? '' : word(result.why)).toMatch(/95 °C.*80 °C/);
  expect(result.ok ? '' : word(result.why, 'us')).toMatch(/203 °F.*176 °F/);
});

describe('the checker reads only a saved plan', () => {
  const plan = made({
    ...survey,
    surface: { damp: 'dry', slope: 'overhead' },
    window: { ...survey.window, downMin: 2880 },
  });
  const broken = (change: (p: Plan) => void): string[] => {
    const copy = structuredClone(plan);
    change(copy);
    return checkPlan(copy).flatMap((f) => (f.ok ? [] : [f.law]));
  };
  const step = (p: Plan, does: string) => {
    const found = p.steps.find((s) => s.does === does);
    if (!found) throw new Error(`no step that is ${does}`);
    return found;
  };

  test('a sound plan has no finding', () => {
    expect(broken(() => undefined)).toEqual([]);
  });

  test.each<[string, string, (p: Plan) => void]>([
    [
      'a batch placed past its life',
      'life',
      (p) => {
        const slot = p.schedule.filter((s) => s.batch === 1).at(-1);
        if (slot) slot.to += 60;
      },
    ],
    [
      'a second coat before the first lets it',
      'link',
      (p) => {
        const link = p.links.find((l) => 'round' in l.from && l.from.at === 'overcoatOpens');
        if (link) link.least += 1000;
      },
    ],
    ['a ready time past the stop', 'window', (p) => void (p.survey.window.downMin = 60)],
    ['less drawn than is used', 'supply', (p) => void p.supplies[0]?.picks.splice(0)],
    [
      'abrading after the last wipe',
      'order',
      (p) => {
        const [late] = p.steps.splice(p.steps.indexOf(step(p, 'abrade')), 1);
        if (late) p.steps.splice(p.steps.indexOf(step(p, 'mix')), 0, late);
      },
    ],
    ['labour that the slots do not have', 'labour', (p) => void (p.labourMin += 1)],
    ['a time to service before the last cure', 'ready', (p) => void (p.readyMin = 10)],
    [
      'a figure without its working',
      'figure',
      (p) => void (Object.values(p.figures)[0] as { working: unknown[] }).working.splice(0),
    ],
  ])('%s breaks the law of %s', (_, law, change) => {
    expect(broken(change)).toContain(law);
  });
});

test('an axis keeps order, clamps what is outside, and breaks where the scale changes', () => {
  const axis = axisOf({
    from: 0,
    nearTo: 60 * MIN,
    to: 600 * MIN,
    width: 300,
    nearShare: 0.7,
    zone: 'Europe/Paris',
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
  ] as const)('shows the true sizes of %j inside its box', (damage, texts) => {
    const drawing = drawSection('F2', damage, options);
    const lettered = drawing.prims.flatMap((p) => ('text' in p ? [p.text] : []));
    for (const text of texts) expect(lettered).toContain(text);
    for (const p of drawing.prims) {
      if (p.kind !== 'area') continue;
      for (const [x, y] of p.points) expect(x >= 0 && x <= 358 && y >= 0 && y <= 230).toBe(true);
    }
  });

  test('has the same break line for the same repair, another for another', () => {
    const damage = { shape: 'pocket', diameterMm: 140, depthMm: 11, wallMm: 16 } as const;
    expect(drawSection('F2', damage, options)).toEqual(drawSection('F2', damage, options));
    expect(drawSection('F2', damage, { ...options, tag: 'P-2' }).prims).not.toEqual(
      drawSection('F2', damage, options).prims,
    );
  });

  test('is drawn while it is being typed, with question marks for unknown sizes', () => {
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

  test('names each wrong field with its range, and keeps the rest', () => {
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

  test('detects impossible sizes: deeper than the wall, a shaft worn beyond its size', () => {
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

  test('adds units before the unit system changes', () => {
    const draft = withUnits(asDraft(survey), (path) => (path.endsWith('Mm') ? 'mm' : ''));
    expect(draft.texts['damages.0.lengthMm']).toBe('200 mm');
    expect(readDraft({ ...draft }, 'us').survey?.damages[0]).toEqual(survey.damages[0]);
  });
});
