import {
  CORE_VERSION,
  families,
  makePlan,
  matchAll,
  rank,
  type FamilyId,
  type Plan,
} from '@kelmot/core';
import { plainSurvey } from '../src/plain';
import { siteSettings, systemCards } from '../src/index';
import { expectApproved } from './approved';
import { drawingsOf, sheetOf } from './drawn';
import { planText } from './planText';
import { known } from './surveyed';
import { AT } from './surveys';

/** The plans of a survey, the best first. */
function plansOf(family: FamilyId, shape: string) {
  const { survey } = plainSurvey({ family, shapes: [shape], startAt: AT, costPerHour: 100 });
  if (!survey) throw new Error(`${family} ${shape}: its plain answers are no survey`);
  const ranked = rank(matchAll(survey, systemCards, siteSettings, known), survey.intent);
  const plans = ranked.flatMap(({ match }): Plan[] => {
    const made = makePlan(survey, match.card, siteSettings, AT, known);
    return made.ok ? [made.plan] : [];
  });
  return { survey, plans };
}
const shapes = families().map((f) => [f.id as FamilyId, f.shapes.map((s) => s.shape)] as const);

test.each(shapes)(
  '%s: every shape of damage is drawn as it was when it was last looked at',
  (family, own) => {
    const rows = own.map((shape) => {
      const { survey, plans } = plansOf(family, shape);
      return drawingsOf(family, survey, plans[0] ?? null);
    });
    expectApproved(`${family}.svg`, sheetOf(rows));
  },
);

test.each(shapes)(
  '%s: each way of doing it is planned as it was, or by a core of another version',
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
