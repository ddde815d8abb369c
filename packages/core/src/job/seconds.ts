import { t } from '../text/text';
import type { SystemCard } from '../materials/card';
import { PURPOSE_NAMES } from '../materials/words';
import { m, type Message } from '../message/message';
import { word } from '../message/word';
import { placeRules } from '../rules/place';
import { fits, no, type Judgement, type Rule, type Verdict } from '../rules/rule';
import { approvedRule } from '../rules/forgotten';
import { mediumRules } from '../rules/medium';
import { surfaceRules } from '../rules/surface';
import type { SurveyBase } from '../survey/common';
import type { Demand } from '../survey/demand';
import type { Round, SecondTerm } from '../work/round';
import { workOf, type Second, type SecondNeed, type Work } from '../work/work';

const pick = (rules: readonly Rule[], ...ids: string[]) => rules.filter((r) => ids.includes(r.id));

/** Rules for every material of a job, each applied to the place where it lies. */
const SHARED: readonly Rule[] = [
  ...pick(placeRules, 'in-use', 'nearby', 'ventilation', 'size'),
  ...pick(surfaceRules, 'substrate', 'damp', 'ambient'),
  ...mediumRules,
  approvedRule,
];
const MEANT = pick(placeRules, 'intent');

/** Whether the next material may lie on this one: their chemistries must be compatible. */
const bears = (card: SystemCard, over: SystemCard | undefined): Judgement =>
  over && card.notUnder.includes(over.chemistry)
    ? no(() => m('{over} may not lie over it.', { over: over.code }))
    : fits(t('What lies over it holds on it.'));

export interface JudgedSecond {
  card: SystemCard;
  verdict: Verdict;
  /** Number of limits that exclude it. */
  stops: number;
  /** The first deciding reason. */
  because: Message;
  /** Its conditions. */
  terms: readonly SecondTerm[];
}

const termOf = (card: SystemCard, rule: string, found: Judgement): SecondTerm => ({
  rule,
  condition: found.condition ?? found.because,
  because: m('{card}: {because}', { card: card.code, because: found.because }),
  steps: found.steps,
});

/** The conditions of a job's second materials, without those that its main card already has in the same words. */
export function secondTerms(work: Work, rounds: readonly Round[]): SecondTerm[] {
  const own = (rule: string): string | null => {
    const found = SHARED.find((r) => r.id === rule)?.judge(work);
    return found?.condition ? word(found.condition) : null;
  };
  const terms = rounds.flatMap((r) => r.terms ?? []);
  const said = terms.map((t) => word(t.condition));
  return terms.filter((t, i) => said.indexOf(said[i] ?? '') === i && own(t.rule) !== said[i]);
}

const ORDER: Record<Verdict, number> = { fits: 0, if: 1, no: 2 };

/** The demand on a second material. */
function demandFor(demand: Demand, need: SecondNeed): Demand {
  const service = need.wetted ? demand.service : { ...demand.service, medium: 'air' as const };
  return {
    ...demand,
    material: need.material ?? demand.material,
    service: { ...service, ...need.service },
    bodies: [],
    wrap: null,
    sheets: [],
    pressureBar: 0,
    approval: need.wetted ? demand.approval : null,
    strains: [],
    soft: false,
    crack: null,
    flexes: false,
    machined: false,
    light: null,
    longestMm: need.longestMm ?? 0,
    load: null,
    refusals: [],
    conditions: [],
  };
}

/**
 * Judges every card that can do it, best first: fitting ones; of the others the nearest to fitting; then by cost per
 * millilitre.
 */
export function judgeSeconds(work: Work, need: SecondNeed): JudgedSecond[] {
  const { context, site, schools, survey } = work;
  const able = (context.library ?? []).filter(
    (c): c is SystemCard =>
      c.role === 'system' && c.helps.includes(need.purpose) && c.code !== work.card.code,
  );
  const demand = demandFor(work.demand, need);
  const rules = need.wetted ? [...SHARED, ...MEANT] : SHARED;
  // Judged at the temperature at which it will be applied.
  const held = {
    ...survey,
    readings: { ...survey.readings, surfaceC: work.tempC },
    surface: { ...survey.surface, damp: need.damp ?? survey.surface.damp },
  };
  const price = (c: SystemCard) => Math.min(...c.packs.map((p) => p.price / p.size));
  return able
    .map((card): JudgedSecond => {
      const subject = workOf<SurveyBase>({
        survey: held,
        card,
        site,
        context,
        schools,
        demand,
        heldC: null,
        terms: 0,
        second: () => ({ card, because: null, problem: null, terms: [] }),
      });
      const ruled = rules.map((rule) => ({ rule, found: rule.judge(subject) }));
      const judged = [...ruled.map((r) => r.found), bears(card, need.under)];
      const worst =
        judged.find((j) => j.verdict === 'no') ?? judged.find((j) => j.verdict === 'if');
      return {
        card,
        verdict: worst?.verdict ?? 'fits',
        stops: judged.filter((j) => j.verdict === 'no').length,
        because: worst?.because ?? m('It fits.'),
        terms: ruled.flatMap(({ rule, found }) =>
          found.verdict === 'if' ? [termOf(card, rule.id, found)] : [],
        ),
      };
    })
    .sort(
      (a, b) =>
        ORDER[a.verdict] - ORDER[b.verdict] || a.stops - b.stops || price(a.card) - price(b.card),
    );
}

/** Chooses a second material and says why; the person’s own choice goes first if it is available. */
export function chooseSecond(work: Work, need: SecondNeed): Second {
  const judged = judgeSeconds(work, need);
  const wanted = work.context.seconds?.[need.purpose];
  const best = judged.find((j) => j.card.code === wanted) ?? judged[0];
  const name = PURPOSE_NAMES[need.purpose].toLowerCase();
  if (!best)
    return {
      card: work.card,
      because: null,
      problem: m('No card in the library does this: {name}.', { name }),
      terms: [],
    };
  const others = judged.filter((j) => j !== best);
  return {
    card: best.card,
    because: m('{card}: {because}{n, plural, =0 {} other { Besides it: {others}.}}', {
      card: best.card.code,
      because: best.because,
      n: others.length,
      others: others.map((o) =>
        m('{card} {verdict, select, no {does not fit} other {is dearer}}', {
          card: o.card.code,
          verdict: o.verdict,
        }),
      ),
    }),
    problem:
      best.verdict === 'no'
        ? m('{card} as {name}: {because}', { card: best.card.code, name, because: best.because })
        : null,
    terms: best.terms,
  };
}
