import {
  families,
  makePlan,
  matchAll,
  rank,
  whatWouldChange,
  type Survey,
  type SystemCard,
} from '@kelmot/core';
import fc from 'fast-check';
import {
  demoCards,
  demoSurvey,
  openRepairs,
  siteSettings,
  surveyedRepairs,
  systemCards,
} from '@kelmot/demo';
import { hostile } from '../packages/demo/test/hostile';
import { perSecond, table } from './lib/measure';

const AT = '2031-01-01T00:00:00Z';
const FRAME_MS = 16;
/** Number of made-up cards for each family. */
const HOSTILE = 200;

/** Cards of the survey’s own family, each a little different from a real one. */
function generated(count: number, family: Survey['family']): SystemCard[] {
  const kinds = systemCards.filter((c) => c.families.includes(family));
  return Array.from({ length: count }, (_, i) => {
    const kind = kinds[i % kinds.length] as SystemCard;
    const heat = kind.service.wetHeatC + (i % 17) - 8;
    return {
      ...kind,
      code: `${kind.code.slice(0, 1)}-${String(100 + (i % 900))}`,
      service: { ...kind.service, wetHeatC: heat },
      packs: kind.packs.map((p) => ({ ...p, price: p.price * (1 + (i % 11) / 20) })),
    };
  });
}

/** Milliseconds to judge and rank so many cards by all rules, and how it grows. One frame of a screen is 16 ms. */
function judging(): string {
  const [repair] = openRepairs;
  if (!repair) throw new Error('the demo has no repairs');
  const survey = demoSurvey(repair.tag, null, AT, repair.survey);
  const sizes = [50, 500, 5000];
  const times = sizes.map((n) => {
    const cards = generated(n, survey.family);
    return (
      1000 /
      perSecond(() => rank(matchAll(survey, cards, { site: siteSettings }), survey.intent), 300)
    );
  });
  const rows = sizes.map((n, i) => {
    const ms = times[i] ?? 0;
    const per = (times[0] ?? 1) / 50;
    return [String(n), ms.toFixed(2), (FRAME_MS / ms).toFixed(1), (ms / n / per).toFixed(2)];
  });
  return table(['cards', 'ms', 'frames over it', 'a card, over that of 50'], rows);
}

/** Milliseconds to plan one repair of each family, as at every change of the survey. */
function planning(): string {
  const rows = surveyedRepairs.flatMap(({ tag, survey: part }) => {
    const survey = demoSurvey(tag, null, AT, part);
    const best = rank(matchAll(survey, systemCards, { site: siteSettings }), survey.intent)[0]
      ?.match.card;
    const plan = () =>
      best &&
      makePlan(survey, best, { site: siteSettings, madeAt: AT, context: { library: demoCards } });
    if (!best || !plan()?.ok) return [];
    const ms = 1000 / perSecond(plan, 60);
    return [[`${survey.family} ${best.code}`, ms.toFixed(2), (FRAME_MS / ms).toFixed(1)]];
  });
  return table(['plan', 'ms', 'frames over it'], rows);
}

/** Milliseconds for the slowest of many extreme cards, with the most damages that a survey takes. */
function hostileCards(): string {
  const rows = families().map(({ id }) => {
    const times = fc.sample(hostile(id), { numRuns: HOSTILE, seed: 5 }).map(({ survey, card }) => {
      const begun = performance.now();
      const ranked = rank(matchAll(survey, [card], { site: siteSettings }), survey.intent);
      whatWouldChange(survey, ranked, { site: siteSettings, context: {} });
      makePlan(survey, card, { site: siteSettings, madeAt: AT, context: { library: demoCards } });
      return performance.now() - begun;
    });
    const slowest = Math.max(...times);
    const usual = times.toSorted((a, b) => a - b)[HOSTILE / 2] ?? 0;
    return [id, slowest.toFixed(0), (FRAME_MS / slowest).toFixed(2), usual.toFixed(1)];
  });
  return table(['hostile cards', 'slowest ms', 'frames over it', 'usual ms'], rows);
}

export const bench = (): string => [judging(), planning(), hostileCards()].join('\n\n');
