import { schoolsOf, familyOf, makePlan, word, type Schools, type SystemCard } from '@kelmot/core';
import fc from 'fast-check';
import { demoCards, siteSettings, systemCards } from '../../src/index';
import { AT, surveys } from '../surveys';
import { breachesOf } from './laws';

/** bin/check tries a tenth. */
const SHARE = process.env.QUICK ? 0.1 : 1;
const RUNS = 200 * SHARE;
/** Few cards inject a wall, and many surveys have too acid or too hot water: more surveys for enough plans. */
const MORE_RUNS: Record<string, number> = { F11: 800 * SHARE };

/** Random answers to the schools of a card. */
function settledBy(family: string, card: SystemCard, picks: readonly number[]): Schools {
  const asked = schoolsOf(familyOf(family).method.schools, card);
  return Object.fromEntries(
    asked.map(({ id, options }, i) => [
      id,
      options[(picks[i % picks.length] ?? 0) % options.length]?.value ?? '',
    ]),
  );
}
const picks = fc.array(fc.nat({ max: 11 }), { minLength: 6, maxLength: 6 });

/** Tests one family: the laws hold for any survey and schools. */
export function holdTheLaws(family: string): void {
  test(`${family}: the laws hold whatever is surveyed and settled`, () => {
    const cards = systemCards.filter((c) => c.families.includes(family));
    let made = 0;
    fc.assert(
      fc.property(surveys(family), fc.nat(), picks, (survey, turn, picked) => {
        if (!survey) return;
        // The first card that gives a plan, beginning at a random one.
        for (let i = 0; i < cards.length; i++) {
          const card = cards[(turn + i) % cards.length] as SystemCard;
          const schools = settledBy(family, card, picked);
          const known = { library: demoCards, schools };
          const result = makePlan(survey, card, { site: siteSettings, madeAt: AT, context: known });
          if (!result.ok) {
            // A plan that breaks a law is refused: then the planner is wrong, not the survey.
            const why = word(result.why);
            if (/does not hold|NaN|undefined/.test(why)) throw new Error(`${card.code}: ${why}`);
            continue;
          }
          made += 1;
          const breaches = breachesOf(result.plan);
          if (breaches.length > 0) throw new Error(breaches.join('\n'));
          break;
        }
      }),
      { numRuns: MORE_RUNS[family] ?? RUNS, seed: 20261126 },
    );
    expect(made).toBeGreaterThanOrEqual(RUNS / 20);
  });
}
