import { word } from '../src/message/word';
import type { PlanSummary } from '../src/run/planSummary';
import { planSummaryOf } from '../src/run/planSummaryOf';
import { nextAction, openBatches, type MixedBatch } from '../src/run/nextAction';
import { stripOf, stripText } from '../src/run/strip';
import { stripsOf } from '../src/run/strips';
import { made, survey } from './fixtures';

const MIN = 60_000;

describe('a repair that runs', () => {
  const plan = made();
  const summary = planSummaryOf(plan);
  const [round] = summary.rounds;
  if (!round) throw new Error('a plan has a round');
  const start = Date.parse('2026-11-24T10:00:00Z');
  const mix = { batchNo: 1, startedAt: start, placedAt: null, binned: false };
  const at = (minutes: number) => start + minutes * MIN;
  const said = (of: PlanSummary, mixes: readonly MixedBatch[], now: number) => {
    const act = nextAction(of, mixes, { now, zone: 'UTC' });
    return act && { phase: act.phase, say: word(act.say), short: word(act.short) };
  };

  test('the strip is wet, late, curing, set, in that order and without gaps', () => {
    const strip = stripOf(summary, round, start);
    expect(strip.segments.map((s) => s.state)).toEqual(['wet', 'late', 'curing', 'set']);
    strip.segments.slice(1).forEach((s, i) => expect(s.from).toBe(strip.segments[i]?.to));
    expect(strip.segments.map((s) => (s.to - start) / MIN).slice(0, 3)).toEqual([
      expect.closeTo(40, 6),
      expect.closeTo(50, 6),
      600,
    ]);
    expect(stripText(strip, at(1), 'UTC')).toBe(
      'Mixed 10:00, wet. Place by 10:40. Life ends 10:50. Set 20:00. Needed 08:00.',
    );
  });

  test('the next action follows the batch, the cure, and its end', () => {
    expect(nextAction(summary, [], { now: at(0), zone: 'UTC' })).toBeNull();
    expect(nextAction(summary, [mix], { now: at(5), zone: 'UTC' })?.clockTo).toBeCloseTo(
      at(40),
      -1,
    );
    expect(said(summary, [mix], at(5))).toEqual({
      phase: 'place',
      say: 'Place it by 10:40.',
      short: 'place 10:40',
    });
    expect(said(summary, [mix], at(60))?.say).toMatch(/^Stop/);
    const placed = { ...mix, placedAt: at(25) };
    expect(said(summary, [placed], at(60))).toMatchObject({
      phase: 'cure',
      say: 'Ready for immersion at 20:00,',
    });
    expect(said(summary, [placed], at(601))?.phase).toBe('ready');
    expect(nextAction(summary, [{ ...mix, binned: true }], { now: at(5), zone: 'UTC' })).toBeNull();
    expect(openBatches(summary, [{ ...mix, binned: true }])).toEqual([1]);
  });

  test('between rounds the window opens, closes, and is missed', () => {
    const two = planSummaryOf(
      made({
        ...survey,
        surface: { damp: 'dry', slope: 'overhead' },
        window: { ...survey.window, downMin: 2880 },
      }),
    );
    const first = { ...mix, placedAt: at(20) };
    const [one, next] = two.rounds;
    if (!one?.next || !next) throw new Error('two rounds');
    const name = word(next.name);
    expect(said(two, [first], at(30))).toMatchObject({ phase: 'overcoat-wait' });
    expect(said(two, [first], at(30))?.say).toContain(name);
    expect(said(two, [first], at(one.next.least + 20))).toMatchObject({ phase: 'overcoat' });
    // Within a round the next batch goes into what is wet.
    const many = {
      ...summary,
      rounds: [{ ...round, batches: [...round.batches, { ...round.batches[0]!, no: 2 }] }],
    };
    expect(said(many, [{ ...mix, placedAt: at(20) }], at(25))).toMatchObject({
      phase: 'overcoat',
      say: 'Mix batch 2 before the last one sets.',
      short: 'mix batch 2',
    });
    // Each pail by its own life: the second is in a warmer place.
    const warmer = many.rounds.map((r) => ({
      ...r,
      batches: r.batches.map((b) => ({ ...b, useMin: b.no === 2 ? 12 : b.useMin })),
    }));
    const second = { ...mix, batchNo: 2, startedAt: at(21) };
    expect(
      said({ ...many, rounds: warmer }, [{ ...mix, placedAt: at(20) }, second], at(25)),
    ).toMatchObject({ phase: 'place', say: 'Place it by 10:33.' });
    expect(said(two, [first], at((one.next.most ?? 0) + 20))).toMatchObject({
      phase: 'overcoat-missed',
      say: 'Abrade first.',
    });
    // What is not begun stands where the plan puts it, moved by as much as the job runs late.
    const strips = stripsOf(two, [first], at(30));
    expect(strips.map((s) => s.begun)).toEqual([true, false]);
    const [a, b] = strips;
    if (!a || !b) return;
    expect((b.strip.start - a.strip.start) / MIN).toBeCloseTo(
      next.plannedAtMin - one.plannedAtMin,
      6,
    );
  });
});
