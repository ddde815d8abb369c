import type { SystemCard } from '../materials/card';
import type { SiteSettings } from '../plan/site';
import { timeline } from '../plan/timeline';
import { workUp, type WorkContext, type WorkUp } from '../plan/workUp';
import type { Demand } from '../survey/demand';
import { demandOfSurvey, type Survey } from '../survey/survey';
import { jobRules } from './jobRules';
import { placeRules } from './placeRules';
import type { Against, Judgement, Rule, Verdict } from './rule';
import { serviceRules } from './serviceRules';
import { surfaceRules } from './surfaceRules';

/** Every rule, in the order a person would ask. */
export const rules: readonly Rule[] = [
  ...placeRules,
  ...surfaceRules,
  ...serviceRules,
  ...jobRules,
];

export interface Judged extends Judgement {
  rule: Pick<Rule, 'id' | 'name' | 'question'>;
}
export interface CardMatch {
  card: SystemCard;
  work: WorkUp;
  verdict: Verdict;
  judged: Judged[];
  marginPct: number;
  lifeDays: number;
  readyMin: number | null;
  materialCost: number | null;
  downtimeCost: number | null;
}

/** How far a figure is inside its limit, in percent of the limit; negative past it. */
export function marginPct({ value, limit, sense }: Against): number {
  const size = Math.max(Math.abs(limit), 1e-6);
  return ((sense === 'max' ? limit - value : value - limit) / size) * 100;
}

/** Judges one card against a survey by every rule. A single `no` excludes; an `if` carries its condition. */
export function judge(
  survey: Survey,
  card: SystemCard,
  site: SiteSettings,
  context: WorkContext = {},
  demand: Demand = demandOfSurvey(survey, site),
): CardMatch {
  const work = workUp(survey, card, site, context, demand);
  const judged: Judged[] = [];
  let verdict: Verdict = 'fits';
  let margin = 100;
  for (const rule of rules) {
    const found = rule.judge(work) as Judged;
    found.rule = rule;
    judged.push(found);
    if (found.verdict === 'no' || (found.verdict === 'if' && verdict === 'fits'))
      verdict = found.verdict;
    // A count of batches or a wear mark is no reserve of strength: only measured limits make the margin.
    if (found.against && found.against.quantity !== 'count')
      margin = Math.min(margin, marginPct(found.against));
  }
  const readyMin = timeline(work)?.readyMin ?? null;
  return {
    card,
    work,
    verdict,
    judged,
    marginPct: margin,
    lifeDays: card.lifeDays[survey.intent],
    readyMin,
    materialCost: work.packs.ok ? work.packs.totalPrice : null,
    downtimeCost: readyMin === null ? null : (readyMin / 60) * survey.asset.costPerHour,
  };
}

/** Judges every card that serves the survey's family. */
export function matchAll(
  survey: Survey,
  cards: readonly SystemCard[],
  site: SiteSettings,
  context: WorkContext = {},
): CardMatch[] {
  const demand = demandOfSurvey(survey, site);
  return cards
    .filter((c) => c.families.includes(survey.family))
    .map((c) => judge(survey, c, site, context, demand));
}
