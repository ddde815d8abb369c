import { saidOf } from '../src/message/sentences';
import type { SystemCard } from '../src/materials/card';
import { USUAL_TRADE } from '../src/trade/trade';
import { thickness } from '../src/methods/accept';
import { rodStep } from '../src/methods/crack';
import { flashMinutes, gradeMinutes, wipeMinutes } from '../src/methods/pace';
import { makePlan } from '../src/plan/make';
import { word } from '../src/message/word';
import { crackRoute, openedCrack } from '../src/work/crack';
import type { Work } from '../src/work/work';
import { card, site, survey } from './fixtures';

const groove = (widthMm: number, depthMm: number) =>
  ({ kind: 'groove', lengthMm: 1000, widthMm, depthMm, profile: 'square' }) as const;
const rigid = card;
const flexible = {
  ...card,
  service: { ...card.service, movementPct: 25 },
  layer: { ...card.layer, minMm: 6 },
} as SystemCard;
const mortar = { ...card, mix: { kind: 'powder-water' } as unknown as SystemCard['mix'] };

describe('how a crack is opened', () => {
  test('a hairline is filled unopened; a wider crack is chased by a millimetre on each wall', () => {
    expect(crackRoute(rigid, 1, USUAL_TRADE)).toBe('run-in');
    expect(openedCrack(groove(1, 20), rigid, USUAL_TRADE)).toEqual(groove(1, 20));
    expect(crackRoute(rigid, 1.1, USUAL_TRADE)).toBe('chase');
    expect(openedCrack(groove(4, 45), rigid, USUAL_TRADE)).toEqual(groove(6, 45));
    // Never shallower than the card holds.
    expect(openedCrack(groove(4, 1), rigid, USUAL_TRADE).depthMm).toBe(rigid.layer.minMm);
  });
  test('for mortar it is broken out to the width of a tool, 40 mm', () => {
    expect(openedCrack(groove(6, 30), mortar, USUAL_TRADE)).toMatchObject({
      widthMm: 40,
      depthMm: 30,
    });
    expect(openedCrack(groove(55, 30), mortar, USUAL_TRADE).widthMm).toBe(55);
  });
  test("a bead is half as deep as wide, and no shallower than its card's minimum", () => {
    expect(crackRoute(flexible, 20, USUAL_TRADE)).toBe('bead');
    expect(openedCrack(groove(20, 60), flexible, USUAL_TRADE)).toEqual(groove(20, 10));
    expect(openedCrack(groove(8, 60), flexible, USUAL_TRADE)).toEqual(groove(8, 6));
    // A crack that is shallower than that is filled to its bottom.
    expect(openedCrack(groove(8, 5), flexible, USUAL_TRADE)).toEqual(groove(8, 5));
  });
});

test('a backing rod is a quarter thicker than its gap, as long as all the cracks', () => {
  const runs = [
    { widthMm: 8, lengthMm: 3000 },
    { widthMm: 20, lengthMm: 2000 },
  ];
  const bodies = [6, 10].map((buildMm) => ({ buildMm }));
  const work = { card: flexible, bodies, trade: USUAL_TRADE } as Work;
  const [rod] = rodStep(work, runs);
  expect(rod?.minutes).toBe(5 + 5);
  expect(
    saidOf(rod?.says())
      .map((x) => word(x))
      .join(' '),
  ).toMatch(/Rod thickness: A: 10 mm; B: 25 mm\. Leave A: 6 mm; B: 10 mm free/);
  expect(rodStep({ ...work, card: rigid }, runs)).toEqual([]);
});

test('no place of a lining is below four fifths of the plan; a proof load is a quarter above the load', () => {
  expect(
    thickness(
      { trade: USUAL_TRADE },
      { targetMm: 2, minReadings: 3, text: { text: '', values: {} } },
    ).hold,
  ).toEqual({
    kind: 'thickness',
    targetMm: 2,
    minReadings: 3,
    leastShare: 0.8,
  });
  expect(USUAL_TRADE.strength.proofTimes).toBe(1.25);
});

describe('the working rate of a fitter', () => {
  const work = (more: { tools?: string; area?: string; rhPct?: number; material?: string }) =>
    ({
      demand: { prepMm2: 60_000, material: more.material ?? 'carbon-steel' },
      survey: {
        ...survey,
        site: { ...survey.site, tools: more.tools ?? 'power', area: more.area ?? 'safe' },
        readings: { ...survey.readings, rhPct: more.rhPct ?? 50 },
      },
      trade: USUAL_TRADE,
      context: {
        library: [{ role: 'aid', use: 'wipe', notOn: [], flashOffMinutes: 7 }],
      },
    }) as unknown as Work;

  test('600 cm² of steel: wiped in 5 and 10 min, graded in 15 and 30', () => {
    expect(wipeMinutes(work({}))).toBe(15);
    expect(gradeMinutes(work({}))).toBe(45);
  });
  test('by hand two and a half times as long, with non-sparking tools 1.4 times', () => {
    expect(gradeMinutes(work({ tools: 'hand' }))).toBe(15 + 30 * 2.5);
    expect(gradeMinutes(work({ tools: 'nonspark' }))).toBeCloseTo(15 + 30 * 1.4, 9);
    // In a zone nothing that sparks is used: by hand.
    expect(gradeMinutes(work({ area: 'zone-2' }))).toBe(15 + 30 * 2.5);
  });
  test('concrete is faster per square metre', () => {
    expect(wipeMinutes(work({ material: 'concrete' }))).toBe(5 + 1.5);
    expect(gradeMinutes(work({ material: 'concrete' }))).toBeCloseTo(15 + 600 / 250, 9);
  });
  // By hand, 600 cm² of each: 5 min and the area at its pace, and the setting-up and the area at its pace.
  test.each([
    ['belt-rubber', 5 + 600 / 80, 8 + 600 / 40],
    ['pvc', 5 + 600 / 60, 8 + 600 / 40],
    ['coated-sheet', 5 + 600 / 80, 8 + 600 / 60],
    ['board-laminate', 5 + 600 / 10, 10 + 600 / 0.5],
  ])('%s has its own rate', (material, wiped, graded) => {
    expect(wipeMinutes(work({ material }))).toBeCloseTo(wiped, 9);
    expect(gradeMinutes(work({ material }))).toBeCloseTo(graded, 9);
  });
  test('above 75 % humidity a flash-off takes twice its time', () => {
    expect(flashMinutes(work({ rhPct: 75 }), 'wipe')).toBe(7);
    expect(flashMinutes(work({ rhPct: 76 }), 'wipe')).toBe(14);
    expect(flashMinutes(work({}), 'release')).toBe(15);
  });
});

test('overnight between two coats is twelve hours, where the site does it so', () => {
  const asked = {
    ...survey,
    surface: { damp: 'dry', slope: 'overhead' } as const,
    window: { ...survey.window, downMin: 5000 },
  };
  const open = { ...card, cure: { ...card.cure, milestones: { ...card.cure.milestones } } };
  // Its window stays open over the night.
  open.cure.milestones.overcoatCloses = card.cure.milestones.overcoatCloses?.map((p) => ({
    ...p,
    minutes: p.minutes * 5,
  }));
  const between = (wait: string) => {
    const made = makePlan(asked, open, {
      site,
      madeAt: '2026-11-24T08:05:00Z',
      context: { schools: { wait } },
    });
    if (!made.ok) throw new Error(word(made.why));
    const [one, two] = made.plan.rounds.map((r) => r.batches[0]?.mixedAtMin ?? NaN);
    return (two ?? NaN) - (one ?? NaN);
  };
  expect(between('window')).toBeCloseTo(80, 6);
  // And five minutes to read the gate again: last evening's is too old.
  expect(between('overnight')).toBeCloseTo(725, 6);
});
