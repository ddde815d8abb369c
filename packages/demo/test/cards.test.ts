import { Card, judge, makePlan, Plan, Survey } from '@kelmot/core';
import {
  closedRepairs,
  demoAssets,
  demoCards,
  openRepairs,
  siteSettings,
  systemCards,
  type DemoRepair,
} from '../src/index';

const surveyOf = (r: DemoRepair): Survey => {
  const asset = demoAssets.find((a) => a.tag === r.tag);
  if (!asset) throw new Error(`no asset ${r.tag}`);
  const { tag, name, position, costPerHour } = asset;
  return Survey.parse({
    family: 'F2',
    version: 1,
    asset: { id: null, tag, name, position, costPerHour },
    ...r.survey,
  });
};

test.each(demoCards.map((c) => [c.code, c] as const))(
  'card %s is whole by the schema',
  (_, card) => {
    expect(Card.parse(card)).toEqual(card);
  },
);

test('every card states four temperatures or more for each milestone, each step no earlier than the last', () => {
  for (const card of systemCards) {
    for (const points of Object.values(card.cure.milestones))
      expect(points?.length).toBeGreaterThanOrEqual(4);
    const at20 = (id: 'life' | 'tackFree' | 'handle' | 'fullLoad') =>
      card.cure.milestones[id]?.find((p) => p.tempC === 20)?.minutes ?? 0;
    // A film dries in the open long before its can goes off.
    if (card.layer.minMm >= 0.3) expect(at20('life')).toBeLessThan(at20('tackFree'));
    expect(at20('tackFree')).toBeLessThan(at20('handle'));
    expect(at20('handle')).toBeLessThan(at20('fullLoad'));
  }
});

test('the plant has sixty assets or more, each tag once', () => {
  expect(demoAssets.length).toBeGreaterThanOrEqual(60);
  expect(new Set(demoAssets.map((a) => a.tag)).size).toBe(demoAssets.length);
});

test.each([...openRepairs, ...closedRepairs].map((r) => [r.tag, r.cardCode, r] as const))(
  '%s with %s can be planned, and the plan reads back whole',
  (_, code, r) => {
    const survey = surveyOf(r);
    const card = systemCards.find((c) => c.code === code);
    if (!card) throw new Error(code);
    const said = judge(survey, card, siteSettings)
      .judged.filter((j) => j.verdict === 'no')
      .map((j) => j.because);
    expect(said).toEqual([]);
    const result = makePlan(survey, card, siteSettings, '2026-11-24T08:00:00Z');
    if (!result.ok) throw new Error(result.why);
    expect(Plan.parse(JSON.parse(JSON.stringify(result.plan)))).toEqual(result.plan);
  },
);
