import { cureTime } from '@kelmot/core/cure/cureTime';
import {
  families,
  judge,
  makePlan,
  matchAll,
  planBatches,
  type FamilyId,
  type MilestoneId,
} from '@kelmot/core';
import {
  demoCards,
  demoPlan,
  demoSurvey,
  plainSurvey,
  siteSettings,
  surveyedRepairs,
  systemCards,
} from '../src/index';

const AT = '2026-11-25T08:00:00Z';
const known = { library: demoCards };
const surveyOf = (family: string) => {
  const found = surveyedRepairs.filter((r) => r.survey.family === family).at(-1);
  if (!found) throw new Error(`no demo survey of ${family}`);
  return demoSurvey(found.tag, null, AT, found.survey);
};

/** One job of each family in an expert's order, written by hand; `|` separates rounds. */
const JOBS: [FamilyId, string, string][] = [
  [
    'F1',
    'R-210',
    'isolate protect former degrease grade dust-off release release-dry mask template wipe gate | lay-out mix wet-former wet-metal close tools leave open | look dress flatness hardness gasket pressure-half pressure-full agree tidy',
  ],
  [
    'F3',
    'X-870',
    'isolate protect degrease sweat gouge grade drill-ends dust-off dry-fit wipe heat gate | lay-out mix tack wait | mix wet | gate mix place tools leave dress | look hardness clearance proof agree tidy',
  ],
  [
    'F4',
    'W-310',
    'isolate mark-leak protect remove-old degrease grade dust-off dry wipe gate | lay-out mix plug wait | mix place press film tools leave | look hardness pressure-half pressure-full tag agree tidy',
  ],
  [
    'F5',
    'W-330',
    'approval isolate protect wall-grid degrease grade dust-off mask wipe gate | lay-out mix fair wait | gate mix prime | mix place compact bind tools leave | look thickness hardness pressure-half pressure-full record agree tidy',
  ],
  [
    'F6',
    'B-410',
    'isolate protect cut degrease grade dust-off back gate | lay-out mix condition | mix pour cover tools leave tack-free | look hardness run agree tidy',
  ],
  [
    'F7',
    'T-510',
    'isolate core-out cords protect degrease grade dust-off cut-strips trace gate | lay-out mix condition | mix drops roll tools leave bevel | look inflate agree tidy',
  ],
  [
    'F8',
    'C-620',
    'isolate protect degrease chase grade dust-off dry gate | lay-out mix gun tools leave grind | look fingernail straight agree tidy',
  ],
  [
    'F9',
    'C-645',
    'isolate protect remove-old degrease cut grade dust-off etch neutral gate | dampen lay-out mix coat finish joints tools | mix seal | gate mix seal leave | look fingernail level open-traffic agree tidy',
  ],
  [
    'F10',
    'C-630',
    'isolate protect remove-old clear grade dust-off dry dry gate | lay-out mix pack strike tools leave | look fingernail open-traffic agree tidy',
  ],
  [
    'F12',
    'X-810',
    'isolate protect which-plastic degrease drill-ends vee grade dust-off plug-outlets wipe gate | lay-out mix place | gate mix place | gate mix place lid tools leave | look fingernail fill agree tidy',
  ],
  [
    'F14',
    'X-840',
    'isolate protect wash mask grade dust-off wipe re-mask gate | lay-out mix level-fill demask tools sand | gate mix topcoat | mix topcoat tools leave polish | look fingernail agree tidy',
  ],
  [
    'F11',
    'C-670',
    'isolate protect grade dust-off mark-ports dry water-temp | lay-out mix ports band wait flush | mix inject tools leave strip-ports | look head agree tidy',
  ],
  [
    'F13',
    'X-830',
    'isolate protect try-dry clean wipe peel-tools water-temp | lay-out mix bed hold tools leave | look sample flow agree tidy',
  ],
  [
    'F15',
    'X-820',
    'approval isolate photo parts mill dust-off wipe formers-in gate | lay-out mix passes tools formers leave | look insulation creepage function agree tidy',
  ],
  [
    'F16',
    'S-710',
    'isolate protect cut grade dust-off dry dry-day gate | lay-out mix prime | mix rake trowel tools leave | look fingernail drain trip agree tidy',
  ],
];

test.each(JOBS)('%s with %s is worked in this order', (family, cardCode, order) => {
  const plan = demoPlan({ survey: surveyOf(family), cardCode, madeAt: AT });
  expect(plan.steps.map((s) => s.name)).toEqual(order.split(/[\s|]+/));
  // The schedule follows the order: every slot after the one before it.
  const { schedule } = plan;
  schedule
    .slice(1)
    .forEach((s, i) => expect(s.from).toBeGreaterThanOrEqual((schedule[i]?.to ?? 0) - 1e-6));
});

/** Each wait by its round's card, at the day's temperature: round, milestone, waiting step. */
test.each<[FamilyId, string, string, MilestoneId, string]>([
  ['F1', 'R-210', 'main', 'handle', 'open.main'],
  ['F3', 'X-870', 'wet', 'tackFree', 'mix.main'],
  ['F4', 'W-310', 'plug', 'tackFree', 'wait.plug'],
  ['F5', 'W-330', 'plug', 'handle', 'wait.plug'],
  ['F8', 'C-620', 'main', 'handle', 'grind.main'],
  ['F9', 'C-645', 'seal-1', 'overcoatOpens', 'mix.seal-2'],
  ['F11', 'C-670', 'paste', 'tackFree', 'mix.main'],
  ['F16', 'S-710', 'prime', 'overcoatOpens', 'mix.main'],
])('%s with %s: %s is %s before %s', (family, cardCode, id, moment, to) => {
  const plan = demoPlan({ survey: surveyOf(family), cardCode, madeAt: AT });
  const round = plan.rounds.find((r) => r.id === id);
  const points = round && plan.cards[round.card.code]?.cure.milestones[moment];
  const took = points && cureTime({ points, tempC: round.tempC });
  if (!round || !took?.ok) throw new Error(`${id} has no ${moment}`);
  const begins = plan.schedule.find((s) => s.step === to)?.from ?? NaN;
  const mixed = Math.max(...round.batches.map((b) => b.mixedAtMin));
  // Mixed layers also take their own minutes: never earlier, and on time if nothing else waits.
  expect(begins).toBeGreaterThanOrEqual(mixed + took.minutes - 1e-6);
});

test('three equal damages need three times the material and its minutes', () => {
  for (const family of ['F2', 'F9', 'F11', 'F12'] as const) {
    const shape = families().find((f) => f.id === family)?.shapes[0]?.shape ?? '';
    const of = (count: number) => {
      const { survey } = plainSurvey({
        family,
        shapes: Array<string>(count).fill(shape),
        startAt: AT,
      });
      if (!survey) throw new Error(family);
      return demoPlan({
        survey: { ...survey, window: { ...survey.window, downMin: 40_000 } },
        madeAt: AT,
      });
    };
    const [one, three] = [of(1), of(3)];
    const cardCode = one.card.code;
    if (three.card.code !== cardCode) continue;
    const placed = (p: typeof one) => planBatches(p).reduce((s, b) => s + b.ml, 0);
    expect([family, placed(three) / placed(one)]).toEqual([family, expect.closeTo(3, 0)]);
    expect(three.labourMin).toBeGreaterThan(one.labourMin);
  }
});

test('two leaks on a pipe need twice the tape and passes of one', () => {
  const of = (count: number) => {
    const { survey } = plainSurvey({
      family: 'F4',
      shapes: Array<string>(count).fill('pinhole'),
      startAt: AT,
      answers: { 'window.downMin': '60 h' },
    });
    if (!survey) throw new Error('F4');
    return demoPlan({ survey, cardCode: 'W-310', madeAt: AT });
  };
  const [one, two] = [of(1), of(2)];
  for (const id of ['tape', 'round.plug.total'])
    expect([id, two.figures[id]?.value]).toEqual([
      id,
      expect.closeTo(2 * (one.figures[id]?.value ?? NaN), 6),
    ]);
});

test('a warmer day never lengthens a wait, a colder batch never shortens its working life', () => {
  for (const family of ['F2', 'F6', 'F9', 'F11'] as const) {
    const at = (surfaceC: string) => {
      const { survey } = plainSurvey({
        family,
        shapes: [families().find((f) => f.id === family)?.shapes[0]?.shape ?? ''],
        startAt: AT,
        answers: { 'readings.surfaceC': surfaceC, 'readings.airC': surfaceC },
      });
      if (!survey) throw new Error(family);
      return survey;
    };
    const [cool, warm] = [at('14 °C'), at('24 °C')];
    for (const c of systemCards.filter((x) => x.families.includes(family))) {
      const rounds = [cool, warm].map(
        (s) => judge(s, c, { site: siteSettings, context: known }).job().draft.rounds,
      );
      const [a, b] = rounds.map((list) => list.find((r) => r.card.code === c.code));
      if (!a || !b || a.tempC >= b.tempC || a.batches.length !== b.batches.length) continue;
      expect([c.code, (a.batches[0]?.lifeMin ?? 0) >= (b.batches[0]?.lifeMin ?? 0) - 1e-6]).toEqual(
        [c.code, true],
      );
    }
  }
});

describe('matching', () => {
  const surveys = families().flatMap(({ id, shapes }) =>
    shapes.flatMap((s) => plainSurvey({ family: id, shapes: [s.shape], startAt: AT }).survey ?? []),
  );

  test('sharing results changes nothing: a card among others is judged as alone', () => {
    for (const survey of surveys)
      for (const shared of matchAll(survey, systemCards, { site: siteSettings, context: known })) {
        const alone = judge(survey, shared.card, { site: siteSettings, context: known });
        const of = ({ verdict, readyMin, materialCost, marginPct, heldC }: typeof alone) => ({
          verdict,
          readyMin,
          materialCost,
          marginPct,
          heldC,
        });
        expect([survey.family, shared.card.code, of(shared)]).toEqual([
          survey.family,
          shared.card.code,
          of(alone),
        ]);
      }
  });

  test('people, heater and packs cost at Match what the plan says', () => {
    let heated = 0;
    let several = 0;
    for (const survey of surveys) {
      // A cold shop too: heating has its cost.
      for (const surfaceC of [survey.readings.surfaceC, 7]) {
        const cold = { ...survey, readings: { ...survey.readings, surfaceC } };
        for (const match of matchAll(cold, systemCards, { site: siteSettings, context: known })) {
          const made =
            match.verdict === 'no'
              ? null
              : makePlan(cold, match.card, { site: siteSettings, madeAt: AT, context: known });
          if (!made?.ok || match.materialCost === null) continue;
          const { figures, supplies } = made.plan;
          const heat = figures['cost.heat']?.value ?? 0;
          if (heat > 0) heated += 1;
          const packs = supplies.filter((x) => x.role === 'system' || x.role === 'second');
          if (packs.length > 1) several += 1;
          const who = [survey.family, match.card.code];
          expect([...who, match.workCost?.toFixed(2)]).toEqual([
            ...who,
            ((figures['cost.labour']?.value ?? 0) + heat).toFixed(2),
          ]);
          expect([...who, match.materialCost.toFixed(2)]).toEqual([
            ...who,
            packs.reduce((sum, x) => sum + (x.price ?? 0), 0).toFixed(2),
          ]);
        }
      }
    }
    expect(heated).toBeGreaterThan(3);
    expect(several).toBeGreaterThan(5);
  });
});
