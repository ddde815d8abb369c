import type { Me } from '@kelmot/contract';
import { MINUTE } from '@kelmot/core';
import {
  closedRepairs,
  demoAssets,
  demoCards,
  demoLots,
  demoPlan,
  demoSurvey,
  demoUsers,
  openRepairs,
  siteSettings,
  surveyedRepairs,
  type DemoRepair,
  type SurveyPart,
} from '@kelmot/demo';
import { hashPassword } from '@kelmot/server/services/auth';
import type { Tx } from '@kelmot/server/db/client';
import { accounts, users } from '@kelmot/server/db/people';
import { assets, cards, sites } from '@kelmot/server/db/plant';
import { lots, stockMoves } from '@kelmot/server/db/shelf';
import { uuidv7 } from '@kelmot/server/common/ids';
import { count, eq } from 'drizzle-orm';
import { reachedBy, Walk } from './walk';

const HOUR = 60 * MINUTE;
const iso = (at: number): string => new Date(at).toISOString();

/** A repair to be walked to its stage, of any family. */
type Walked = Omit<DemoRepair, 'survey'> & { survey: SurveyPart };

async function seedPeople(db: Tx, siteId: string): Promise<Me[]> {
  const people: Me[] = [];
  for (const { username, password, name, role, approves } of demoUsers) {
    const id = uuidv7();
    await db.insert(users).values({
      id,
      name,
      username,
      displayUsername: username,
      role,
      siteId,
      approves,
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
    people.push({ id, name, username, role, siteId, approves });
  }
  return people;
}

async function seedRepair(
  db: Tx,
  { technician, second }: { technician: Me; second: Me },
  { tag, stage, cardCode, hoursAgo, survey: part, statement = 'Accepted.' }: Walked,
  assetId: string,
  now: number,
): Promise<void> {
  const surveyed = (start: number) => demoSurvey(tag, assetId, iso(start), part);
  const usual = now - hoursAgo * HOUR;
  const walk = new Walk(db, technician);
  if (stage === 'survey' || stage === 'match') return walk.create(surveyed(usual), usual);
  // The stop began as long ago as its plan takes to come to this stage.
  const first = demoPlan({ survey: surveyed(usual), cardCode, madeAt: iso(usual) });
  const start =
    stage === 'closed' || stage === 'prep' ? usual : now - reachedBy(first, stage).nowMin * MINUTE;
  const survey = surveyed(start);
  await walk.create(survey, start - 20 * MINUTE);
  const plan = await walk.plan(survey, cardCode, start - 10 * MINUTE);
  await walk.run(plan, stage, start, now);
  if (stage === 'closed')
    await walk.close(second, statement, start + reachedBy(plan, stage).nowMin * MINUTE);
}

async function seedShelf(db: Tx, siteId: string, me: Me, now: number): Promise<void> {
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
 * Does nothing where there are people already. In one transaction: all of it is there afterwards, or nothing. `now` in epoch ms.
 */
export async function seedDemo(db: Tx, now: number): Promise<boolean> {
  const [there] = await db.select({ n: count() }).from(users);
  if (there && there.n > 0) return false;
  const siteId = uuidv7();
  await db.insert(sites).values({ id: siteId, ...siteSettings });
  const people = await seedPeople(db, siteId);
  const technician = people.find((p) => p.role === 'technician');
  const second = people.find((p) => p.role === 'planner');
  if (!technician || !second) throw new Error('the demo has no people');
  await db.insert(cards).values(
    demoCards.map((body) => ({
      siteId,
      code: body.code,
      version: body.version,
      role: body.role,
      body,
    })),
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
    await seedRepair(db, { technician, second }, repair, asset.id, now);
  }
  return true;
}
