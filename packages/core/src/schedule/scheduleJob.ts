import type { MilestoneId } from '../materials/milestones';
import { m, type Message } from '../message/message';
import { touchMinutes } from '../work/batching';
import { timeTo, type Round, type RoundBatch } from '../work/round';
import type { After, Link, Missed, Slot, StepDraft } from '../work/step';

/** A scheduled step: its id, and its time. */
export interface ScheduledStep {
  draft: StepDraft;
  id: string;
  minutes: number;
}
/** A scheduled batch, minutes from the start of the stop. */
export interface ScheduledBatch extends RoundBatch {
  no: number;
  round: string;
  mixedAtMin: number;
  lastTouchMin: number;
}
export interface Schedule {
  steps: ScheduledStep[];
  slots: Slot[];
  links: Link[];
  batches: ScheduledBatch[];
  /** When the last step has ended and every needed milestone has come. */
  readyMin: number;
  /** When each round's first and last batch are mixed. */
  mixedAt: ReadonlyMap<string, { first: number; last: number; placed: number }>;
}
export type ScheduleResult = ({ ok: true } & Schedule) | { ok: false; why: Message };

export interface ScheduleInput {
  rounds: readonly Round[];
  steps: readonly StepDraft[];
  /** Milestones that the return to service waits for. */
  needed: readonly { round: string; at: MilestoneId }[];
  /** The replacement steps where a step would begin too late. */
  missed: (kind: Missed, to: StepDraft) => StepDraft[];
  /** Working hours of the day, and the minute of the day at a minute of the stop; null: round the clock. */
  shift: { fromMin: number; toMin: number; clock: (at: number) => number } | null;
}

const DAY = 1440;
const EPS = 1e-6;
/** No zone changes its clocks by more, minutes. */
const MOST_CHANGE = 180;

/** The first moment at which so many minutes of work fit into a shift; longer work begins with a shift. */
function inShift(shift: ScheduleInput['shift'], at: number, length: number): number {
  if (!shift || length <= 0) return at;
  const { fromMin, toMin } = shift;
  const clock = shift.clock(at);
  const room = toMin - fromMin;
  /** The shift begins so many minutes later, corrected if the clocks change in between. */
  const begins = (wait: number) => {
    const ahead = shift.clock(at + wait) - fromMin;
    return at + wait - (Math.abs(ahead) <= MOST_CHANGE ? ahead : 0);
  };
  if (clock < fromMin) return begins(fromMin - clock);
  if (clock + Math.min(length, room) <= toMin + EPS) return at;
  return begins(DAY - clock + fromMin);
}

/** Consecutive steps that are repeated for each batch of one round. */
function runFrom(steps: readonly StepDraft[], at: number): StepDraft[] {
  const first = steps[at] as StepDraft;
  if (!first.touch) return [first];
  const rest = steps.slice(at);
  const end = rest.findIndex((s) => !s.touch || s.round?.id !== first.round?.id);
  return end === -1 ? rest : rest.slice(0, end);
}

/** Single-use scheduler: holds the schedule of one job while it is built. */
class Clock {
  now = 0;
  steps: ScheduledStep[] = [];
  slots: Slot[] = [];
  links: Link[] = [];
  batches: ScheduledBatch[] = [];
  mixedAt = new Map<string, { first: number; last: number; placed: number }>();
  private readonly ids = new Map<string, number>();
  private readonly ends = new Map<string, number>();
  private readonly lastId = new Map<string, string>();
  private readonly rounds: Map<string, Round>;

  constructor(private readonly ask: ScheduleInput) {
    this.rounds = new Map(ask.rounds.map((r) => [r.id, r]));
  }

  idOf({ name, round }: StepDraft): string {
    const key = round ? `${name}.${round.id}` : name;
    const n = (this.ids.get(key) ?? 0) + 1;
    this.ids.set(key, n);
    return n === 1 ? key : `${key}.${n}`;
  }

  /** What a step waits for, in minutes of the stop; a refusal if the card does not know it. */
  window(
    after: After,
  ):
    | { ok: true; least: number; most: number | null; link: Omit<Link, 'to' | 'instead'> }
    | { ok: false; why: Message } {
    if ('step' in after) {
      const from = this.ends.get(after.step) ?? 0;
      const least = after.least ?? 0;
      const most = after.most ?? null;
      return {
        ok: true,
        least: from + least,
        most: most === null ? null : from + most,
        link: {
          from: { step: this.lastId.get(after.step) ?? after.step },
          least,
          most,
          why: after.why,
        },
      };
    }
    const round = this.rounds.get(after.round) as Round;
    const mixed = this.mixedAt.get(after.round);
    if (!mixed)
      return {
        ok: false,
        why: m('{round} is not mixed before it is waited for.', { round: round.title }),
      };
    const opens = timeTo(round, after.at, mixed.last);
    if (!opens?.ok)
      return {
        ok: false,
        why: opens
          ? m(opens.why)
          : m('{card} has no time to this moment of its cure: {round}.', {
              card: round.card.code,
              round: round.title,
            }),
      };
    const least = Math.max(opens.minutes, after.leastMin ?? 0);
    const closes = after.until ? timeTo(round, after.until, mixed.first) : null;
    const most = closes?.ok ? closes.minutes : null;
    return {
      ok: true,
      least: mixed.last + least,
      most: most === null ? null : mixed.first + most,
      link: {
        from: { round: after.round, at: after.at, until: after.until ?? null },
        least,
        most,
        why: after.why,
      },
    };
  }

  private late(wait: { most: number | null } | undefined, start: number): boolean {
    return wait !== undefined && wait.most !== null && start > wait.most + EPS;
  }

  /** Schedules one step, or a run of steps that is repeated for each batch. */
  lay(run: StepDraft[]): Message | null {
    const first = run[0] as StepDraft;
    const waits: Extract<ReturnType<Clock['window']>, { ok: true }>[] = [];
    const closing: { kind: Missed; index: number }[] = [];
    for (const after of run.flatMap((s) => s.after ?? [])) {
      const found = this.window(after);
      if (!found.ok) return found.why;
      if (after.missed) closing.push({ kind: after.missed, index: waits.length });
      waits.push(found);
    }
    const round = first.touch && first.round ? this.rounds.get(first.round.id) : undefined;
    const length = round ? this.runMinutes(run, round, 0) : first.minutes;
    const start = () =>
      inShift(this.ask.shift, Math.max(this.now, ...waits.map((w) => w.least)), length);
    const instead = waits.map((): string[] => []);
    // A replacement step takes time and may close another window: each is checked again until all are kept.
    for (let at = closing.findIndex((w) => this.late(waits[w.index], start())); at !== -1;) {
      const [{ kind, index }] = closing.splice(at, 1) as [(typeof closing)[number]];
      this.now = Math.max(this.now, ...waits.map((w) => w.least));
      for (const extra of this.ask.missed(kind, first)) {
        const why = this.lay([extra]);
        if (why) return why;
        instead[index]?.push(this.steps.at(-1)?.id ?? '');
      }
      at = closing.findIndex((w) => this.late(waits[w.index], start()));
    }
    this.now = start();
    const ids = run.map((s) => this.idOf(s));
    ids.forEach((id, i) => {
      const draft = run[i] as StepDraft;
      this.lastId.set(draft.name, id);
      if (draft.round) this.lastId.set(`${draft.name}.${draft.round.id}`, id);
    });
    const to = ids[0] as string;
    waits.forEach((w, i) => this.links.push({ ...w.link, to, instead: instead[i] ?? [] }));
    if (round) this.layBatches(run, ids, round);
    else this.layOnce(first, to);
    return null;
  }

  private layOnce(draft: StepDraft, id: string): void {
    const people = draft.people ?? 1;
    const { hold } = draft;
    if (draft.minutes > 0) this.slot({ step: id, batch: null, length: draft.minutes, people });
    if (hold?.kind === 'countdown' && hold.minutes > 0)
      this.slot({ step: id, batch: null, length: hold.minutes, people: 0 });
    this.steps.push({ draft, id, minutes: draft.minutes });
    this.end(draft, this.now);
  }

  private layBatches(run: StepDraft[], ids: string[], round: Round): void {
    const total = run.map(() => 0);
    round.batches.forEach((batch, b) => {
      if (b > 0) this.now = inShift(this.ask.shift, this.now, this.runMinutes(run, round, b));
      const no = this.batches.length + 1;
      const mixedAtMin = this.now;
      run.forEach((draft, i) => {
        const length = this.touched(draft, round, batch);
        total[i] = (total[i] ?? 0) + length;
        if (length > 0)
          this.slot({
            step: ids[i] as string,
            batch: no,
            length,
            people: (draft.people ?? 1) + round.batching.moreHands,
          });
      });
      this.batches.push({ ...batch, no, round: round.id, mixedAtMin, lastTouchMin: this.now });
      const before = this.mixedAt.get(round.id);
      this.mixedAt.set(round.id, {
        first: before?.first ?? mixedAtMin,
        last: mixedAtMin,
        placed: this.now,
      });
    });
    if (round.batches.length === 0)
      this.mixedAt.set(round.id, { first: this.now, last: this.now, placed: this.now });
    run.forEach((draft, i) => {
      this.steps.push({ draft, id: ids[i] as string, minutes: total[i] ?? 0 });
      this.end(draft, this.now);
    });
  }

  private touched(draft: StepDraft, round: Round, batch: RoundBatch): number {
    const touch = round.touches.find((t) => t.name === draft.name);
    return touch
      ? touchMinutes({
          touch,
          ml: batch.placedMl,
          totalMl: round.placedMl,
          pace: round.batching.paceMlPerMin,
        })
      : draft.minutes;
  }

  private runMinutes(run: StepDraft[], round: Round, b: number): number {
    const batch = round.batches[b];
    return batch ? run.reduce((s, d) => s + this.touched(d, round, batch), 0) : 0;
  }

  private slot({
    step,
    batch,
    length,
    people,
  }: {
    step: string;
    batch: number | null;
    length: number;
    people: number;
  }): void {
    this.slots.push({ step, batch, from: this.now, to: this.now + length, people });
    this.now += length;
  }

  private end(draft: StepDraft, at: number): void {
    this.ends.set(draft.name, at);
    if (draft.round) this.ends.set(`${draft.name}.${draft.round.id}`, at);
  }
}

/**
 * Schedules a job: every step by its minutes, batch by batch, each wait with both its limits, within shifts if there
 * are any. A wait that would be missed gets its replacement steps. Pure; refuses with the reason if a card has no time
 * for a needed milestone.
 */
export function scheduleJob(ask: ScheduleInput): ScheduleResult {
  const clock = new Clock(ask);
  for (let i = 0; i < ask.steps.length;) {
    const run = runFrom(ask.steps, i);
    const why = clock.lay(run);
    if (why) return { ok: false, why };
    i += run.length;
  }
  const ready: number[] = [clock.now];
  for (const { round: id, at } of ask.needed) {
    const round = ask.rounds.find((r) => r.id === id) as Round;
    const mixed = clock.mixedAt.get(id);
    const found = mixed && timeTo(round, at, mixed.last);
    if (!found?.ok)
      return {
        ok: false,
        why: found
          ? m(found.why)
          : m('{card} has no time to what its service waits for.', { card: round.card.code }),
      };
    ready.push((mixed?.last ?? 0) + found.minutes);
  }
  const { steps, slots, links, batches, mixedAt } = clock;
  return { ok: true, steps, slots, links, batches, mixedAt, readyMin: Math.max(...ready) };
}
