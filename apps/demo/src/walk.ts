import type { Command, Me } from '@kelmot/contract';
import { MINUTE, planBatches, usableMinutes, type Plan, type Survey } from '@kelmot/core';
import { meets, simulatedWeather, type Stage } from '@kelmot/demo';
import type { Tx } from '@kelmot/server/db/client';
import { readRepair } from '@kelmot/server/db/repairView';
import { uuidv7 } from '@kelmot/server/common/ids';
import { runCommand } from '@kelmot/server/services/command';

/** One act of a job on the clock of its plan, minutes from the start of the stop. */
export type Act = { atMin: number; order: number } & (
  { kind: 'hold'; stepId: string } | { kind: 'mix' | 'placed'; batchNo: number }
);

/** Everything that is recorded in a job, at the minutes of its schedule. */
export function benchRowsOf(plan: Plan): Act[] {
  let reached = 0;
  const holds = plan.steps.flatMap((step, order): Act[] => {
    const slots = plan.schedule.filter((s) => s.step === step.id);
    const wait = step.hold?.kind === 'countdown' ? step.hold.minutes : 0;
    // A step without minutes of its own stands where the one before it ended.
    const atMin = slots.length > 0 ? Math.max(...slots.map((s) => s.to)) - wait : reached;
    reached = Math.max(reached, atMin + wait);
    return step.hold === null ? [] : [{ kind: 'hold', stepId: step.id, atMin, order }];
  });
  const batches = planBatches(plan).flatMap((b, i, all): Act[] => {
    // Used up before the next is mixed, however long it is worked on where it lies.
    const next = all[i + 1]?.mixedAtMin ?? Infinity;
    const order = plan.steps.findIndex((s) => s.name === 'mix' && s.round === b.round);
    return [
      { kind: 'mix', batchNo: b.no, atMin: b.mixedAtMin, order },
      { kind: 'placed', batchNo: b.no, atMin: Math.min(b.lastTouchMin, next), order: order - 0.5 },
    ];
  });
  return [...holds, ...batches].sort((p, q) => p.atMin - q.atMin || p.order - q.order);
}

/** How far a stage has come: the acts that are done by then, and the minute of the plan that it is now. */
export function reachedBy(plan: Plan, stage: Stage): { done: Act[]; nowMin: number } {
  const acts = benchRowsOf(plan);
  const stepOf = (act: Act) =>
    act.kind === 'hold' ? plan.steps.find((s) => s.id === act.stepId) : undefined;
  const batches = planBatches(plan);
  const main = batches.filter((b) => b.round === plan.mainRound);
  const until = (act: Act | undefined) => (act ? acts.slice(0, acts.indexOf(act) + 1) : acts);
  if (stage === 'gate-stopped') {
    const gate = acts.find((a) => stepOf(a)?.hold?.kind === 'ambient');
    return { done: until(gate), nowMin: (gate?.atMin ?? 0) + 12 };
  }
  if (stage === 'placing') {
    const wet = main[Math.min(1, main.length - 1)];
    const mix = acts.find((a) => a.kind === 'mix' && a.batchNo === wet?.no);
    return {
      done: until(mix),
      nowMin: (mix?.atMin ?? 0) + Math.min(9, wet ? usableMinutes(wet) * 0.4 : 0),
    };
  }
  if (stage === 'between-coats') {
    const rounds = plan.rounds.filter((r) => r.batches.length > 0);
    const next = rounds.at(-1)?.batches[0];
    const mix = acts.findIndex((a) => a.kind === 'mix' && a.batchNo === next?.no);
    return { done: acts.slice(0, Math.max(0, mix)), nowMin: (next?.mixedAtMin ?? 0) + 5 };
  }
  if (stage === 'curing') {
    const placed = acts.findLastIndex((a) => a.kind === 'placed');
    const round = plan.rounds.find((r) => r.id === plan.mainRound);
    const cure = round?.milestones.find((c) => c.id === plan.needed)?.minutes ?? 0;
    const last = Math.max(0, ...batches.map((b) => b.mixedAtMin));
    const nowMin = Math.max(acts[placed]?.atMin ?? 0, last + Math.min(300, cure * 0.4));
    return { done: acts.filter((a, i) => i <= placed || a.atMin <= nowMin), nowMin };
  }
  if (stage === 'cured') {
    const inspected = acts.findIndex((a) => stepOf(a)?.station === 'accept');
    const done = inspected < 0 ? acts : acts.slice(0, inspected);
    const [begins] = plan.schedule
      .filter((s) => plan.steps.find((x) => x.id === s.step)?.station === 'accept')
      .map((s) => s.from)
      .sort((p, q) => p - q);
    return { done, nowMin: (begins ?? plan.readyMin) + 1 };
  }
  if (stage === 'closed') return { done: acts, nowMin: plan.readyMin + 5 };
  return { done: [], nowMin: 0 };
}

const iso = (at: number): string => new Date(at).toISOString();
type Draft<C> = C extends Command ? Omit<C, 'id' | 'repairId' | 'at'> : never;
/** Air too wet for the steel: the gate stops the job. */
const WET_AIR = { kind: 'ambient', airC: 21, rhPct: 74, surfaceC: 18 } as const;

/** Walks one demo repair through the same commands a person sends, at the times they would have sent them. */
export class Walk {
  private readonly repairId = uuidv7();

  constructor(
    private readonly db: Tx,
    private readonly me: Me,
  ) {}

  private async send(at: number, draft: Draft<Command>, by = this.me): Promise<void> {
    const command = { ...draft, id: uuidv7(), repairId: this.repairId, at: iso(at) } as Command;
    // The server had it when it was done.
    await runCommand(this.db, by, { command, input: { weather: simulatedWeather, now: () => at } });
  }

  private async view() {
    const view = await readRepair(this.db, { siteId: this.me.siteId, id: this.repairId });
    if (!view) throw new Error(`demo repair ${this.repairId} is gone`);
    return view;
  }

  create(survey: Survey, at: number): Promise<void> {
    return this.send(at, { type: 'repair.create', survey });
  }

  async plan(survey: Survey, cardCode: string, at: number): Promise<Plan> {
    const { intent } = survey;
    const planId = uuidv7();
    await this.send(at, {
      type: 'plan.make',
      expect: 1,
      planId,
      cardCode,
      intent,
      schools: {},
      seconds: {},
    });
    const { plan } = await this.view();
    if (!plan) throw new Error('the demo repair has no plan');
    return plan.body;
  }

  /** Does what a stage has done; `start` is when the stop began, nothing later than `now`. */
  async run(plan: Plan, stage: Stage, start: number, now: number): Promise<void> {
    for (const act of reachedBy(plan, stage).done) {
      const at = Math.min(now, start + act.atMin * MINUTE);
      if (act.kind === 'hold') await this.hold(plan, act.stepId, at, stage === 'gate-stopped');
      else if (act.kind === 'mix') await this.mix(plan, act.batchNo, at);
      else await this.placed(act.batchNo, at);
    }
  }

  private async hold(plan: Plan, stepId: string, at: number, stopAtGate: boolean): Promise<void> {
    const hold = plan.steps.find((s) => s.id === stepId)?.hold;
    if (!hold) return;
    if (stopAtGate && hold.kind === 'ambient')
      await this.send(at, { type: 'reading.add', stepId, values: WET_AIR });
    else await this.send(at, meets(hold, stepId, plan));
  }

  private async mix(plan: Plan, batchNo: number, at: number): Promise<void> {
    const batch = planBatches(plan).find((b) => b.no === batchNo);
    const round = plan.rounds.find((r) => r.id === batch?.round);
    if (!batch || !round) return;
    await this.send(at, {
      type: 'mix.start',
      batchNo,
      aG: batch.aG === null ? null : batch.aG * 1.004,
      bG: batch.bG === null ? null : batch.bG * 0.996,
      lot: `${round.card.code}-26${(batchNo % 7) + 1}4`,
    });
  }

  private async placed(batchNo: number, at: number): Promise<void> {
    const mix = (await this.view()).mixes.find((x) => x.batchNo === batchNo && x.placedAt === null);
    if (mix) await this.send(at, { type: 'mix.placed', mixId: mix.id });
  }

  /** Signed by somebody who did not do the work. */
  close(by: Me, statement: string, at: number): Promise<void> {
    const signed = { type: 'signoff.add', verdict: 'accepted', statement, override: null } as const;
    return this.send(at, signed, by);
  }
}
