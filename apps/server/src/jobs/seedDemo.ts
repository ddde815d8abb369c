import type { Command, Me } from '@kelmot/contract';
import { gistOf, stripOf, type Survey, type Hold, type Plan } from '@kelmot/core';
import {
  closedRepairs,
  demoSurvey,
  surveyedRepairs,
  demoAssets,
  demoCards,
  demoLots,
  demoUsers,
  meets,
  openRepairs,
  simulatedWeather,
  siteSettings,
  STAGES,
  type DemoRepair,
  type Stage,
  type SurveyPart,
} from '@kelmot/demo';
import { count, eq } from 'drizzle-orm';
import { hashPassword } from '../auth';
import type { Db } from '../db/client';
import { accounts, users } from '../db/people';
import { assets, cards, sites } from '../db/plant';
import { readRepair } from '../db/repairQueries';
import { lots, stockMoves } from '../db/shelf';
import { uuidv7 } from '../ids';
import { runCommand } from '../services/command';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const iso = (at: number): string => new Date(at).toISOString();

/** A repair to be walked to its stage, of any family. */
type Walked = Omit<DemoRepair, 'survey'> & { survey: SurveyPart };
const reaches = (repair: Walked, stage: Stage): boolean =>
  STAGES.indexOf(repair.stage) >= STAGES.indexOf(stage);

async function seedPeople(db: Db): Promise<Me[]> {
  const people: Me[] = [];
  for (const { username, password, name, role } of demoUsers) {
    const id = uuidv7();
    await db.insert(users).values({
      id,
      name,
      username,
      displayUsername: username,
      role,
      email: `${username}@quillmere.example`,
      emailVerified: true,
    });
    await db.insert(accounts).values({
      id: uuidv7(),
      accountId: id,
      providerId: 'credential',
      userId: id,
      password: await hashPassword(password),
    });
    people.push({ id, name, username, role });
  }
  return people;
}

type Draft<C> = C extends Command ? Omit<C, 'id' | 'repairId'> : never;

/** Walks one demo repair through the same commands a person sends, at the times they would have sent them. */
class Walk {
  private readonly repairId = uuidv7();

  constructor(
    private readonly db: Db,
    private readonly me: Me,
    /** The moment the walk has come to. */
    public at: number,
  ) {}

  private async send(draft: Draft<Command>): Promise<void> {
    const command = { ...draft, id: uuidv7(), repairId: this.repairId } as Command;
    await runCommand(this.db, this.me, command, simulatedWeather);
  }

  private async view() {
    const view = await readRepair(this.db, this.repairId);
    if (!view) throw new Error(`demo repair ${this.repairId} is gone`);
    return view;
  }

  async plan(repair: Walked, survey: Survey): Promise<void> {
    await this.send({ type: 'repair.create', at: iso(this.at), survey });
    if (!reaches(repair, 'gate-stopped')) return;
    this.at += 10 * MINUTE;
    const { intent } = repair.survey;
    await this.send({
      type: 'plan.make',
      at: iso(this.at),
      expect: 1,
      planId: uuidv7(),
      cardCode: repair.cardCode,
      intent,
      schools: {},
    });
  }

  /** Meets the holds of a station one by one, spread over the minutes given. `stopAt` gets a failing gate. */
  async holds(plan: Plan, station: string, minutes: number, stopAtGate = false): Promise<void> {
    const steps = plan.steps.filter((s) => s.station === station && s.hold);
    for (const step of steps) {
      this.at += (minutes / steps.length) * MINUTE;
      if (step.hold) await this.hold(plan, step.id, step.hold, stopAtGate);
    }
  }

  private async hold(plan: Plan, stepId: string, hold: Hold, stopAtGate: boolean): Promise<void> {
    const wet = { kind: 'ambient', airC: 21, rhPct: 74, surfaceC: 18 } as const;
    const met = meets(hold, stepId, plan);
    const said =
      stopAtGate && hold.kind === 'ambient'
        ? ({ type: 'reading.add', stepId, values: wet } as const)
        : met;
    await this.send({ ...said, at: iso(this.at) });
    if (hold.kind === 'countdown') this.at += hold.minutes * MINUTE;
  }

  /** Mixes batches up to `upTo`; the last stays wet in the pail when `leaveWet`. */
  async mix(plan: Plan, upTo: number, startedAt: number[], leaveWet: boolean): Promise<void> {
    for (const batch of plan.batches.slice(0, upTo)) {
      this.at = startedAt[batch.no - 1] as number;
      await this.send({
        type: 'mix.start',
        at: iso(this.at),
        batchNo: batch.no,
        aG: batch.aG === null ? null : batch.aG * 1.004,
        bG: batch.bG === null ? null : batch.bG * 0.996,
        lot: `${plan.card.code}-26${(batch.no % 7) + 1}4`,
      });
      if (leaveWet && batch.no === upTo) return;
      const mixes = (await this.view()).mixes;
      this.at += (plan.card.mix.mixMinutes + (plan.figures.place?.value ?? 10)) * MINUTE;
      await this.send({
        type: 'mix.placed',
        at: iso(this.at),
        mixId: mixes[mixes.length - 1]?.id ?? '',
      });
    }
  }

  async close(plan: Plan, statement: string): Promise<void> {
    await this.holds(plan, 'build', 5);
    await this.holds(plan, 'cure', 5);
    const mixes = (await this.view()).mixes;
    const last = Date.parse(mixes[mixes.length - 1]?.startedAt ?? iso(this.at));
    this.at = stripOf(gistOf(plan), last).ready + 20 * MINUTE;
    await this.holds(plan, 'accept', 40);
    await this.send({
      type: 'signoff.add',
      at: iso(this.at + MINUTE),
      verdict: 'accepted',
      statement,
    });
  }

  async planBody(): Promise<Plan> {
    const { plan } = await this.view();
    if (!plan) throw new Error('demo repair has no plan');
    return plan.body;
  }
}

/** When each batch was mixed, counting back from now so that what runs is at an interesting moment. */
function mixTimes(repair: Walked, plan: Plan, now: number, from: number): number[] {
  const perBatch = (plan.card.mix.mixMinutes + (plan.figures.place?.value ?? 10) + 2) * MINUTE;
  const opens = (plan.milestones.find((m) => m.id === 'overcoatOpens')?.minutes ?? 0) * MINUTE;
  const perCoat = plan.batches.filter((b) => b.coat === 1).length;
  const last = plan.batches.length - 1;
  const start =
    repair.stage === 'placing'
      ? now - perBatch - 9 * MINUTE
      : repair.stage === 'between-coats'
        ? now - opens - 60 * MINUTE
        : Math.max(from, repair.stage === 'curing' ? now - 5 * HOUR : from);
  return Array.from(
    { length: last + 1 },
    (_, i) => start + i * perBatch + Math.floor(i / perCoat) * opens,
  );
}

async function seedRepair(
  db: Db,
  me: Me,
  repair: Walked,
  assetId: string,
  now: number,
): Promise<void> {
  const startedAt = now - repair.hoursAgo * HOUR;
  const survey = demoSurvey(repair.tag, assetId, iso(startedAt), repair.survey);
  const walk = new Walk(db, me, startedAt);
  await walk.plan(repair, survey);
  if (!reaches(repair, 'gate-stopped')) return;
  const plan = await walk.planBody();
  const prepMin = Math.min(plan.prepMin, repair.hoursAgo * 60 * 0.6);
  if (repair.stage === 'prep') return;
  await walk.holds(plan, 'prep', prepMin, repair.stage === 'gate-stopped');
  if (!reaches(repair, 'placing')) return;
  await walk.holds(plan, 'mix', 5);
  const times = mixTimes(repair, plan, now, walk.at + 10 * MINUTE);
  const perCoat = plan.batches.filter((b) => b.coat === 1).length;
  const upTo =
    repair.stage === 'placing'
      ? Math.min(2, plan.batches.length)
      : repair.stage === 'between-coats'
        ? perCoat
        : plan.batches.length;
  await walk.mix(plan, upTo, times, repair.stage === 'placing');
  if (repair.stage === 'curing' || repair.stage === 'cured') await walk.holds(plan, 'build', 5);
  if (repair.stage === 'cured') await walk.holds(plan, 'cure', 5);
  if (repair.stage === 'closed') await walk.close(plan, repair.statement ?? 'Accepted.');
}

async function seedShelf(db: Db, siteId: string, me: Me, now: number): Promise<void> {
  const rows = demoLots.map((lot) => ({ ...lot, id: uuidv7() }));
  await db.insert(lots).values(
    rows.map(({ id, cardCode, packId, lot, daysLeft }) => {
      const expiresOn = iso(now + daysLeft * 24 * HOUR).slice(0, 10);
      return { id, siteId, cardCode, packId, lot, expiresOn };
    }),
  );
  const at = iso(now - 30 * 24 * HOUR);
  await db.insert(stockMoves).values(
    rows.map(({ id, count: delta }) => ({
      id: uuidv7(),
      lotId: id,
      delta,
      reason: 'received' as const,
      at,
      by: me.id,
    })),
  );
}

/**
 * Fills an empty database with the made-up plant: people, cards, assets, and repairs that are running now.
 * Does nothing where there are people already. `now` in epoch ms.
 */
export async function seedDemo(db: Db, now: number): Promise<boolean> {
  const [people] = await db.select({ n: count() }).from(users);
  if (people && people.n > 0) return false;
  const [technician] = await seedPeople(db);
  if (!technician) throw new Error('the demo has no people');
  const siteId = uuidv7();
  await db.insert(sites).values({ id: siteId, ...siteSettings });
  await db
    .insert(cards)
    .values(
      demoCards.map((body) => ({ code: body.code, version: body.version, role: body.role, body })),
    );
  await db.insert(assets).values(demoAssets.map((a) => ({ id: uuidv7(), siteId, ...a })));
  await seedShelf(db, siteId, technician, now);
  const known = await db
    .select({ id: assets.id, tag: assets.tag })
    .from(assets)
    .where(eq(assets.siteId, siteId));
  const waiting = { cardCode: '', stage: 'match' } as const;
  const ofFamilies = surveyedRepairs.map(({ taken = waiting, ...repair }): Walked => ({
    ...repair,
    ...taken,
  }));
  for (const repair of [...ofFamilies, ...closedRepairs, ...openRepairs]) {
    const asset = known.find((a) => a.tag === repair.tag);
    if (!asset) throw new Error(`no demo asset ${repair.tag}`);
    await seedRepair(db, technician, repair, asset.id, now);
  }
  return true;
}
