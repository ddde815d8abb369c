import { jobWarmC, workFor } from '../src/job/job';
import type { SystemCard } from '../src/materials/card';
import { gradeMinutes } from '../src/methods/pace';
import { makePlan } from '../src/plan/make';
import type { Plan } from '../src/plan/plan';
import { word } from '../src/message/word';
import { demandOfSurvey } from '../src/families/registry';
import type { Round } from '../src/work/round';
import type { SiteSettings } from '../src/site/site';
import { card, site, survey } from './fixtures';

const planned = (
  settings: Partial<SiteSettings> = {},
  change: Partial<typeof survey> = {},
): Plan => {
  const asked = { ...survey, ...change, window: { ...survey.window, downMin: 5000 } };
  const made = makePlan(asked, card, {
    site: { ...site, ...settings },
    madeAt: '2026-11-24T08:05:00Z',
  });
  if (!made.ok) throw new Error(word(made.why));
  return made.plan;
};
const slot = (plan: Plan, id: string) => {
  const found = plan.schedule.filter((s) => s.step === id);
  if (found.length === 0) throw new Error(`${id} is not on the clock`);
  return { from: Math.min(...found.map((s) => s.from)), to: Math.max(...found.map((s) => s.to)) };
};
const named = (plan: Plan, name: string) => plan.steps.filter((s) => s.name === name);

/** 200 × 100 mm and 25 mm round it are 375 cm²: 15 min to set up and 375/20 to blast. */
const GRADE_MIN = 15 + 375 / 20;
/** Going over it again is two fifths of that. */
const AGAIN_MIN = GRADE_MIN * 0.4;

test('bare metal is covered in time, or prepared again', () => {
  const plain = planned();
  expect(named(plain, 'grade')).toHaveLength(1);
  const waited = (planBare: Plan) => slot(planBare, 'mix.main').from - slot(planBare, 'grade').to;
  const bare = waited(plain);
  expect(slot(plain, 'grade').to - slot(plain, 'grade').from).toBeCloseTo(GRADE_MIN, 6);

  // As long as it may be: nothing is done again. A minute less: over it once more, dusted off and wiped.
  expect(named(planned({ bareMinutes: bare }), 'grade')).toHaveLength(1);
  const again = planned({ bareMinutes: bare - 1 });
  const [, second] = named(again, 'grade');
  expect(second?.minutes).toBeCloseTo(AGAIN_MIN, 6);
  const link = again.links.find((l) => l.to === 'mix.main' && l.instead.length > 0);
  expect(link).toMatchObject({ from: { step: 'grade' }, most: bare - 1 });
  expect(link?.instead.map((id) => again.steps.find((s) => s.id === id)?.does)).toEqual([
    'abrade',
    'dust-off',
    'wipe',
  ]);
});

test('the gate is repeated when its reading is too old', () => {
  const plain = planned();
  const age = slot(plain, 'mix.main').from - slot(plain, 'gate').to;
  expect(named(planned({ gateMinutes: age }), 'gate')).toHaveLength(1);
  const again = planned({ gateMinutes: age - 0.5 });
  expect(named(again, 'gate').map((s) => s.round)).toEqual([null, 'main']);
  expect(slot(again, 'mix.main').from).toBeCloseTo(slot(again, 'gate.main').to, 6);
});

test('a shiny coat is abraded for two fifths of its grading minutes', () => {
  // Overhead it takes two coats. This card’s window closes a minute after it opens; the old gate’s reading, taken again
  // when it has opened, takes five: so the first coat is abraded as well.
  const shut = { ...card, cure: { ...card.cure, milestones: { ...card.cure.milestones } } };
  const early = card.cure.milestones.overcoatOpens?.map((p) => ({ ...p, minutes: p.minutes + 1 }));
  shut.cure.milestones.overcoatCloses = early;
  const asked = {
    ...survey,
    surface: { damp: 'dry', slope: 'overhead' } as const,
    window: { ...survey.window, downMin: 5000 },
  };
  const at = (gateMinutes: number) => {
    const made = makePlan(asked, shut, {
      site: { ...site, gateMinutes },
      madeAt: '2026-11-24T08:05:00Z',
    });
    if (!made.ok) throw new Error(word(made.why));
    return made.plan;
  };
  expect(named(at(10_000), 'abrade')).toHaveLength(0);
  const [abrade] = named(at(30), 'abrade');
  expect(abrade?.minutes).toBeCloseTo(AGAIN_MIN, 6);
});

describe('the holding temperature of a job', () => {
  const needs = (minSurfaceC: number): Pick<Round, 'card'> => ({
    card: { ...card, ambient: { ...card.ambient, minSurfaceC } } as SystemCard,
  });
  const cold = { ...survey, readings: { airC: 2, rhPct: 20, surfaceC: 2 } };
  const work = workFor({
    survey: cold,
    card,
    site,
    context: {},
    demand: demandOfSurvey(cold, site),
    heldC: null,
    terms: 0,
  });
  const warm = (...least: number[]) =>
    jobWarmC({
      work,
      draft: { rounds: least.map(needs) as Round[], steps: [], needs: [], figures: () => [] },
    } as unknown as Parameters<typeof jobWarmC>[0]);

  test('is the highest that any of its materials needs', () => {
    expect(warm(5, 12, 8)).toBe(12);
    expect(warm(12)).toBe(12);
    expect(warm(1, 5)).toBe(5);
  });
  test('is null if none needs it', () => {
    expect(warm(1, 2)).toBeNull();
    expect(warm()).toBeNull();
  });
  test('the grading minutes follow the area', () => {
    expect(gradeMinutes(work)).toBeCloseTo(GRADE_MIN, 6);
  });
});
