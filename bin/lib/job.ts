import { readFileSync } from 'node:fs';
import {
  Card,
  families,
  INTENTS,
  isFamily,
  issuesOf,
  SiteSettings,
  Survey,
  weatherFor,
  type Issue,
  type SystemCard,
  type UnitSystem,
  type WorkContext,
} from '@kelmot/core';
import { demoCards, plainSurvey, siteSettings } from '@kelmot/demo';
import { z } from 'zod';

/** Writes the error object and exits with the status for bad input. */
export function stop(error: string, issues: readonly Issue[] = []): never {
  process.stderr.write(`${JSON.stringify({ error, issues })}\n`);
  process.exit(2);
}

const Hour = z.strictObject({
  at: z.iso.datetime({ offset: true }),
  airC: z.number().min(-60).max(60),
  rhPct: z.number().min(0).max(100),
  rainMm: z.number().min(0).max(500),
});
const Point = z.strictObject({ atMin: z.number().min(0), tempC: z.number().min(-60).max(120) });
const ShelfLot = z.object({
  id: z.string().default(''),
  cardCode: z.string(),
  packId: z.string(),
  lot: z.string(),
  expiresOn: z.iso.date(),
  count: z.int().min(0),
});

const common = {
  tag: z.string().trim().min(1).max(24).optional(),
  schools: z.record(z.string(), z.string()).default({}),
  seconds: z.record(z.string(), z.string()).default({}),
  units: z.enum(['metric', 'us']).default('metric'),
  /** Weather by the hour, or surface temperature by the minute of the stop. */
  forecast: z.union([z.array(Hour), z.array(Point)]).optional(),
  shelf: z.array(ShelfLot).optional(),
  cards: z.array(Card).optional(),
  site: SiteSettings.partial().default({}),
  madeAt: z.iso.datetime({ offset: true }).optional(),
};
const Saved = z.strictObject({ survey: z.unknown(), ...common });
/** The start of a stop that states none. */
const USUAL_START = '2026-01-05T06:00:00Z';
const Typed = z.strictObject({
  family: z.string(),
  shapes: z.array(z.string()).min(1).max(40).optional(),
  intent: z.enum(INTENTS).default('lasting'),
  startAt: z.iso.datetime({ offset: true }).default(USUAL_START),
  costPerHour: z.number().min(0).max(1e7).default(0),
  answers: z.record(z.string(), z.string()).default({}),
  ...common,
});

/** A parsed job: what core needs to match and plan it. */
export interface ShellJob {
  survey: Survey;
  cards: SystemCard[];
  site: SiteSettings;
  units: UnitSystem;
  madeAt: string;
  context: WorkContext;
}

function parsed<S extends z.ZodType>(schema: S, raw: unknown): z.output<S> {
  const read = schema.safeParse(raw);
  return read.success ? read.data : stop('bad job', issuesOf(read.error));
}

function typedSurvey(job: z.output<typeof Typed>): Survey {
  if (!isFamily(job.family))
    stop('bad job', [
      {
        path: 'family',
        message: `must be one of ${families()
          .map((f) => f.id)
          .join(', ')}`,
      },
    ]);
  const known =
    families()
      .find((f) => f.id === job.family)
      ?.shapes.map((s) => s.shape) ?? [];
  const shapes = job.shapes ?? known.slice(0, 1);
  const strange = shapes.findIndex((s) => !known.includes(s));
  if (strange >= 0)
    stop('bad job', [{ path: `shapes.${strange}`, message: `must be one of ${known.join(', ')}` }]);
  const { survey, issues } = plainSurvey({ ...job, shapes }, job.units);
  return (
    survey ??
    stop(
      'bad job',
      issues.map((i) => ({ ...i, path: `answers.${i.path}` })),
    )
  );
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What was given, with what it leaves out taken from the usual. */
function filled(usual: unknown, given: unknown): unknown {
  if (given === undefined) return usual;
  if (Array.isArray(given) && Array.isArray(usual))
    return given.map((one, i) => filled(usual[i], one));
  if (!isObject(given) || !isObject(usual)) return given;
  const all = Object.entries(given).map(([key, value]) => [key, filled(usual[key], value)]);
  return { ...usual, ...Object.fromEntries(all) };
}

/** A survey with the form's usual answers for what it leaves out: version, asset, a group of questions, one answer. */
function wholeSurvey(given: unknown): unknown {
  if (!isObject(given) || typeof given.family !== 'string' || !isFamily(given.family)) return given;
  const known =
    families()
      .find((f) => f.id === given.family)
      ?.shapes.map((s) => s.shape) ?? [];
  const damages = Array.isArray(given.damages) ? given.damages : [{ shape: known[0] }];
  const shapes = damages.map((d: unknown) => (isObject(d) ? String(d.shape) : ''));
  if (shapes.length === 0 || shapes.some((shape) => !known.includes(shape))) return given;
  const { survey } = plainSurvey({ family: given.family, shapes, startAt: USUAL_START });
  return survey ? filled(survey, given) : given;
}

/** Reads the job from standard input; stops with the name of a wrong field. */
export function readJob(): ShellJob {
  let raw: unknown;
  try {
    raw = JSON.parse(readFileSync(0, 'utf8'));
  } catch (error) {
    stop('input is not JSON', [{ path: '', message: (error as Error).message }]);
  }
  const saved = typeof raw === 'object' && raw !== null && 'survey' in raw;
  const job = saved ? parsed(Saved, raw) : parsed(Typed, raw);
  const whole = 'family' in job ? typedSurvey(job) : parsed(Survey, wholeSurvey(job.survey));
  const survey = job.tag ? { ...whole, asset: { ...whole.asset, tag: job.tag } } : whole;
  const library = job.cards ?? demoCards;
  const { schools, seconds, shelf, forecast, units } = job;
  const hours = z.array(Hour).safeParse(forecast);
  const points = z.array(Point).safeParse(forecast);
  const outlook =
    hours.success && hours.data.length > 0
      ? weatherFor(survey, hours.data)
      : points.success && points.data.length > 0
        ? { forecast: points.data }
        : {};
  return {
    survey,
    cards: library.filter((c): c is SystemCard => c.role === 'system'),
    site: { ...siteSettings, ...job.site },
    units,
    madeAt: job.madeAt ?? survey.window.startAt,
    context: { ...outlook, schools, seconds, shelf, library },
  };
}

/** The same data with every sentence as text. */
export function worded(value: unknown, word: (message: never) => string): unknown {
  if (Array.isArray(value)) return value.map((v) => worded(v, word));
  if (typeof value !== 'object' || value === null) return value;
  if ('text' in value && 'values' in value) return word(value as never);
  return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, worded(v, word)]));
}
