import {
  makePlan,
  matchAll,
  rank,
  word,
  type Plan,
  type Survey,
  type WorkContext,
} from '@kelmot/core';
import { demoCards, systemCards } from './cards/index';
import { siteSettings } from './plant';

export interface DemoAsk {
  survey: Survey;
  /** The card to plan with; by default the first by rank that gives a plan. */
  cardCode?: string;
  madeAt: string;
  context?: WorkContext;
}

/** The plan of a survey with the demo’s cards and site. Throws the reason if there is none. */
export function demoPlan({ survey, cardCode, madeAt, context }: DemoAsk): Plan {
  const known = { library: demoCards, ...context };
  const cards = cardCode
    ? systemCards.filter((c) => c.code === cardCode)
    : rank(
        matchAll(survey, systemCards, { site: siteSettings, context: known }),
        survey.intent,
      ).map((s) => s.match.card);
  let why = `no card ${cardCode ?? ''} for ${survey.family}`;
  for (const card of cards) {
    const made = makePlan(survey, card, { site: siteSettings, madeAt, context: known });
    if (made.ok) return made.plan;
    why = word(made.why);
  }
  throw new Error(why);
}
