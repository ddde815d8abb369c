import { lazyValue } from '../calc/lazyValue';
import { memoByReads } from '../calc/memoByReads';
import { secondTerms } from '../job/seconds';
import { jobFrom, jobWarmC, workFor, type Job, type JobAsk } from '../job/job';
import type { SystemCard } from '../materials/card';
import { kitPick, MOST_PACKS } from '../mix/kitPick';
import type { Message } from '../message/message';
import { warmedTo } from '../rules/ambient';
import { aidProblem } from '../work/aids';
import type { Schedule } from '../schedule/scheduleJob';
import type { Round, SecondTerm } from '../work/round';

/** The result of a job in figures: all that its verdicts and its rank depend on. */
export interface Outcome {
  /** Held at this temperature during the work, °C; null: as it is. */
  heldC: number | null;
  /** Held at this temperature to be ready in time, °C; null if not needed. */
  heldForTimeC: number | null;
  /** Minutes to readiness without heat, for the text. */
  coldReadyMin: number | null;
  /** Every round can be done and every step has its time. Faults are read from the job itself. */
  sound: boolean;
  /** Minutes to readiness; infinite if it cannot be scheduled. */
  readyMin: number;
  /** Of the main card: batches, whether one needed more people or cooled parts, and the packs drawn. */
  batches: number;
  chose: boolean;
  drawn: number;
  packIds: readonly string[] | null;
  /** The conditions of its second materials. */
  secondTerms: readonly SecondTerm[];
  /** Names of all its steps. */
  stepNames: ReadonlySet<string>;
  /** Why an aid that it needs may not be used here; null if all may. */
  aidProblem: Message | null;
  /** Cost of the second materials' cheapest sufficient packs; null if one cannot be bought. */
  secondsCost: number | null;
  /** Minutes of all its people, and of the heater. */
  labourMin: number;
  heatMin: number;
}

/** A job before its holding temperature is known. */
export type Ask = Omit<JobAsk, 'heldC'>;

const isSound = ({ laid, draft }: Job): boolean => laid.ok && draft.rounds.every((r) => !r.problem);
const readyOf = (job: Job): number => (job.laid.ok && isSound(job) ? job.laid.readyMin : Infinity);

/** Rounds of the job's main card; the others are second materials. */
export const ownRounds = ({ draft, work }: Pick<Job, 'draft' | 'work'>) =>
  draft.rounds.filter((r) => r.card === work.card);

/**
 * The coldest whole degree, at most fifteen above and within the card's range, at which the job ends inside the stop.
 * Hours fall by about a constant share per degree, so each try is put where that line would meet the stop.
 */
function heldInTime(ask: Ask, { work }: Job, coldReadyMin: number): Job | null {
  const { downMin } = work.survey.window;
  const at = (heldC: number) => {
    const job = jobFrom(workFor({ ...ask, heldC }));
    return { heldC, job, readyMin: readyOf(job) };
  };
  let late = { heldC: Math.floor(work.tempC), readyMin: coldReadyMin };
  const top = Math.min(work.card.ambient.maxSurfaceC, late.heldC + work.trade.cure.heaterC);
  if (top <= late.heldC) return null;
  let inTime = at(top);
  if (inTime.readyMin > downMin) return null;
  while (inTime.heldC - late.heldC > 1) {
    const known = Math.log(late.readyMin / downMin) / Math.log(late.readyMin / inTime.readyMin);
    // If a slightly colder try is impossible, there is no line to follow.
    const share = Number.isFinite(known) ? known : 0.5;
    const guess = Math.ceil(late.heldC + (inTime.heldC - late.heldC) * share);
    const tried = at(Math.min(Math.max(guess, late.heldC + 1), inTime.heldC - 1));
    if (tried.readyMin <= downMin) inTime = tried;
    else late = tried;
  }
  return inTime.job;
}

/** The cheapest packs of a card that hold this amount; null if there are none. */
export function packsCost(
  card: SystemCard,
  { drawn, packIds }: { drawn: number; packIds: readonly string[] | null },
): number | null {
  const kits = card.packs
    .filter((p) => !packIds || packIds.includes(p.id))
    .map(({ id, size, price }) => ({ id, ml: size, price }));
  const picked = kitPick({ neededMl: drawn, kits, maxPacks: MOST_PACKS });
  return picked.ok ? picked.totalPrice : null;
}

/** The packs drawn of one card over its rounds. */
const drawnOf = (rounds: readonly Round[]) => ({
  drawn: rounds.reduce((s, r) => s + r.draw, 0),
  packIds: rounds.flatMap((r) => (r.packIds ? [[...r.packIds]] : []))[0] ?? null,
});

function secondsCostOf({ draft, work }: Job): number | null {
  const others = draft.rounds.filter((r) => r.card !== work.card);
  const costs = [...new Set(others.map((r) => r.card))].map((card) =>
    packsCost(card, drawnOf(others.filter((r) => r.card === card))),
  );
  return costs.reduce<number | null>((s, c) => (s === null || c === null ? null : s + c), 0);
}

const aidProblemOf = ({ draft, work }: Job): Message | null =>
  draft.needs.reduce<Message | null>(
    (found, need) => found ?? (need.kind === 'aid' ? aidProblem(work, need.use) : null),
    null,
  );

/** Minutes of all people of a job, and of the heater, which runs from its step until readiness. */
export function effortOf({ slots, readyMin }: Schedule): { labourMin: number; heatMin: number } {
  const heatAt = slots.find((s) => s.step === 'heat')?.from;
  return {
    labourMin: slots.reduce((sum, s) => sum + (s.to - s.from) * s.people, 0),
    heatMin: heatAt === undefined ? 0 : readyMin - heatAt,
  };
}

function outcomeFrom(job: Job, cold: number | null): Outcome {
  const own = ownRounds(job);
  const { laid } = job;
  return {
    heldC: job.work.heldC,
    heldForTimeC: cold === null ? null : job.work.heldC,
    coldReadyMin: cold,
    sound: isSound(job),
    readyMin: job.laid.ok ? job.laid.readyMin : Infinity,
    batches: own.reduce((s, r) => s + r.batches.length, 0),
    chose: own.some((r) => r.batching.chose !== null),
    ...drawnOf(own),
    aidProblem: aidProblemOf(job),
    secondTerms: secondTerms(job.work, job.draft.rounds),
    stepNames: new Set(job.steps.map((s) => s.name)),
    secondsCost: secondsCostOf(job),
    ...(laid.ok ? effortOf(laid) : { labourMin: 0, heatMin: 0 }),
  };
}

/** The job as it will be done: as it is, or held warm enough for its gate, its second materials and its hours. */
function asDone(ask: Ask): { job: Job; outcome: Outcome } {
  const work = workFor({ ...ask, heldC: warmedTo(ask) });
  const asIs = jobFrom(work);
  const warm = jobWarmC(asIs);
  const job =
    warm === null || warm <= work.tempC ? asIs : jobFrom(workFor({ ...ask, heldC: warm }));
  const ready = readyOf(job);
  const late = ready > work.survey.window.downMin && ready !== Infinity;
  const warmer = late ? heldInTime(ask, job, ready) : null;
  return warmer
    ? { job: warmer, outcome: outcomeFrom(warmer, ready) }
    : { job, outcome: outcomeFrom(job, null) };
}

/** The result of a job, and the job itself for reading its text. */
export interface JudgedJob extends Outcome {
  ask: Ask;
  job: () => Job;
}

/** Computes the job of one card. */
export function jobAlone(ask: Ask): JudgedJob {
  const { job, outcome } = asDone(ask);
  return { ...outcome, ask, job: () => job };
}

/** A curve of a card is read point by point, hundreds of times: it is compared as a whole. */
const isCurve = (value: object): boolean =>
  Array.isArray(value) &&
  typeof value[0] === 'object' &&
  value[0] !== null &&
  'minutes' in value[0];

/** Computes the jobs of many cards; cards that read the same input share a result. */
export function jobsShared(): (ask: Ask) => JudgedJob {
  // Jobs with the same number of conditions are alike.
  const byTerms = new Map<number, ReturnType<typeof memoByReads<SystemCard, Outcome>>>();
  return (ask) => {
    const shared = byTerms.get(ask.terms) ?? memoByReads<SystemCard, Outcome>(isCurve);
    byTerms.set(ask.terms, shared);
    const outcome = shared(ask.card, (card) => asDone({ ...ask, card }).outcome);
    const { heldC } = outcome;
    return { ...outcome, ask, job: lazyValue(() => jobFrom(workFor({ ...ask, heldC }))) };
  };
}
