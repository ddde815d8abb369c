import {
  validRecords,
  headOfSurvey,
  lastPlanOf,
  mayMove,
  type Carried,
  type Check,
  type Me,
  type Reading,
} from '@kelmot/contract';
import {
  planSummaryOf,
  Survey as SurveySchema,
  SystemCard,
  weatherFor,
  word,
  type SiteSettings,
  t,
} from '@kelmot/core';
import { and, count, desc, eq } from 'drizzle-orm';
import type { Db, Tx } from '../db/client';
import { assets, cards, sites } from '../db/plant';
import { readCards } from '../db/cardQueries';
import { readRepair } from '../db/repairView';
import { readShelf } from '../db/shelfQueries';
import { checks, mixes, plans, readings, repairs } from '../db/repairs';
import { carriedId } from '../common/ids';
import { notFound, ProblemError } from '../common/problemError';
import {
  bump,
  expectVersion,
  type CommandOf,
  type CommandContext,
  type CommandResult,
} from './commandContext';
import { refuseHeld } from './gates';
import { planInWorker } from './planner';

type Site = typeof sites.$inferSelect;

export function settingsOf({ id: _id, ...settings }: Site): SiteSettings {
  return settings;
}

/** The present settings of a site. */
export async function siteOf(db: Db | Tx, siteId: string): Promise<SiteSettings> {
  const [site] = await db.select().from(sites).where(eq(sites.id, siteId));
  if (!site) throw notFound('site');
  return settingsOf(site);
}

/** An asset that is typed in the survey is added to the register by its tag, unless it exists. */
async function assetFor(
  tx: Tx,
  { siteId, survey, newId }: { siteId: string; survey: SurveySchema; newId: string },
): Promise<string> {
  const { asset, parent, service } = survey;
  if (asset.id) {
    const [known] = await tx
      .select({ id: assets.id })
      .from(assets)
      .where(and(eq(assets.id, asset.id), eq(assets.siteId, siteId)));
    if (!known)
      throw new ProblemError(422, t('Input out of range'), {
        issues: [
          {
            path: 'survey.asset.id',
            message: t('no such asset; choose one from the list, or leave it empty for a new one'),
          },
        ],
      });
    return known.id;
  }
  const { tag, name, position, costPerHour } = asset;
  const { medium, mediumC, ph, wear } = service;
  await tx
    .insert(assets)
    .values({
      id: newId,
      siteId,
      tag,
      name,
      position,
      costPerHour,
      kind: 'typed',
      material: parent.material,
      medium,
      mediumC,
      ph,
      wear,
    })
    .onConflictDoNothing({ target: [assets.siteId, assets.tag] });
  const [row] = await tx
    .select({ id: assets.id })
    .from(assets)
    .where(and(eq(assets.siteId, siteId), eq(assets.tag, tag)));
  if (!row) throw notFound('asset');
  return row.id;
}

export async function createRepair({
  tx,
  me,
  command,
  received,
}: {
  tx: Tx;
  me: Me;
  command: CommandOf<'repair.create'>;
  received: string;
}): Promise<CommandResult> {
  const { siteId } = me;
  const { survey, repairId, at } = command;
  const assetId = await assetFor(tx, { siteId, survey, newId: repairId });
  const inserted = await tx
    .insert(repairs)
    .values({
      ...headOfSurvey({ ...survey, asset: { ...survey.asset, id: assetId } }),
      assetId,
      id: repairId,
      siteId,
      station: 'match',
      createdBy: me.id,
      createdAt: at,
      updatedAt: received,
    })
    .onConflictDoNothing()
    .returning({ id: repairs.id });
  if (inserted.length === 0)
    throw new ProblemError(409, t('This repair exists already'), {
      detail: t('Open it from the list.'),
    });
  return { version: 1, keptWith: null };
}

async function refuseOnceMixed(tx: Tx, planId: string | null): Promise<void> {
  if (!planId) return;
  const [mixed] = await tx.select({ n: count() }).from(mixes).where(eq(mixes.planId, planId));
  if (mixed && mixed.n > 0) {
    throw new ProblemError(409, t('Mixing has begun on this plan'), {
      detail: t('Finish it, or sign it off as “do it again” first.'),
    });
  }
}

export async function saveSurvey(doing: CommandContext<'survey.save'>): Promise<CommandResult> {
  const { tx, command, repair } = doing;
  await expectVersion(tx, repair, command.expect);
  await refuseOnceMixed(tx, repair.planId);
  const assetId = await assetFor(tx, {
    siteId: repair.siteId,
    survey: command.survey,
    newId: command.id,
  });
  const survey = { ...command.survey, asset: { ...command.survey.asset, id: assetId } };
  return bump(doing, { ...headOfSurvey(survey), assetId, station: 'match', planId: null });
}

/** The plan is made here, from the stored survey and the newest card: the device's plan is not trusted. */
export async function makePlanFor(doing: CommandContext<'plan.make'>): Promise<CommandResult> {
  const { tx, me, command, repair, weather } = doing;
  await expectVersion(tx, repair, command.expect);
  await refuseOnceMixed(tx, repair.planId);
  const before = await readRepair(tx, { siteId: repair.siteId, id: repair.id });
  const site = await siteOf(tx, repair.siteId);
  const [card] = await tx
    .select()
    .from(cards)
    .where(
      and(
        eq(cards.siteId, repair.siteId),
        eq(cards.code, command.cardCode),
        eq(cards.role, 'system'),
      ),
    )
    .orderBy(desc(cards.version))
    .limit(1);
  if (!card) throw notFound('card');
  const [stored] = await tx
    .select({ survey: repairs.survey })
    .from(repairs)
    .where(eq(repairs.id, repair.id));
  // Parsed again: a survey stored by an earlier version gets defaults for newer questions.
  const survey = { ...SurveySchema.parse(stored?.survey), intent: command.intent };
  const context = {
    ...weatherFor(survey, await weather.hours(Date.parse(command.at))),
    schools: command.schools,
    seconds: command.seconds,
    shelf: await readShelf(tx, repair.siteId),
    library: await readCards(tx, repair.siteId),
  };
  const made = await planInWorker([
    survey,
    SystemCard.parse(card.body),
    { site, madeAt: command.at, context },
  ]);
  if (!made.ok)
    throw new ProblemError(422, t('{cardCode} does not fit', { cardCode: command.cardCode }), {
      detail: word(made.why),
    });
  const [last] = await tx
    .select({ number: plans.number })
    .from(plans)
    .where(eq(plans.repairId, repair.id))
    .orderBy(desc(plans.number))
    .limit(1);
  await tx.insert(plans).values({
    id: command.planId,
    repairId: repair.id,
    number: (last?.number ?? 0) + 1,
    siteId: repair.siteId,
    cardCode: card.code,
    cardVersion: card.version,
    core: made.plan.core,
    body: made.plan,
    summary: planSummaryOf(made.plan),
    madeAt: command.at,
    by: me.id,
  });
  const worked = before && lastPlanOf(before);
  if (worked) await carry(doing, validRecords(worked, made.plan));
  return bump(doing, {
    planId: command.planId,
    survey,
    intent: command.intent,
    station: 'prep',
  });
}

/** Copies to a new plan the records that stay valid, with their authors, times and times of receipt. */
async function carry(
  { tx, repair, command: { planId }, received }: CommandContext<'plan.make'>,
  kept: Pick<Carried, 'checks' | 'readings'>,
): Promise<void> {
  const own = ({ id, byId, receivedAt }: Check | Reading) => ({
    id: carriedId(planId, id),
    repairId: repair.id,
    planId,
    by: byId,
    receivedAt: receivedAt ?? received,
  });
  if (kept.checks.length > 0)
    await tx.insert(checks).values(kept.checks.map((check) => ({ ...check, ...own(check) })));
  if (kept.readings.length > 0)
    await tx.insert(readings).values(kept.readings.map((r) => ({ ...r, ...own(r) })));
}

/** Moves a repair to a station: back always; forward only if nothing holds it. */
export async function moveStation(doing: CommandContext<'station.move'>): Promise<CommandResult> {
  const { tx, command, repair } = doing;
  await expectVersion(tx, repair, command.expect);
  const view = await readRepair(tx, { siteId: repair.siteId, id: repair.id });
  if (!view) throw notFound('repair');
  refuseHeld(mayMove(view, command.station, Date.parse(command.at)));
  return bump(doing, { station: command.station });
}
