import {
  CORE_VERSION,
  everyField,
  families,
  makePlan,
  matchAll,
  rank,
  type FamilyId,
  type Intent,
  type Plan,
} from '@kelmot/core';
import { calcs } from '@kelmot/core/calculations/registry';
import { resultRows } from '@kelmot/core/tool/result';
import { siteSettings, systemCards } from '../src/index';
import { plainDraft, plainSurvey } from '../src/plain';
import { expectApproved } from './approved';
import { drawingsOf, sheetOf } from './drawn';
import { matchText } from './matchText';
import { inline, planText } from './planText';
import { known } from './surveyed';
import { AT } from './surveys';

/** The plans of a survey, the best first. */
function plansOf(family: FamilyId, shape: string) {
  const { survey } = plainSurvey({ family, shapes: [shape], startAt: AT, costPerHour: 100 });
  if (!survey) throw new Error(`${family} ${shape}: its plain answers are no survey`);
  const ranked = rank(
    matchAll(survey, systemCards, { site: siteSettings, context: known }),
    survey.intent,
  );
  const plans = ranked.flatMap(({ match }): Plan[] => {
    const made = makePlan(survey, match.card, { site: siteSettings, madeAt: AT, context: known });
    return made.ok ? [made.plan] : [];
  });
  return { survey, plans };
}
const shapes = families().map((f) => [f.id as FamilyId, f.shapes.map((s) => s.shape)] as const);

test.each(shapes)('%s: every shape of damage is drawn as last approved', (family, own) => {
  const rows = own.map((shape) => {
    const { survey, plans } = plansOf(family, shape);
    return drawingsOf(family, survey, plans[0] ?? null);
  });
  expectApproved(`${family}.svg`, sheetOf(rows));
});

test.each(shapes)(
  '%s: each variant of the work is planned as approved, or by another version of core',
  (family, own) => {
    const ways = new Set<string>();
    const texts = own.flatMap((shape) =>
      plansOf(family, shape).plans.flatMap((plan) => {
        const way = plan.steps.map((s) => s.id).join();
        if (ways.has(way)) return [];
        ways.add(way);
        return [`== ${shape} by ${plan.card.code}\n${planText(plan)}`];
      }),
    );
    expectApproved(`${family}.txt`, [`core ${CORE_VERSION}`, ...texts].join('\n'));
  },
);

/** Plain days, and two that are not: asked of each family as far as it asks. */
const DAYS: { name: string; intent: Intent; answers: Record<string, string> }[] = [
  { name: 'a plain day', intent: 'lasting', answers: {} },
  {
    name: 'cold, wet, overhead, short',
    intent: 'stopgap',
    answers: {
      ...{ 'surface.damp': 'wet', 'surface.slope': 'overhead', 'window.downMin': '6 h' },
      ...{ 'readings.airC': '6 °C', 'readings.surfaceC': '6 °C', 'readings.rhPct': '92 %' },
    },
  },
  {
    name: 'hot caustic in a zone, by hand, food beside it',
    intent: 'lasting',
    answers: {
      ...{
        'service.medium': 'caustic',
        'service.concPct': '10 %',
        'service.ph': '13.5',
        'service.mediumC': '85 °C',
      },
      ...{ 'service.wear': 'erosion', 'service.approval': 'food', 'site.closed': 'yes' },
      ...{
        'site.area': 'zone-1',
        'site.tools': 'hand',
        'site.nearby': 'food',
        'site.ignition': 'stays',
      },
    },
  },
];

test.each(shapes)(
  '%s: every card is judged as approved on an ordinary day and two others',
  (family, [shape = '']) => {
    const asked = { family, shapes: [shape], startAt: AT, costPerHour: 100 };
    const own = new Set(everyField(plainDraft(asked)).map((p) => p.path));
    const texts = DAYS.map(({ name, intent, answers }) => {
      const asks = Object.entries(answers).filter(([path]) => own.has(path));
      const { survey, issues } = plainSurvey({
        ...asked,
        intent,
        answers: Object.fromEntries(asks),
      });
      if (!survey) throw new Error(JSON.stringify(issues));
      const matches = matchAll(survey, systemCards, { site: siteSettings, context: known });
      return `== ${shape}, ${name}\n${matchText(matches, intent)}\n`;
    });
    expectApproved(`${family}.match.txt`, texts.join(''));
  },
);

test('every calculation answers its example as approved, in both unit systems', () => {
  const texts = calcs.map((calc) => {
    const answer = calc.run(calc.example);
    const { working, ...found } = answer.ok ? answer : { ...answer, working: [] };
    const shown = (['metric', 'us'] as const).map(
      (system) => `${system}: ${inline(resultRows(calc, answer, system))}`,
    );
    return [`== ${calc.name}`, inline(found), ...working.map(inline), ...shown, ''].join('\n');
  });
  expectApproved('calculations.txt', texts.join('\n'));
});
