import { familyOf, type Survey } from '../families/registry';
import { draftFields, type Placed, type SurveyDraft } from '../form/draft';
import { asText, middle, supposedSurvey } from '../form/suppose';
import { matchAll } from '../match/match';
import { rank } from '../match/rank';
import type { Card, SystemCard } from '../materials/card';
import { word } from '../message/word';
import type { SiteSettings } from '../site/site';
import type { UnitSystem } from '../units/quantities';
import type { Lot } from '../work/draw';
import { weatherFor, type WeatherHour } from '../work/weather';
import { makePlan } from './make';

/** What the questions of a survey are weighed with: every card, the site, and what else is known. */
export interface MatteringAsk {
  draft: SurveyDraft;
  units: UnitSystem;
  cards: readonly Card[];
  site: SiteSettings;
  /** Weather to come, and lots on the shelf, where they are known. */
  hours?: readonly WeatherHour[];
  shelf?: readonly Lot[];
}

/** All that people act on: each verdict in its rank, and the plan of the first card that has one. */
function comesTo(survey: Survey, { cards, site, hours = [], shelf }: MatteringAsk): string {
  const systems = cards.filter((c): c is SystemCard => c.role === 'system');
  const known = { ...weatherFor(survey, hours), shelf, library: cards };
  const ranked = rank(matchAll(survey, systems, site, known), survey.intent);
  const verdicts = ranked.map(({ match }) => [match.card.code, match.verdict]);
  const [first] = ranked;
  const plan =
    first && first.match.verdict !== 'no'
      ? makePlan(survey, first.match.card, site, survey.window.startAt, known)
      : null;
  if (!plan?.ok) return JSON.stringify(verdicts);
  const { steps, schedule, figures, supplies, cautions, gear, approvers, warnings, windows } =
    plan.plan;
  return JSON.stringify([
    verdicts,
    steps.map((s) => [s.name, word(s.text), s.hold]),
    schedule,
    Object.values(figures).map((f) => [f.id, f.value]),
    supplies.map((s) => [s.id, s.picks]),
    [cautions, gear, approvers, windows, warnings.map((w) => word(w))],
  ]);
}

/** What else a question could be answered with. */
function others(placed: Placed, units: UnitSystem, text: string): string[] {
  const { field } = placed;
  if (field.kind === 'flag') return [text === 'yes' ? 'no' : 'yes'];
  if (field.kind === 'choice') return field.options.map((o) => o.value).filter((v) => v !== text);
  return [field.min, middle(field.min, field.max), field.max].map((v) => asText(v, placed, units));
}

/** Questions that stand at their usual answer: only these may be put away, what somebody typed never is. */
const asUsual = (draft: SurveyDraft): Placed[] => {
  const { usual } = familyOf(draft.family);
  return draftFields(draft).filter(
    ({ path }) => path in usual && (draft.texts[path] ?? '') === usual[path],
  );
};

/**
 * The paths of those questions whose every answer leads to the same verdicts, ranks and plan, for what has been answered
 * so far; what has not is taken as typical. Pure, some tenths of a second: for a worker.
 */
export function silentFields(ask: MatteringAsk): string[] {
  const { draft, units } = ask;
  if (draft.shapes.length === 0) return [];
  const plain = supposedSurvey(draft, units);
  if (!plain) return [];
  const now = comesTo(plain, ask);
  return asUsual(draft).flatMap((placed) => {
    const { path } = placed;
    const changes = others(placed, units, draft.texts[path] ?? '').some((text) => {
      const tried = supposedSurvey({ ...draft, texts: { ...draft.texts, [path]: text } }, units);
      return tried !== null && comesTo(tried, ask) !== now;
    });
    return changes ? [] : [path];
  });
}
