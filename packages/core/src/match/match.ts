import { demandOfSurvey, type Survey } from '../families/registry';
import { workFor, type Job } from '../job/job';
import type { SystemCard } from '../materials/card';
import type { Permission } from '../materials/words';
import { warmedTo } from '../rules/ambient';
import { placeRules } from '../rules/place';
import { isMetByHand, type Against, type Judgement, type Rule, type Verdict } from '../rules/rule';
import { serviceRules } from '../rules/service';
import { surfaceRules } from '../rules/surface';
import type { QuantityId } from '../units/quantities';
import type { SiteSettings } from '../site/site';
import type { Demand } from '../survey/demand';
import type { Work } from '../work/work';
import type { WorkContext } from '../work/context';
import { jobRules } from './jobRules';
import { jobAlone, jobsShared, packsCost, type Ask, type JudgedJob } from './outcome';

/** The rules for the card alone, in the order a person would ask; rules for the whole job follow. */
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
  /** Minutes from the first step to readiness, by the plan. */
  readyMin: number | null;
  materialCost: number | null;
  /** What it takes outside its schedule. */
  besides: Extras;
  /** Minutes until it is back in service, with approvals. */
  serviceMin: number | null;
  downtimeCost: number | null;
  /** Cost of people and heater. */
  workCost: number | null;
  /** Material, work, extras, and the stop. */
  totalCost: number | null;
  /** The job, as it is held. Computed on request. */
  job: () => Job;
  /** Held at this temperature, °C; null: as it is. */
  heldC: number | null;
}

/** What a card takes outside its schedule: minutes of approvals beyond the conditions met by hand, and money. */
export interface Extras {
  minutes: number;
  cost: number;
}

/** All approvals are asked for at once, and before the stop if possible; an early look costs a person’s time later. */
function besides(
  who: ReadonlySet<Permission>,
  {
    early,
    terms,
    site: { leaveMinutes, leaveCost, termMinutes, labourPerHour },
  }: { early: boolean; terms: number; site: SiteSettings },
): Extras {
  const look = early ? (termMinutes / 60) * labourPerHour : 0;
  return {
    minutes: who.size === 0 ? 0 : Math.max(0, leaveMinutes - terms * termMinutes),
    cost: who.size * leaveCost + look,
  };
}

/** How often a job is written again when its number of conditions changes. */
const TRIES = 3;

/**
 * The full range for margins where zero is only a point on a scale: a limit of 0 °C or pH 0 is not smaller than
 * another.
 */
const SPAN: Partial<Record<QuantityId, number>> = { temperature: 60, ph: 4 };

/** The distance of a figure to its limit, in percent of the limit or of its scale's range; negative past it. */
export function marginPct({ value, limit, sense, quantity }: Against): number {
  const size = SPAN[quantity] ?? Math.max(Math.abs(limit), 1e-6);
  return ((sense === 'max' ? limit - value : value - limit) / size) * 100;
}

/**
 * The position of a figure on a rule whose limit is at 1: below 1 under an upper limit, above 1 over a lower one, by
 * its margin. Never below 0.
 */
export const shareOfLimit = (against: Against): number =>
  Math.max(0, 1 + ((against.sense === 'max' ? -1 : 1) * marginPct(against)) / 100);

const named = (found: Judgement, rule: Named): Judged => Object.assign(found, { rule });

/** A judgement of the whole job for a card that is already excluded: computed when it is read. */
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

/** What the cards of one run share: their demands, and the computation of their jobs. */
export interface Run {
  demand: Demand;
  jobOf: typeof jobAlone;
}
const runAlone = (survey: Survey, site: SiteSettings): Run => ({
  demand: demandOfSurvey(survey, site),
  jobOf: jobAlone,
});

/**
 * One card judged for one survey. Verdict and figures are computed at once; reasons and their working when read: of
 * hundreds of cards a person reads a few.
 */
class Judging implements CardMatch {
  readonly verdict: Verdict;
  readonly marginPct: number;
  readonly readyMin: number | null = null;
  readonly materialCost: number | null = null;
  readonly workCost: number | null = null;
  readonly besides: Extras;
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
      // A thin layer, few batches or a quick cure is no margin: only strength in service counts.
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
    this.besides = besides(who, { early, terms: this.whole?.ask.terms ?? 0, site: ask.site });
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
   * The job with the time for conditions met by hand. Which conditions a step meets shows only when the job is written,
   * so it is written again if their number changed.
   */
  private jobWith(held: readonly Judgement[]): JudgedJob {
    const counted = (job: JudgedJob) =>
      [...held, ...jobRules.map((rule) => rule.judge(job))].filter((j) =>
        isMetByHand(j, job.stepNames),
      ).length;
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

/** Judges one card for a survey by every rule. A single `no` excludes; an `if` carries its condition. */
export function judge(
  survey: Survey,
  card: SystemCard,
  {
    site,
    context = {},
    run: { demand, jobOf } = runAlone(survey, site),
  }: { site: SiteSettings; context?: WorkContext; run?: Run },
): CardMatch {
  return new Judging({ survey, card, site, context, demand, terms: 0 }, jobOf);
}

/** Judges every card that serves the survey's family; cards with equal demands share calculations. */
export function matchAll(
  survey: Survey,
  cards: readonly SystemCard[],
  { site, context = {} }: { site: SiteSettings; context?: WorkContext },
): CardMatch[] {
  const run = { ...runAlone(survey, site), jobOf: jobsShared() };
  return cards
    .filter((c) => c.families.includes(survey.family))
    .map((c) => judge(survey, c, { site, context, run }));
}
