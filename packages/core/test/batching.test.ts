import { word } from '../src/message/word';
import { batching, touchMinutes, type Touch } from '../src/work/batching';
import { card, site } from './fixtures';

/** 50 min of life at 20 °C whatever the mass, 40 of them usable; 10 ml/min; a batch so large that it never decides. */
const roomy = { ...site, vesselMl: 100_000, vesselFill: 1, crew: 4 };
const slow = { ...card, applyMlPerMin: 10 };
const touches: Touch[] = [
  { name: 'mix', fixed: 5 },
  { name: 'place', placing: 1 },
];
const ask = (totalMl: number, more: Partial<Parameters<typeof batching>[0]> = {}) =>
  batching({
    card: slow,
    site: roomy,
    totalMl,
    tempC: 20,
    touches,
    whole: false,
    mostMl: null,
    kits: false,
    ...more,
  });
const sizes = (b: ReturnType<typeof batching>) => b.batches.map((x) => Number(x.ml.toFixed(3)));

describe('one batch for everything', () => {
  const whole = (ml: number, more = {}) => ask(ml, { whole: true, ...more });

  test('is unchanged while 5 min and its placing are within 40', () => {
    expect(whole(350)).toMatchObject({ moreHands: 0, pailC: null, chose: null, problem: null });
    expect(sizes(whole(350))).toEqual([350]);
  });

  test('then one more person, worth 0.7 of the first: 17 ml/min, up to 595 ml', () => {
    expect(whole(351)).toMatchObject({ moreHands: 1, pailC: null, paceMlPerMin: 17 });
    expect(whole(595)).toMatchObject({ moreHands: 1 });
    expect(word(whole(595).chose ?? { text: '', values: {} })).toMatch(
      /^one more person, to place it/,
    );
  });

  test('then two, 24 ml/min, up to 840 ml', () => {
    expect(whole(596)).toMatchObject({ moreHands: 2, paceMlPerMin: 24 });
    expect(whole(840)).toMatchObject({ moreHands: 2 });
  });

  test('then cooler parts, by the smallest step that works', () => {
    // 100 min at 10 °C and 50 at 20: about 70 at 15, 56 of them usable, 17 ml/min less 5 min of mixing.
    expect(whole(860)).toMatchObject({ moreHands: 1, pailC: 15 });
    // 80 usable at 10 °C: (80 − 5)·17 = 1275 ml.
    expect(whole(1270)).toMatchObject({ moreHands: 1, pailC: 10 });
  });

  test("never colder than the card's mixing limit", () => {
    const tender = { ...slow, ambient: { ...slow.ambient, minSurfaceC: 12 } };
    expect(whole(1270, { card: tender }).problem).not.toBeNull();
    expect(whole(860, { card: tender }).pailC).toBe(15);
  });

  test('no more people than there are', () => {
    const alone = { ...roomy, crew: 2 };
    expect(whole(351, { site: alone })).toMatchObject({ moreHands: 0, pailC: 15 });
  });

  test('and if nothing works, it says what is needed and available', () => {
    const { problem, batches } = whole(5000);
    expect(word(problem ?? { text: '', values: {} })).toBe(
      'One batch must do it all: that takes 8 h 25 min; 40 min of its life can be used.',
    );
    expect(batches).toHaveLength(1);
  });
});

describe('batches', () => {
  test('are equal, and as few as their working life allows', () => {
    // 350 ml is the most: 700 is two, 701 three.
    expect(sizes(ask(700))).toEqual([350, 350]);
    expect(sizes(ask(701))).toEqual([233.667, 233.667, 233.667]);
  });

  test('are no larger than the vessel, three quarters full', () => {
    const pail = { ...roomy, vesselMl: 400, vesselFill: 0.75 };
    expect(sizes(ask(600, { site: pail }))).toEqual([300, 300]);
    expect(sizes(ask(601, { site: pail }))).toHaveLength(3);
  });

  test('a mortar has its own tub, filled by the same share', () => {
    const mortar = {
      ...slow,
      applyMlPerMin: 1e6,
      mix: {
        kind: 'powder-water',
        bagKg: 25,
        yieldLPerBag: 13,
        waterLPerBag: { patch: 3, flow: 4 },
        mixMinutes: 3,
        restMinutes: 0,
        mixedSign: '',
        tool: '',
        tolerancePct: 3,
        maxAggregatePct: 0,
        aggregateOverMm: 0,
        slumpMm: null,
      } as unknown as typeof slow.mix,
    };
    const tub = { ...roomy, mortarVesselMl: 10_000, vesselFill: 0.75 };
    expect(sizes(ask(15_000, { card: mortar, site: tub }))).toEqual([7500, 7500]);
    expect(sizes(ask(15_001, { card: mortar, site: tub }))).toHaveLength(3);
  });

  test('minutes for the whole round are shared by volume', () => {
    const ported: Touch[] = [
      { name: 'mix', fixed: 5 },
      { name: 'ports', spread: 60 },
    ];
    // 60 min over 600 ml is 0.1 min a ml: 350 ml at most, so two of 300, half an hour each.
    const two = ask(600, { touches: ported });
    expect(sizes(two)).toEqual([300, 300]);
    expect(touchMinutes({ touch: ported[1] as Touch, ml: 300, totalMl: 600, pace: 10 })).toBe(30);
    expect(
      touchMinutes({
        touch: { name: 'x', fixed: 2, placing: 0.5 },
        ml: 300,
        totalMl: 600,
        pace: 10,
      }),
    ).toBe(17);
  });

  test('whole packs are mixed whole; the rest of the last one is left over', () => {
    // Three small ones cost 120, the large one 150.
    const small = ask(220, { kits: true });
    expect(small.batches.map((b) => [b.ml, b.placedMl])).toEqual([
      [100, 100],
      [100, 100],
      [100, 20],
    ]);
    // Four cost 160: the large one is opened, and counts the minutes of what is placed of it.
    const large = ask(320, { kits: true });
    expect(large.batches.map((b) => [b.ml, b.placedMl])).toEqual([[500, 320]]);
  });

  test('a pack that cannot be placed in time is not opened', () => {
    // The large one costs less a ml, but 5 + 500/10 min is past 40.
    const dear = {
      ...slow,
      packs: slow.packs.map((p) => ({ ...p, price: p.size === 100 ? 90 : 100 })),
    };
    expect(sizes(ask(500, { kits: true, card: dear }))).toEqual([100, 100, 100, 100, 100]);
    const quick = { ...dear, applyMlPerMin: 100 };
    expect(sizes(ask(500, { kits: true, card: quick }))).toEqual([500]);
  });

  test('an amount of zero needs no batch', () => {
    expect(ask(0).batches).toEqual([]);
  });
});
