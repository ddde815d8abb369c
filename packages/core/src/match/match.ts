import { demandOfSurvey, type Survey } from '../families/registry';
import { workFor, type Job } from '../job/job';
import type { SystemCard } from '../materials/card';
import { kitPick } from '../mix/kitPick';
import { warmedTo } from '../rules/ambient';
import { placeRules } from '../rules/place';
import type { Against, Judgement, Rule, Verdict } from '../rules/rule';
import { serviceRules } from '../rules/service';
import { surfaceRules } from '../rules/surface';
import type { QuantityId } from '../units/quantities';
import type { SiteSettings } from '../site/site';
import type { Demand } from '../survey/demand';
import type { Work, WorkContext } from '../work/work';
import { jobRules } from './jobRules';
import { jobAlone, jobsShared, type Ask, type JudgedJob, type Outcome } from './outcome';

/** Rules of the card by itself, in the order a person would ask; those of the whole job follow. */
const cardRules: readonly Rule[] = [...placeRules, ...surfaceRules, ...serviceRules];
type Named = Pick<Rule, 'id' | 'name' | 'question' | 'strength'>;
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

/** What counts as a whole reserve where zero is only a mark on a scale: a limit of 0 °C or pH 0 is no smaller than another. */
const SPAN: Partial<Record<QuantityId, number>> = { temperature: 60, ph: 4 };

/** How far a figure is inside its limit, in percent of the limit, or of a span of its scale; negative past it. */
export function marginPct({ value, limit, sense, quantity }: Against): number {
  const size = SPAN[quantity] ?? Math.max(Math.abs(limit), 1e-6);
  return ((sense === 'max' ? limit - value : value - limit) / size) * 100;
}

const named = (found: Judgement, rule: Named): Judged => Object.assign(found, { rule });

/** A judgement of the whole job on a card that is out already: made when somebody reads it. */
class Later implements Judged {
  private made: Judgement | null = null;

  constructor(
    readonly rule: Rule<JudgedJob>,
    private readonly job: () => JudgedJob,
  ) {}

  private get found(): Judgement {
    return (this.made ??= this.rule.judge(this.job()));
  }
  get verdict() {
    return this.found.verdict;
  }
  get because() {
    return this.found.because;
  }
  get against() {
    return this.found.against;
  }
  get condition() {
    return this.found.condition;
  }
  get relax() {
    return this.found.relax;
  }
  get who() {
    return this.found.who;
  }
  get planned() {
    return this.found.planned;
  }
}

function materialCost(card: SystemCard, { drawn, packIds }: Outcome): number | null {
  const kits = card.packs
    .filter((p) => !packIds || packIds.includes(p.id))
    .map(({ id, size, price }) => ({ id, ml: size, price }));
  const picked = kitPick({ neededMl: drawn, kits, maxPacks: 2000 });
  return picked.ok ? picked.totalPrice : null;
}

/** What the cards of one run share: what is asked of them, and how their jobs are worked out. */
export interface Run {
  demand: Demand;
  jobOf: typeof jobAlone;
}
const runAlone = (survey: Survey, site: SiteSettings): Run => ({
  demand: demandOfSurvey(survey, site),
  jobOf: jobAlone,
});

/**
 * One card against one survey. Its verdict and figures are worked at once; the reasons behind them, and the sums they
 * were judged on, when somebody reads them: of hundreds of cards a person reads a handful.
 */
class Judging implements CardMatch {
  readonly verdict: Verdict;
  readonly marginPct: number;
  readonly readyMin: number | null = null;
  readonly materialCost: number | null = null;
  readonly heldC: number | null;
  private whole: JudgedJob | null = null;
  private reasons: readonly Judged[] | null = null;
  private worked: Work | null = null;

  constructor(
    private readonly ask: Ask,
    private readonly jobOf: Run['jobOf'],
  ) {
    const work = this.workAtGate();
    let verdict: Verdict = 'fits';
    let margin = 100;
    const count = (found: Judgement, strength?: true) => {
      if (found.verdict === 'no' || (found.verdict === 'if' && verdict === 'fits'))
        verdict = found.verdict;
      // A thin layer, few batches or a quick cure is no reserve: only what it stands in service is.
      if (found.against && strength) margin = Math.min(margin, marginPct(found.against));
    };
    for (const rule of cardRules) count(rule.judge(work), rule.strength);
    this.heldC = work.heldC;
    if ((verdict as Verdict) !== 'no') {
      const judged = this.judgedJob();
      for (const rule of jobRules) count(rule.judge(judged));
      this.heldC = judged.heldC;
      this.readyMin = judged.readyMin === Infinity ? null : judged.readyMin;
      this.materialCost = materialCost(ask.card, judged);
    }
    this.verdict = verdict;
    this.marginPct = margin;
  }

  private workAtGate(): Work {
    return workFor({ ...this.ask, heldC: warmedTo(this.ask) });
  }
  private judgedJob(): JudgedJob {
    return (this.whole ??= this.jobOf(this.ask));
  }

  get card() {
    return this.ask.card;
  }
  get lifeDays() {
    return this.card.lifeDays[this.ask.survey.intent];
  }
  get downtimeCost() {
    return this.readyMin === null ? null : (this.readyMin / 60) * this.ask.survey.asset.costPerHour;
  }
  get work() {
    return (this.worked ??=
      this.heldC === warmedTo(this.ask) ? this.workAtGate() : this.job().work);
  }
  get judged() {
    return (this.reasons ??= this.reasoned());
  }
  job() {
    return this.judgedJob().job();
  }

  private reasoned(): Judged[] {
    const work = this.workAtGate();
    const own = cardRules.map((rule) => named(rule.judge(work), rule));
    const out = own.some((j) => j.verdict === 'no');
    const whole = () => this.judgedJob();
    return [
      ...own,
      ...jobRules.map((rule) => (out ? new Later(rule, whole) : named(rule.judge(whole()), rule))),
    ];
  }
}

/** Judges one card against a survey by every rule. A single `no` excludes; an `if` carries its condition. */
export function judge(
  survey: Survey,
  card: SystemCard,
  site: SiteSettings,
  context: WorkContext = {},
  { demand, jobOf }: Run = runAlone(survey, site),
): CardMatch {
  return new Judging({ survey, card, site, context, demand }, jobOf);
}

/** Judges every card that serves the survey's family, sharing the sums that cards ask alike. */
export function matchAll(
  survey: Survey,
  cards: readonly SystemCard[],
  site: SiteSettings,
  context: WorkContext = {},
): CardMatch[] {
  const run = { ...runAlone(survey, site), jobOf: jobsShared() };
  return cards
    .filter((c) => c.families.includes(survey.family))
    .map((c) => judge(survey, c, site, context, run));
}
