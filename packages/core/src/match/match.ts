import { memoOf, type Memo } from '../calc/memo';
import { demandOfSurvey, type Survey } from '../families/registry';
import { jobFrom, jobWarmC, workFor, type Job, type JobAsk } from '../job/job';
import type { SystemCard } from '../materials/card';
import { kitPick } from '../mix/kitPick';
import { warmedTo } from '../rules/ambient';
import { placeRules } from '../rules/place';
import type { Against, Judgement, Rule, Verdict } from '../rules/rule';
import { serviceRules } from '../rules/service';
import { surfaceRules } from '../rules/surface';
import type { SiteSettings } from '../site/site';
import type { Demand } from '../survey/demand';
import type { Work, WorkContext } from '../work/work';
import { jobRules, type JudgedJob } from './jobRules';

/** Rules of the card by itself, in the order a person would ask; those of the whole job follow. */
const cardRules: readonly Rule[] = [...placeRules, ...surfaceRules, ...serviceRules];
type Named = Pick<Rule, 'id' | 'name' | 'question'>;
export const rules: readonly Named[] = [...cardRules, ...jobRules];

export interface Judged extends Judgement {
  rule: Named;
}
export interface CardMatch {
  card: SystemCard;
  work: Work;
  verdict: Verdict;
  judged: readonly Judged[];
  marginPct: number;
  lifeDays: number;
  readyMin: number | null;
  materialCost: number | null;
  downtimeCost: number | null;
  /** The job it would be, as it is held. Worked out when it is asked for. */
  job: () => Job;
  /** Held at this, °C; null: as it is. */
  heldC: number | null;
}

/** How far a figure is inside its limit, in percent of the limit; negative past it. */
export function marginPct({ value, limit, sense }: Against): number {
  const size = Math.max(Math.abs(limit), 1e-6);
  return ((sense === 'max' ? limit - value : value - limit) / size) * 100;
}

const judgedBy = <S>(rule: Rule<S>, subject: S): Judged =>
  Object.assign(rule.judge(subject), { rule });

/** A judgement of the whole job on a card that is out already: made when somebody reads it. */
function later(rule: Rule<JudgedJob>, job: () => JudgedJob): Judged {
  let made: Judgement | null = null;
  const get = () => (made ??= rule.judge(job()));
  return {
    rule,
    get verdict() {
      return get().verdict;
    },
    get because() {
      return get().because;
    },
    get against() {
      return get().against;
    },
    get condition() {
      return get().condition;
    },
    get relax() {
      return get().relax;
    },
    get who() {
      return get().who;
    },
    get planned() {
      return get().planned;
    },
  };
}

const once = <T>(make: () => T): (() => T) => {
  let made: { value: T } | null = null;
  return () => (made ??= { value: make() }).value;
};

/** Degrees that a heater is counted on for beyond what is there. */
const HEATER_C = 15;

const readyOf = ({ laid, draft }: Job): number =>
  laid.ok && draft.rounds.every((r) => !r.problem) ? laid.readyMin : Infinity;

/** The coldest whole degree, at most fifteen warmer and inside the card, at which the job ends inside the stop. */
function heldInTime(ask: JobAsk, work: Work): Job | null {
  const { downMin } = work.survey.window;
  const from = Math.floor(work.tempC) + 1;
  const top = Math.min(work.card.ambient.maxSurfaceC, Math.floor(work.tempC) + HEATER_C);
  const at = (heldC: number) => jobFrom(workFor({ ...ask, heldC }));
  let [lo, hi] = [from, top];
  if (lo > hi) return null;
  let best = at(hi);
  if (readyOf(best) > downMin) return null;
  while (lo < hi) {
    const mid = Math.floor((lo + hi) / 2);
    const tried = at(mid);
    if (readyOf(tried) <= downMin) {
      hi = mid;
      best = tried;
    } else lo = mid + 1;
  }
  return best;
}

/** The job as it will be done: as it is, or held warm enough for its gate, its second materials and its hours. */
function judgedJob(ask: JobAsk, work: Work): JudgedJob {
  const asIs = jobFrom(work);
  const warm = jobWarmC(asIs);
  const job =
    warm === null || warm <= work.tempC ? asIs : jobFrom(workFor({ ...ask, heldC: warm }));
  const ready = readyOf(job);
  if (ready <= work.survey.window.downMin || ready === Infinity)
    return { job, heldForTimeC: null, coldReadyMin: null };
  const warmer = heldInTime(ask, job.work);
  return warmer
    ? { job: warmer, heldForTimeC: warmer.work.heldC, coldReadyMin: ready }
    : { job, heldForTimeC: null, coldReadyMin: null };
}

function materialCost({ draft, work }: Job): number | null {
  const own = draft.rounds.filter((r) => r.card.code === work.card.code);
  const need = own.reduce((s, r) => s + r.draw, 0);
  const ids = own.find((r) => r.packIds)?.packIds;
  const kits = work.card.packs
    .filter((p) => !ids || ids.includes(p.id))
    .map(({ id, size, price }) => ({ id, ml: size, price }));
  const picked = kitPick({ neededMl: need, kits, maxPacks: 2000 });
  return picked.ok ? picked.totalPrice : null;
}

/** Judges one card against a survey by every rule. A single `no` excludes; an `if` carries its condition. */
export function judge(
  survey: Survey,
  card: SystemCard,
  site: SiteSettings,
  context: WorkContext = {},
  demand: Demand = demandOfSurvey(survey, site),
  memo: Memo = memoOf(),
): CardMatch {
  const ask: JobAsk = {
    survey,
    card,
    site,
    context,
    demand,
    memo,
    heldC: warmedTo({ card, survey }),
  };
  const work = workFor(ask);
  const judged: Judged[] = [];
  let verdict: Verdict = 'fits';
  let margin = 100;
  const count = (found: Judged) => {
    judged.push(found);
    if (found.verdict === 'no' || (found.verdict === 'if' && verdict === 'fits'))
      verdict = found.verdict;
    // A count of batches or a wear mark is no reserve of strength: only measured limits make the margin.
    if (found.against && found.against.quantity !== 'count')
      margin = Math.min(margin, marginPct(found.against));
  };
  for (const rule of cardRules) count(judgedBy(rule, work));
  const whole = once(() => judgedJob(ask, work));
  const out = (verdict as Verdict) === 'no';
  for (const rule of jobRules)
    if (out) judged.push(later(rule, whole));
    else count(judgedBy(rule, whole()));
  const job = out ? null : whole().job;
  const readyMin = job?.laid.ok ? job.laid.readyMin : null;
  return {
    card,
    work: job?.work ?? work,
    verdict,
    judged,
    marginPct: margin,
    lifeDays: card.lifeDays[survey.intent],
    readyMin,
    materialCost: job && materialCost(job),
    downtimeCost: readyMin === null ? null : (readyMin / 60) * survey.asset.costPerHour,
    job: () => whole().job,
    heldC: (job?.work ?? work).heldC,
  };
}

/** Judges every card that serves the survey's family, sharing the sums that cards ask alike. */
export function matchAll(
  survey: Survey,
  cards: readonly SystemCard[],
  site: SiteSettings,
  context: WorkContext = {},
): CardMatch[] {
  const demand = demandOfSurvey(survey, site);
  const memo = memoOf();
  return cards
    .filter((c) => c.families.includes(survey.family))
    .map((c) => judge(survey, c, site, context, demand, memo));
}
