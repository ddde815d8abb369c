import { familyOf, type Survey } from '../families/registry';
import { draftFields, type Placed, type SurveyDraft } from '../form/draft';
import { asText, geometricMiddle, assumedSurvey } from '../form/assumedSurvey';
import { matchAll } from '../match/match';
import { rank } from '../match/rank';
import type { Card, SystemCard } from '../materials/card';
import { INTENTS } from '../materials/words';
import { word } from '../message/word';
import type { SiteSettings } from '../site/site';
import type { UnitSystem } from '../units/quantities';
import type { Lot } from '../work/draw';
import { stepWords } from '../work/step';
import { weatherFor } from '../work/weather';
import type { WeatherHour } from '../work/context';
import { makePlan } from './make';

/** What the questions of a survey are evaluated with: every card, the site, and the known context. */
export interface EffectInput {
  draft: SurveyDraft;
  units: UnitSystem;
  cards: readonly Card[];
  site: SiteSettings;
  /** Forecast and lots on the shelf, if known. */
  hours?: readonly WeatherHour[];
  shelf?: readonly Lot[];
}

interface Outcome {
  /** All that people act on: each verdict by rank, and the plan of the first card that has one. */
  told: string;
  /** No card fits, whatever its rank. */
  out: boolean;
}

function outcomeOf(survey: Survey, { cards, site, hours = [], shelf }: EffectInput): Outcome {
  const systems = cards.filter((c): c is SystemCard => c.role === 'system');
  const known = { ...weatherFor(survey, hours), shelf, library: cards };
  const ranked = rank(matchAll(survey, systems, { site, context: known }), survey.intent);
  const verdicts = ranked.map(({ match }) => [match.card.code, match.verdict]);
  const [first] = ranked;
  const out = !first || first.match.verdict === 'no';
  const plan = out
    ? null
    : makePlan(survey, first.match.card, { site, madeAt: survey.window.startAt, context: known });
  if (!plan?.ok) return { told: JSON.stringify(verdicts), out };
  const { steps, schedule, figures, supplies, cautions, gear, approvers, warnings, windows } =
    plan.plan;
  const told = JSON.stringify([
    verdicts,
    steps.map((s) => [s.name, stepWords(s), s.hold]),
    schedule,
    Object.values(figures).map((f) => [f.id, f.value]),
    supplies.map((s) => [s.id, s.picks]),
    [cautions, gear, approvers, windows, warnings.map((w) => word(w))],
  ]);
  return { told, out };
}

/** The result for both intents: Match ranks both. */
function comesTo(survey: Survey, ask: EffectInput): Outcome {
  const both = INTENTS.map((intent) => outcomeOf({ ...survey, intent }, ask));
  return { told: both.map((o) => o.told).join('\n'), out: both.every((o) => o.out) };
}

/** Other possible answers to a question. */
function others(placed: Placed, units: UnitSystem, text: string): string[] {
  const { field } = placed;
  if (field.kind === 'flag') return [text === 'yes' ? 'no' : 'yes'];
  if (field.kind === 'choice') return field.options.map((o) => o.value).filter((v) => v !== text);
  return [field.min, geometricMiddle(field.min, field.max), field.max].map((v) =>
    asText(v, placed, units),
  );
}

/** Questions with their usual answer: only these may be hidden; a typed answer never is. */
const asUsual = (draft: SurveyDraft): Placed[] => {
  const { usual } = familyOf(draft.family);
  return draftFields(draft).filter(
    ({ path }) => path in usual && (draft.texts[path] ?? '') === usual[path],
  );
};

/**
 * The paths of questions whose every answer leads to the same verdicts, ranks and plan, given the present answers; open
 * ones count as typical. Pure, some tenths of a second: for a worker.
 */
export function fieldsWithoutEffect(ask: EffectInput): string[] {
  const { draft, units } = ask;
  if (draft.shapes.length === 0) return [];
  const plain = assumedSurvey(draft, units);
  if (!plain) return [];
  const now = comesTo(plain, ask);
  // Nothing fits, perhaps because of an assumed answer: nothing is hidden yet.
  const open = draftFields(draft).some(
    ({ path, field }) => !('optional' in field) && (draft.texts[path] ?? '').trim() === '',
  );
  if (now.out && open) return [];
  return asUsual(draft).flatMap((placed) => {
    const { path } = placed;
    const changes = others(placed, units, draft.texts[path] ?? '').some((text) => {
      const tried = assumedSurvey({ ...draft, texts: { ...draft.texts, [path]: text } }, units);
      return tried !== null && comesTo(tried, ask).told !== now.told;
    });
    return changes ? [] : [path];
  });
}
