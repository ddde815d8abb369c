import {
  Card,
  families,
  judge,
  makePlan,
  matchAll,
  Plan,
  word,
  type MilestoneId,
  type Survey,
} from '@kelmot/core';
import {
  closedRepairs,
  demoAssets,
  demoCards,
  demoSurvey,
  openRepairs,
  siteSettings,
  surveyedRepairs,
  systemCards,
  type DemoRepair,
  type SurveyedRepair,
} from '../src/index';

const surveyOf = (r: SurveyedRepair | DemoRepair): Survey =>
  demoSurvey(r.tag, null, '2026-11-24T06:00:00Z', r.survey);

test.each(demoCards.map((c) => [c.code, c] as const))(
  'card %s is complete by the schema',
  (_, card) => {
    expect(Card.parse(card)).toEqual(card);
  },
);

test('every card states four or more temperatures for each milestone, in rising order', () => {
  for (const card of systemCards) {
    for (const points of Object.values(card.cure.milestones))
      expect(points?.length).toBeGreaterThanOrEqual(4);
    const at20 = (id: MilestoneId) =>
      card.cure.milestones[id]?.find((p) => p.tempC === 20)?.minutes;
    const inOrder = (ids: MilestoneId[]) => {
      const times = ids.flatMap((id) => at20(id) ?? []);
      expect([...times].sort((p, q) => p - q)).toEqual(times);
    };
    // An open film dries long before its can sets.
    if (card.layer.minMm >= 0.3) inOrder(['life', 'tackFree']);
    inOrder(['tackFree', 'handle', 'fullLoad']);
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
    const said = judge(survey, card, { site: siteSettings, context: { library: demoCards } })
      .judged.filter((j) => j.verdict === 'no')
      .map((j) => word(j.because));
    expect(said).toEqual([]);
    const result = makePlan(survey, card, {
      site: siteSettings,
      madeAt: '2026-11-24T08:00:00Z',
      context: {
        library: demoCards,
      },
    });
    if (!result.ok) throw new Error(word(result.why));
    expect(Plan.parse(JSON.parse(JSON.stringify(result.plan)))).toEqual(result.plan);
  },
);

test('every family has a repair, with a fitting system or a refusal that names who decides', () => {
  const seen = new Set(surveyedRepairs.map((r) => r.survey.family));
  expect([...seen, 'F2'].sort()).toEqual(
    families()
      .map((f) => f.id)
      .sort(),
  );
  for (const r of surveyedRepairs) {
    const matches = matchAll(surveyOf(r), systemCards, {
      site: siteSettings,
      context: { library: demoCards },
    });
    const usable = matches.filter((m) => m.verdict !== 'no').map((m) => m.card.code);
    expect([r.tag, usable]).not.toEqual([r.tag, []]);
  }
});

test('the codes of the demo library match the plant’s list', () => {
  const codes = demoCards.map((c) => c.code);
  expect(new Set(codes).size).toBe(codes.length);
  expect(systemCards.length).toBe(41);
});
