import { demandOfSurvey, type Survey } from '../families/registry';
import { workFor, type Job } from '../job/job';
import type { SystemCard } from '../materials/card';
import type { Permission } from '../materials/words';
import { warmedTo } from '../rules/ambient';
import { placeRules } from '../rules/place';
import { byHand, type Against, type Judgement, type Rule, type Verdict } from '../rules/rule';
import { serviceRules } from '../rules/service';
import { surfaceRules } from '../rules/surface';
import type { QuantityId } from '../units/quantities';
import type { SiteSettings } from '../site/site';
import type { Demand } from '../survey/demand';
import type { Work } from '../work/work';
import type { WorkContext } from '../work/context';
import { jobRules } from './jobRules';
import { jobAlone, jobsShared, packsCost, type Ask, type JudgedJob } from './outcome';

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
  /** Minutes from the first step to its readiness, as the plan has it. */
  readyMin: number | null;
  materialCost: number | null;
  /** What it takes that is not in its schedule. */
  besides: Besides;
  /** Minutes until it is back in service, with whatever must be allowed first. */
  serviceMin: number | null;
  downtimeCost: number | null;
  /** People and heater. */
  workCost: number | null;
  /** Material, work, what it takes besides, and the stop. */
  totalCost: number | null;
  /** The job it would be, as it is held. Worked out when it is asked for. */
  job: () => Job;
  /** Held at this, °C; null: as it is. */
  heldC: number | null;
}

/** What a card takes that is not in its schedule: minutes of leave beyond those in which conditions are met, and money. */
export interface Besides {
  minutes: number;
  cost: number;
}

/** Leave is asked of all at once, and before the stop where it can be; an early look costs a person’s time later. */
function besides(
  who: ReadonlySet<Permission>,
  early: boolean,
  terms: number,
  { leaveMinutes, leaveCost, termMinutes, labourPerHour }: SiteSettings,
): Besides {
  const look = early ? (termMinutes / 60) * labourPerHour : 0;
  return {
    minutes: who.size === 0 ? 0 : Math.max(0, leaveMinutes - terms * termMinutes),
    cost: who.size * leaveCost + look,
  };
}

/** So often a job is written again for another count of conditions. */
const TRIES = 3;

/** What counts as a whole reserve where zero is only a mark on a scale: a limit of 0 °C or pH 0 is no smaller than another. */
const SPAN: Partial<Record<QuantityId, number>> = { temperature: 60, ph: 4 };

/** How far a figure is inside its limit, in percent of the limit, or of a span of its scale; negative past it. */
export function marginPct({ value, limit, sense, quantity }: Against): number {
  const size = SPAN[quantity] ?? Math.max(Math.abs(limit), 1e-6);
  return ((sense === 'max' ? limit - value : value - limit) / size) * 100;
}

/**
 * Where a figure stands on a rule whose limit is at 1: under it below a most, over it above a least, by its reserve, so
 * that it hangs on no zero. Never under 0.
 */
export const shareOfLimit = (against: Against): number =>
  Math.max(0, 1 + ((against.sense === 'max' ? -1 : 1) * marginPct(against)) / 100);

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
  get build() {
    return this.found.build;
  }
  get relax() {
    return this.found.relax;
  }
  get who() {
    return this.found.who;
  }
  get early() {
    return this.found.early;
  }
  get steps() {
    return this.found.steps;
  }
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
  readonly workCost: number | null = null;
  readonly besides: Besides;
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
    const terms: Judgement[] = [];
    const who = new Set<Permission>();
    let early = false;
    const count = (found: Judgement, strength?: true) => {
      if (found.verdict === 'no' || (found.verdict === 'if' && verdict === 'fits'))
        verdict = found.verdict;
      if (found.verdict === 'if' && found.who) who.add(found.who);
      else if (found.verdict === 'if') terms.push(found);
      early ||= found.early === true;
      // A thin layer, few batches or a quick cure is no reserve: only what it stands in service is.
      if (found.against && strength) margin = Math.min(margin, marginPct(found.against));
    };
    for (const rule of cardRules) count(rule.judge(work), rule.strength);
    this.heldC = work.heldC;
    if ((verdict as Verdict) !== 'no') {
      const judged = this.jobWith(terms);
      for (const rule of jobRules) count(rule.judge(judged));
      this.heldC = judged.heldC;
      this.readyMin = judged.readyMin === Infinity ? null : judged.readyMin;
      const own = packsCost(ask.card, judged);
      this.materialCost =
        own === null || judged.secondsCost === null ? null : own + judged.secondsCost;
      const { labourPerHour, heaterPerHour } = ask.site;
      this.workCost = (judged.labourMin * labourPerHour + judged.heatMin * heaterPerHour) / 60;
    }
    this.besides = besides(who, early, this.whole?.ask.terms ?? 0, ask.site);
    this.verdict = verdict;
    this.marginPct = margin;
  }

  private workAtGate(): Work {
    return workFor({ ...this.ask, heldC: warmedTo(this.ask) });
  }
  private judgedJob(): JudgedJob {
    return (this.whole ??= this.jobOf(this.ask));
  }
  /**
   * The job with the time for what is met by hand. Which conditions a step sees to, and which come of the job itself,
   * shows when it is written, so it is written again where the count was another.
   */
  private jobWith(held: readonly Judgement[]): JudgedJob {
    const counted = (job: JudgedJob) =>
      [...held, ...jobRules.map((rule) => rule.judge(job))].filter((j) => byHand(j, job.stepNames))
        .length;
    let terms = held.filter((j) => !j.steps && !j.early).length;
    for (let tries = 0; ; tries += 1) {
      const job = this.jobOf({ ...this.ask, terms });
      const met = counted(job);
      if (met === terms || tries === TRIES) return (this.whole = job);
      terms = met;
    }
  }

  get card() {
    return this.ask.card;
  }
  get lifeDays() {
    return this.card.lifeDays[this.ask.survey.intent];
  }
  get serviceMin() {
    return this.readyMin === null ? null : this.readyMin + this.besides.minutes;
  }
  get downtimeCost() {
    const { serviceMin } = this;
    return serviceMin === null ? null : (serviceMin / 60) * this.ask.survey.asset.costPerHour;
  }
  get totalCost() {
    const { materialCost, workCost, downtimeCost } = this;
    if (materialCost === null || workCost === null || downtimeCost === null) return null;
    return materialCost + workCost + this.besides.cost + downtimeCost;
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
  return new Judging({ survey, card, site, context, demand, terms: 0 }, jobOf);
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
