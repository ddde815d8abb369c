import { z } from 'zod';
import { judge, type CardMatch } from '../match/match';
import { MilestoneId, SystemCard } from '../materials/card';
import { methodOf } from '../methods/registry';
import { Survey } from '../survey/survey';
import { approversOf, cautionsOf, gearOf, type Job } from './cautions';
import { line } from '../calc/calc';
import { costFigures, nextFigures, NextOption } from './costs';
import { Figure, figureOf } from './figure';
import { figuresOf } from './figures';
import {
  HeatOption,
  heatFigures,
  heatOptions,
  raiseChance,
  readinessFigures,
  workWindows,
  WorkWindow,
} from './outlook';
import { schoolsFor, settled } from './schools';
import { SiteSettings } from './site';
import { finishStep, Step } from './step';
import { DrawnPickSchema, suppliesOf, Supply } from './supplies';
import { timeline } from './timeline';
import { CONSISTENCIES } from './weighing';
import { batchParts, consistencyOf, milestonesOf, type WorkContext, type WorkUp } from './workUp';

/** The version of the core that made a plan: an old plan keeps its own figures when a formula changes. */
export const CORE_VERSION = '0.2.0';

const Batch = z.strictObject({
  no: z.int().min(1),
  coat: z.int().min(1),
  ml: z.number(),
  /** Grams of the two parts; null where nothing is weighed. */
  aG: z.number().nullable(),
  bG: z.number().nullable(),
  /** Which water a powder takes in this coat. */
  consistency: z.enum(CONSISTENCIES).default('patch'),
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
  /** Packs of the system itself. */
  picks: z.array(
    DrawnPickSchema.extend({
      price: z.number().default(0),
      lot: z.string().nullable().default(null),
    }),
  ),
  /** Everything to have at hand, the system first. */
  supplies: z.array(Supply).default([]),
  milestones: z.array(z.strictObject({ id: MilestoneId, minutes: z.number() })),
  needed: MilestoneId,
  prepMin: z.number(),
  buildMin: z.number(),
  acceptMin: z.number(),
  readyMin: z.number(),
  /** How a heater would shorten the needed cure. */
  heat: z.array(HeatOption).default([]),
  /** When the forecast allows it, out of doors; null where no forecast was asked. */
  windows: z.array(WorkWindow).nullable().default(null),
  /** What would raise a poor chance of being ready. */
  raise: z.array(z.string()).default([]),
  /** The next best card, where others were at hand to compare. */
  next: NextOption.nullable().default(null),
  nextLookDays: z.int(),
  lifeDays: z.number().default(0),
  /** For a stop-gap: days until it must be replaced by the lasting repair. */
  replaceInDays: z.int().nullable(),
  /** How it would come off again. */
  removal: z.array(z.string()).default([]),
  cautions: z.array(z.strictObject({ id: z.string(), text: z.string() })),
  gear: z.array(z.string()).default([]),
  approvers: z.array(z.string()).default([]),
});
export type Plan = z.infer<typeof Plan>;

export type PlanResult = { ok: true; plan: Plan } | { ok: false; why: string };

function batchesOf(work: WorkUp): Batch[] {
  const { batch, batches, site } = work;
  if (!batch.ok) return [];
  return Array.from({ length: batches }, (_, i) => {
    const coat = Math.floor(i / batch.batches) + 1;
    const parts = batchParts(work, coat);
    return {
      no: i + 1,
      coat,
      ml: batch.batchMl,
      aG: parts?.aG ?? null,
      bG: parts?.bG ?? null,
      consistency: consistencyOf(work, coat),
      lifeMin: batch.batchLifeMin,
      placeByMin: batch.batchLifeMin * site.useFraction,
    };
  });
}

/** The best of the other cards for the same job: it fits, and costs the least in all. */
function nextOption(
  match: CardMatch,
  context: WorkContext,
): (NextOption & { material: number; downtime: number }) | null {
  const { survey, site, demand } = match.work;
  const others = (context.library ?? []).filter(
    (c): c is SystemCard =>
      c.role === 'system' && c.code !== match.card.code && c.families.includes(survey.family),
  );
  const { schools, forecast, library } = context;
  const options = others.flatMap((card) => {
    const other = judge(survey, card, site, { schools, forecast, library }, demand);
    if (other.verdict === 'no' || other.readyMin === null) return [];
    const { materialCost, downtimeCost, readyMin, lifeDays } = other;
    const [material, downtime] = [materialCost ?? 0, downtimeCost ?? 0];
    const total = material + downtime;
    return [{ code: card.code, name: card.name, total, material, downtime, readyMin, lifeDays }];
  });
  return options.sort((p, q) => p.total - q.total)[0] ?? null;
}

/** A seed from a tag and a moment, so that the same plan is made again to the last digit. */
const seedFrom = (text: string): number =>
  [...text].reduce((h, c) => (Math.imul(h, 31) + c.charCodeAt(0)) >>> 0, 7);

/**
 * Makes the plan of one repair from its survey, the chosen card, the site's settings, and what else is known: schools,
 * forecast, shelf, the other cards. Pure: the time it was made is passed in. Refuses with the first reason when the
 * card does not fit or a sum has no answer.
 */
export function makePlan(
  survey: Survey,
  card: SystemCard,
  site: SiteSettings,
  madeAt: string,
  given: WorkContext = {},
): PlanResult {
  const schools = settled(schoolsFor(survey.family, card), given.schools);
  const context = { ...given, schools };
  const match = judge(survey, card, site, context);
  const { work } = match;
  const stop = match.judged.find((j) => j.verdict === 'no');
  if (stop) return { ok: false, why: stop.because };
  const times = timeline(work);
  if (!times) return { ok: false, why: `${card.code} has no cure time at this temperature.` };
  if (!work.packs.ok) return { ok: false, why: work.packs.why };
  const method = methodOf(survey.family);
  const steps = method.steps(work).map(finishStep);
  const { supplies, figures: supplyFigures, used } = suppliesOf(work, method.needs(work));
  const job: Job = { work, used, steps };
  const days = card.lifeDays[survey.intent];
  const next = nextOption(match, context);
  const extra = [
    ...method.figures(work),
    ...heatFigures(work),
    ...nextFigures(next, site.currency),
    figureOf('expected', 'Expected life', days * 1440, 'time', [
      line(
        'L',
        `expected life, ${survey.intent}`,
        'as on the card',
        days,
        'd',
        `card ${card.code}`,
      ),
      line('t', 'the same', 'L·1440', days * 1440, 'min'),
    ]),
    ...supplyFigures,
    ...costFigures(work, steps, supplies, times),
    ...readinessFigures(work, times, seedFrom(survey.asset.tag)),
  ];
  const figures = {
    ...figuresOf(work),
    ...Object.fromEntries(extra.map((f) => [f.id, f])),
  };
  return {
    ok: true,
    plan: {
      version: 1,
      core: CORE_VERSION,
      madeAt,
      survey,
      card,
      site,
      figures,
      conditions: match.judged.flatMap((j) =>
        j.verdict === 'if' && j.condition ? [j.condition] : [],
      ),
      schools,
      steps: withConditions(steps, match),
      batches: batchesOf(work),
      picks: supplies[0]?.picks ?? [],
      supplies,
      milestones: milestonesOf(work).flatMap(({ id, time }) =>
        time.ok ? [{ id, minutes: time.minutes }] : [],
      ),
      needed: work.needed,
      prepMin: times.prepMin,
      buildMin: times.buildMin,
      acceptMin: times.acceptMin,
      readyMin: times.readyMin,
      heat: heatOptions(work),
      windows: workWindows(work, times),
      raise: raiseChance(work, figures.readiness?.value ?? null),
      next: next && {
        code: next.code,
        name: next.name,
        total: next.total,
        readyMin: next.readyMin,
        lifeDays: next.lifeDays,
      },
      nextLookDays: method.nextLookDays[survey.intent],
      lifeDays: days,
      replaceInDays: survey.intent === 'stopgap' ? Math.round(days) : null,
      removal: method.removal(work),
      cautions: cautionsOf(job),
      gear: gearOf(job),
      approvers: approversOf(job),
    },
  };
}

/** What a verdict hangs on is held to before anything is mixed: one tick for all of it. */
function withConditions(steps: Step[], match: CardMatch): Step[] {
  const held = match.judged.flatMap((j) =>
    j.verdict === 'if' && j.condition ? [j.condition] : [],
  );
  if (held.length === 0) return steps;
  const at = steps.findIndex((s) => s.id === 'gate');
  const hold = finishStep({
    id: 'conditions',
    station: 'prep',
    title: held.length === 1 ? 'It fits on one condition' : `It fits on ${held.length} conditions`,
    text: () => held.map((c) => `${c[0]?.toUpperCase() ?? ''}${c.slice(1)}.`).join(' '),
    minutes: 0,
    hold: { kind: 'check' },
  });
  return at < 0 ? [hold, ...steps] : [...steps.slice(0, at), hold, ...steps.slice(at)];
}
