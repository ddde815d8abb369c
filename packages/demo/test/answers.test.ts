import {
  everyField,
  families,
  familyOf,
  makePlan,
  matchAll,
  rank,
  readDraft,
  weatherFor,
  word,
  type WeatherHour,
  type Placed,
  type SurveyDraft,
  stepWords,
} from '@kelmot/core';
import { demoCards, plainDraft, simulatedWeather, siteSettings, systemCards } from '../src/index';

const AT = '2026-11-25T08:00:00Z';

/** Answers that may change nothing, each with its reason; `*` is every family. */
const MAY_CHANGE_NOTHING: Record<string, string> = {
  'F4 service.concPct': 'no card for it stands caustic or acid, weak or strong',
  'F11 service.concPct': 'no card for it stands caustic or acid, weak or strong',
  'F13 service.concPct': 'no card for it stands caustic or acid, weak or strong',
  'F3 chip damages.0.wallMm': 'counts where a working load is carried; else it is drawn to scale',
  'F13 damages.0.wallMm': 'drawn to scale in the section; what sets under water lies on it',
  'F14 film damages.0.wallMm': 'drawn to scale in the section; a film goes no way into it',
  'F6 belt.carcass=steel': 'counts where it is cut across or lies bare: tried in found.test',
  'F8 site.ignition=stays': 'nothing that burns is used on a floor crack',
  'F10 site.ignition=stays': 'nothing that burns is used on a yard crack',
  'F11 site.ignition=stays': 'nothing that burns is used at a wall crack',
  'F13 site.ignition=stays': 'nothing that burns is used under water',
  'F5 surface.slope=vertical': 'plies are held by roller and compression film at any slope',
  'F5 surface.slope=overhead': 'plies are held by roller and compression film at any slope',
};

/** Answers for fields that are asked only after another answer, so that the tested one can be read. */
const GIVEN: Record<string, string> = {
  'past.nowMm': '20 mm',
  'past.mmPerWeek': '5 mm',
  'past.stopsAtMm': '60 mm',
  'past.stopMin': '3 d',
  'service.concPct': '5 %',
};

let hours: WeatherHour[];
beforeAll(async () => {
  hours = await simulatedWeather.hours(Date.parse(AT));
});

/**
 * Everything that people are told about a survey, quickest parts first: verdicts, reasons, and the first card's plan.
 */
function* told(draft: SurveyDraft): Generator<string> {
  const { survey, issues } = readDraft(draft, 'metric');
  if (!survey) return yield JSON.stringify(issues);
  const known = { library: demoCards, ...weatherFor(survey, hours) };
  const cards = systemCards.filter((c) => c.families.includes(survey.family));
  const matches = matchAll(survey, cards, { site: siteSettings, context: known });
  const judged = matches.flatMap((m) => m.judged.map((j) => ({ code: m.card.code, ...j })));
  yield JSON.stringify(judged.map((j) => [j.code, j.rule.id, j.verdict]));
  for (let i = 0; i < matches.length; i++)
    yield matches[i]?.judged.map((j) => word(j.because)).join() ?? '';
  for (const { match } of rank(matches, survey.intent)) {
    const made =
      match.verdict === 'no'
        ? null
        : makePlan(survey, match.card, { site: siteSettings, madeAt: AT, context: known });
    if (!made?.ok) continue;
    const { steps, schedule, figures, supplies, cautions, warnings, windows } = made.plan;
    const said = steps.map((s) => stepWords(s));
    const values = Object.values(figures).map((f) => [f.id, f.value]);
    const needs = supplies.map((s) => [s.id, s.picks]);
    const rest = [cautions.map((c) => c.id), warnings.map((w) => word(w)), windows];
    return yield JSON.stringify([said, schedule, values, needs, rest]);
  }
}

/** Whether two surveys give the same texts; stops at the first difference. */
function tellTheSame(before: readonly string[], draft: SurveyDraft): boolean {
  let i = 0;
  for (const part of told(draft)) if (part !== before[i++]) return false;
  return i === before.length;
}

/** The draft with a field asked: the answers that it depends on are given. */
function asking(draft: SurveyDraft, { path, field }: Placed): SurveyDraft {
  if (!field.when) return draft;
  const group = path.slice(0, path.lastIndexOf('.'));
  const asked = { ...draft.texts, [`${group}.${field.when.key}`]: field.when.in[0] ?? '' };
  return { ...draft, texts: { ...asked, ...GIVEN } };
}

/** The tested answers of a field: every other choice, and both ends and the middle of an amount. */
function tries({ field }: Placed, usual: string | undefined): string[] {
  if (field.kind === 'flag') return [usual === 'yes' ? 'no' : 'yes'];
  if (field.kind === 'choice')
    return field.options.map((o) => o.value).filter((value) => value !== usual);
  const middle = Math.sqrt(Math.max(field.min, 1) * Math.max(field.max, 1));
  // In the field's base unit: some are typed in another.
  const unit = { time: 'min', length: 'mm', temperature: '°C' }[field.quantity as string] ?? '';
  return [field.min, middle, field.max].map((value) => `${value} ${unit}`.trim());
}

const places = families().flatMap((f) =>
  familyOf(f.id).shapes.map((s) => [`${f.id} ${s.shape}`, f.id, s.shape] as const),
);

test.each(places)(
  '%s: every answer changes something that a person is told',
  (_, family, shape) => {
    const plain = plainDraft({ family, shapes: [shape], startAt: AT, costPerHour: 100 });
    const plainly = [...told(plain)];
    const silent = everyField(plain).flatMap((placed) => {
      const { path, field } = placed;
      const draft = asking(plain, placed);
      const before = draft === plain ? plainly : [...told(draft)];
      expect(before.join()).not.toContain('"path"');
      const same = (text: string) =>
        tellTheSame(before, { ...draft, texts: { ...draft.texts, [path]: text } });
      const tried = tries(placed, draft.texts[path]);
      // An amount that changes nothing, and a choice without effect, are faults.
      if (field.kind === 'quantity') return tried.every(same) ? [path] : [];
      return tried.filter(same).map((value) => `${path}=${value}`);
    });
    const excused = (what: string) =>
      [`${family} ${what}`, `${family} ${shape} ${what}`, `* ${what}`].some(
        (key) => key in MAY_CHANGE_NOTHING,
      );
    expect(silent.filter((what) => !excused(what))).toEqual([]);
  },
);
