import {
  families,
  makePlan,
  matchAll,
  planBatches,
  rank,
  VERDICTS,
  whatWouldChange,
  word,
} from '@kelmot/core';
import fc from 'fast-check';
import { siteSettings, systemCards } from '../src/index';
import { fullSurvey, hostile } from './hostile';
import { known } from './surveyed';
import { AT } from './surveys';

/** bin/check tries a tenth. */
const RUNS = process.env.QUICK ? 6 : 60;
/** Core refuses more batches than this (`mix/batchPlan.ts`). */
const MOST_BATCHES = 1000;
const MOST_STEPS = 200;
/** Signs of a broken sentence: an invalid number, or a missing value. */
const UNSAID = /NaN|Infinity|undefined|\{/;

describe.each(families().map((f) => f.id))('%s', (family) => {
  it('is judged and planned, or refused with a reason, for any card figures', () => {
    fc.assert(
      fc.property(hostile(family), ({ survey, card }) => {
        const ranked = rank(
          matchAll(survey, [card], { site: siteSettings, context: known }),
          survey.intent,
        );
        const [first] = ranked;
        expect(first?.match.card.code).toBe(card.code);
        const unsaid = (first?.match.judged ?? []).flatMap(({ verdict, because }) =>
          !VERDICTS.includes(verdict) || UNSAID.test(word(because)) ? [word(because)] : [],
        );
        expect(unsaid).toEqual([]);
        whatWouldChange(survey, ranked, { site: siteSettings, context: known });
        const made = makePlan(survey, card, { site: siteSettings, madeAt: AT, context: known });
        if (!made.ok) {
          expect(word(made.why)).not.toMatch(UNSAID);
          return;
        }
        expect(planBatches(made.plan).length).toBeLessThanOrEqual(MOST_BATCHES);
        expect(made.plan.steps.length).toBeLessThanOrEqual(MOST_STEPS);
      }),
      { numRuns: RUNS },
    );
  });
});

test('a cartridge smaller than its purge is refused for that', () => {
  const refused = systemCards.flatMap((card) => {
    if (card.mix.kind !== 'cartridge') return [];
    const { purgeMl } = card.mix;
    const packs = card.packs.map((p) => ({ ...p, size: purgeMl }));
    return card.families.map((family) => {
      const made = makePlan(
        fullSurvey(family),
        { ...card, packs },
        { site: siteSettings, madeAt: AT, context: known },
      );
      return made.ok ? 'planned' : word(made.why);
    });
  });
  expect(refused).toContain('No pack of it holds more than its nozzle keeps back.');
  expect(refused).not.toContain('planned');
});
