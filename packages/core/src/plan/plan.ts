import { z } from 'zod';
import { judge } from '../match/match';
import { MilestoneId, SystemCard } from '../materials/card';
import { methodOf } from '../methods/registry';
import { Survey } from '../survey/survey';
import { cautionsOf } from './cautions';
import { Figure } from './figure';
import { figuresOf } from './figures';
import { schoolsFor, settled, type Schools } from './schools';
import { SiteSettings } from './site';
import { finishStep, Step } from './step';
import { timeline } from './timeline';
import { buildMinutes, milestonesOf, type WorkUp } from './workUp';

/** The version of the core that made a plan: an old plan keeps its own figures when a formula changes. */
export const CORE_VERSION = '0.1.0';

const Batch = z.strictObject({
  no: z.int().min(1),
  coat: z.int().min(1),
  ml: z.number(),
  aG: z.number(),
  bG: z.number(),
  lifeMin: z.number(),
  placeByMin: z.number(),
});
export type Batch = z.infer<typeof Batch>;

/** The whole job as data: serialisable, versioned, saved whole with its working. */
export const Plan = z.strictObject({
  version: z.literal(1),
  core: z.string(),
  madeAt: z.iso.datetime({ offset: true }),
  survey: Survey,
  card: SystemCard,
  site: SiteSettings,
  figures: z.record(z.string(), Figure),
  conditions: z.array(z.string()),
  /** What was chosen where practitioners differ. */
  schools: z.record(z.string(), z.string()).default({}),
  steps: z.array(Step),
  batches: z.array(Batch),
  picks: z.array(z.strictObject({ id: z.string(), label: z.string(), count: z.int() })),
  milestones: z.array(z.strictObject({ id: MilestoneId, minutes: z.number() })),
  needed: MilestoneId,
  prepMin: z.number(),
  buildMin: z.number(),
  acceptMin: z.number(),
  readyMin: z.number(),
  nextLookDays: z.int(),
  /** For a stop-gap: days until it must be replaced by the lasting repair. */
  replaceInDays: z.int().nullable(),
  cautions: z.array(z.strictObject({ id: z.string(), text: z.string() })),
});
export type Plan = z.infer<typeof Plan>;

export type PlanResult = { ok: true; plan: Plan } | { ok: false; why: string };

function batchesOf(work: WorkUp): Batch[] {
  const { batch, split, batches, site } = work;
  if (!batch.ok || !split) return [];
  return Array.from({ length: batches }, (_, i) => ({
    no: i + 1,
    coat: Math.floor(i / batch.batches) + 1,
    ml: batch.batchMl,
    aG: split.aG,
    bG: split.bG,
    lifeMin: batch.batchLifeMin,
    placeByMin: batch.batchLifeMin * site.useFraction,
  }));
}

/** Said where a family is judged but its steps are not written. */
export const NO_METHOD =
  'The steps of this kind of repair are not in Kelmot yet. Take the verdicts, and work by the data sheet.';

/**
 * Makes the plan of one repair from its survey, the chosen card and the site's settings. Pure: the time it was
 * made is passed in. Refuses with the first reason when the card does not fit or a sum has no answer.
 */
export function makePlan(
  survey: Survey,
  card: SystemCard,
  site: SiteSettings,
  madeAt: string,
  chosen: Schools = {},
): PlanResult {
  const settledSchools = settled(schoolsFor(survey.family, card), chosen);
  const match = judge(survey, card, site, { schools: settledSchools });
  const { work } = match;
  const stop = match.judged.find((j) => j.verdict === 'no');
  if (stop) return { ok: false, why: stop.because };
  const times = timeline(work);
  if (!times) return { ok: false, why: `${card.code} has no cure time at this temperature.` };
  if (!work.packs.ok) return { ok: false, why: work.packs.why };
  const method = methodOf(survey.family);
  if (!method) return { ok: false, why: NO_METHOD };
  const days = card.lifeDays[survey.intent];
  return {
    ok: true,
    plan: {
      version: 1,
      core: CORE_VERSION,
      madeAt,
      survey,
      card,
      site,
      figures: figuresOf(work),
      conditions: match.judged.flatMap((j) =>
        j.verdict === 'if' && j.condition ? [j.condition] : [],
      ),
      schools: settledSchools,
      steps: method.steps(work).map(finishStep),
      batches: batchesOf(work),
      picks: work.packs.picks.map((p) => ({
        ...p,
        label: card.packs.find((pack) => pack.id === p.id)?.label ?? p.id,
      })),
      milestones: milestonesOf(work).flatMap(({ id, time }) =>
        time.ok ? [{ id, minutes: time.minutes }] : [],
      ),
      needed: work.needed,
      prepMin: times.prepMin,
      buildMin: buildMinutes(work) ?? 0,
      acceptMin: times.acceptMin,
      readyMin: times.readyMin,
      nextLookDays: method.nextLookDays[survey.intent],
      replaceInDays: survey.intent === 'stopgap' ? Math.round(days) : null,
      cautions: cautionsOf(work),
    },
  };
}
