import { ambientGate, type AmbientGate } from '../ambient/ambientGate';
import type { Answer, Worked } from '../calc/calc';
import { sharedBy } from '../calc/memo';
import { ceil } from '../calc/number';
import { cureClock } from '../cure/cureClock';
import { cureTime, type CurePoint, type CureTime } from '../cure/cureTime';
import { shapeVolume, type ShapeVolume } from '../geometry/shapeVolume';
import {
  MILESTONES,
  mixedDensity,
  type Card,
  type MilestoneId,
  type SystemCard,
} from '../materials/card';
import { gradeRank, prepKindOf, TOOL_REACH, type PrepGrade } from '../materials/substrates';
import { batchPlan, type BatchPlan } from '../mix/batchPlan';
import { kitPick, type KitPick } from '../mix/kitPick';
import { mixSplit, type MixSplit } from '../mix/mixSplit';
import type { Body, Demand } from '../survey/demand';
import { demandOfSurvey, type Survey } from '../survey/survey';
import type { Lot } from './draw';
import { aggregateFor, amountToDraw, mixedInAll, wrapped, type Wrapped } from './quantity';
import { asksSchool, OVERNIGHT_MIN, type Schools } from './schools';
import type { WeatherHour } from './weather';
import { partsFor, type Consistency } from './weighing';
import type { SiteSettings } from './site';

export interface Milestone {
  id: MilestoneId;
  time: Answer<CureTime>;
}

/** What is known besides survey, card and site: a forecast of the surface, and packs on the shelf. */
export interface WorkContext {
  /** Surface temperatures to come, minutes from now. */
  forecast?: readonly { atMin: number; tempC: number }[];
  /** Weather to come, hour by hour: when it may be mixed out of doors. */
  weather?: readonly WeatherHour[];
  /** Lots on the shelf; where it is left out the shelf is not counted. */
  shelf?: readonly Lot[];
  /** All cards at hand: aids and second materials are taken from them. */
  library?: readonly Card[];
  /** What was chosen where practitioners differ. */
  schools?: Schools;
}

/** Everything the sums give for one survey with one card: what the rules judge and the plan is written from. */
export interface WorkUp<S extends Survey = Survey> {
  survey: S;
  card: SystemCard;
  site: SiteSettings;
  context: WorkContext;
  demand: Demand;
  bodies: { body: Body; volume: Worked<ShapeVolume> }[];
  areaMm2: number;
  grossMl: number;
  /** Aggregate that a deep mortar fill is extended with, percent of the powder. */
  aggregatePct: number;
  /** Thickest build, and the coats it takes at this slope. */
  buildMm: number;
  coats: number;
  coatMm: number;
  grade: PrepGrade | null;
  profileUm: { min: number; max: number } | null;
  gate: Worked<AmbientGate>;
  wrap: Wrapped | null;
  batch: Answer<BatchPlan>;
  batches: number;
  split: Worked<MixSplit> | null;
  /** How much to draw, in the card’s own pack unit; null where it cannot be said. */
  toDraw: number | null;
  /** The cheapest packs to buy for it. */
  packs: Answer<KitPick>;
  needed: MilestoneId;
  /** Its hours, once they were asked for: kept here, since a table beside it would cost more than the sum. */
  hours?: Timeline | null;
}

export interface Timeline {
  prepMin: number;
  buildMin: number;
  /** From the last mix to the milestone the service asks for. */
  cureMin: number;
  acceptMin: number;
  readyMin: number;
}

/** The needed milestone, or the nearest earlier one the card has figures for. */
function neededOn(card: SystemCard, wanted: MilestoneId): MilestoneId {
  const upTo = MILESTONES.slice(0, MILESTONES.indexOf(wanted) + 1);
  return [...upTo].reverse().find((id) => card.cure.milestones[id]) ?? 'life';
}

/** What is mixed or opened at once: the site’s pail, its mortar tub, or the pack itself. */
function vesselOf(card: SystemCard, site: SiteSettings): { vesselMl: number; vesselFill: number } {
  const pack = Math.max(...card.packs.map((p) => p.size));
  switch (card.mix.kind) {
    case 'powder-water':
    case 'crumb':
      return { vesselMl: site.mortarVesselMl, vesselFill: site.vesselFill };
    case 'cartridge':
      return { vesselMl: pack, vesselFill: 1 };
    case 'water-set':
      return { vesselMl: pack * tapeMlPerM(card), vesselFill: 1 };
    case 'two-part':
      // A whole kit is mixed in the pail that it comes in.
      return {
        vesselMl: card.mix.wholeKit
          ? Math.max(site.vesselMl, pack / site.vesselFill)
          : site.vesselMl,
        vesselFill: site.vesselFill,
      };
    default:
      return { vesselMl: site.vesselMl, vesselFill: site.vesselFill };
  }
}

/** Volume of a metre of wrap, ml. */
const tapeMlPerM = ({ tape }: SystemCard): number => (tape ? tape.widthMm * tape.plyMm : 1);

/** Time to one milestone at today’s surface temperature, or over the forecast where there is one; null if not on the card. */
export function timeTo(
  work: Pick<WorkUp, 'card' | 'survey' | 'context'>,
  id: MilestoneId,
): Answer<CureTime> | null {
  const points = work.card.cure.milestones[id];
  const { forecast } = work.context;
  if (!points) return null;
  return forecast?.length
    ? overForecast(points, forecast)
    : cureTime({ points, tempC: work.survey.readings.surfaceC });
}

/** Every milestone of the card with its time. */
export const milestonesOf = (work: WorkUp): Milestone[] =>
  MILESTONES.flatMap((id) => {
    const time = timeTo(work, id);
    return time ? [{ id, time }] : [];
  });

function overForecast(
  points: CurePoint[],
  forecast: NonNullable<WorkContext['forecast']>,
): Answer<CureTime> {
  const clock = cureClock({ points, history: [...forecast], horizonMin: 1e6 });
  return clock.doneAtMin === null
    ? { ok: false, why: 'It is never done at the forecast temperatures.' }
    : { ok: true, minutes: clock.doneAtMin, basis: 'interpolated', working: clock.working };
}

/** The limits of a gate as one text: cards alike in it share one judgement of the air. */
const limitsKey = (a: SystemCard['ambient']): string =>
  `${a.minAboveDewC}|${a.maxRhPct}|${a.minSurfaceC}|${a.maxSurfaceC}`;

/** A crack filled whole, without a bed of sand: its own depth instead of the working depth. */
function unsanded(body: Body): Body {
  const { shape, sandedFromMm } = body;
  if (sandedFromMm === null || shape.kind !== 'groove') return body;
  return { ...body, shape: { ...shape, depthMm: sandedFromMm }, buildMm: sandedFromMm };
}

const volumes = sharedBy<Demand, WorkUp['bodies']>();
const gates = sharedBy<Survey, Worked<AmbientGate>>();

/** Works a survey up with a card. Pure; refusals of single sums stay inside as answers for the rules to judge. */
export function workUp<S extends Survey>(
  survey: S,
  card: SystemCard,
  site: SiteSettings,
  context: WorkContext = {},
  demand: Demand = demandOfSurvey(survey, site),
): WorkUp<S> {
  const tempC = survey.readings.surfaceC;
  const prep = card.substrates.find((s) => s.material === demand.material) ?? null;
  const profileUm = prep?.profileUm ?? null;
  const fill = {
    overfillPct:
      context.schools?.proud !== 'strike' && asksSchool(survey.family, 'proud')
        ? site.overfillPct
        : 0,
    wastePct: card.wastePct,
    profileUm: profileUm?.max ?? 0,
  };
  const whole = context.schools?.sand === 'none';
  const bodies = volumes(
    demand,
    `${fill.overfillPct}|${fill.wastePct}|${fill.profileUm}|${whole}`,
    () =>
      (whole ? demand.bodies.map(unsanded) : demand.bodies).map((body) => ({
        body,
        volume: shapeVolume({ shape: body.shape, ...fill }),
      })),
  );
  const wrap = wrapped(card, demand, tempC);
  const filledMl = bodies.reduce((sum, b) => sum + b.volume.grossMl, 0);
  const grossMl = wrap ? wrap.lay.metres * tapeMlPerM(card) : filledMl;
  const areaMm2 = bodies.reduce((sum, b) => sum + b.volume.areaMm2, 0);
  const buildMm = wrap ? wrap.lay.thicknessMm : Math.max(0, ...bodies.map((b) => b.body.buildMm));
  const coats = wrap
    ? 1
    : Math.max(card.layer.leastCoats, ceil(buildMm / card.layer.maxMm[survey.surface.slope]));
  const { mix, cure } = card;
  const batch = batchPlan({
    totalMl: Math.max(grossMl / coats, 1e-6),
    densityGml: mixedDensity(card),
    lifePoints: cure.milestones.life ?? [{ tempC: 20, minutes: 1e6 }],
    tempC,
    refMassG: cure.refMassG,
    massExponent: cure.massExponent,
    mixMinutes: mix.mixMinutes,
    useFraction: site.useFraction,
    applyMlPerMin: card.applyMlPerMin,
    ...vesselOf(card, site),
    wholeKitMl:
      mix.kind === 'two-part' && (mix.wholeKit || context.schools?.split === 'whole')
        ? card.packs[0]?.size
        : undefined,
  });
  const batches = batch.ok ? batch.batches * coats : 0;
  const split =
    batch.ok && mix.kind === 'two-part'
      ? mixSplit({
          ratio: mix.ratio,
          densityA: mix.densityA,
          densityB: mix.densityB,
          total: { ml: batch.batchMl },
        })
      : null;
  const made = batch.ok && !wrap ? { batches, batchMl: batch.batchMl } : null;
  const mixedMl = mixedInAll(card, grossMl, made);
  const aggregatePct = aggregateFor(card, buildMm);
  const draw = amountToDraw(card, demand, mixedMl, wrap, aggregatePct);
  const kits = card.packs.map(({ id, size, price }) => ({ id, ml: size, price }));
  return {
    survey,
    card,
    site,
    context,
    demand,
    bodies,
    areaMm2,
    grossMl,
    aggregatePct,
    buildMm,
    coats,
    coatMm: buildMm / coats,
    grade: prep?.[context.schools?.clean === 'always' ? 'lasting' : survey.intent] ?? null,
    profileUm,
    gate: gates(survey, limitsKey(card.ambient), () =>
      ambientGate({
        airC: survey.readings.airC,
        rhPct: survey.readings.rhPct,
        surfaceC: tempC,
        ...card.ambient,
      }),
    ),
    wrap,
    batch,
    batches,
    split,
    toDraw: draw.ok ? draw.amount : null,
    packs: draw.ok ? kitPick({ neededMl: draw.amount, kits, maxPacks: 2000 }) : draw,
    needed: neededOn(card, demand.needed),
  };
}

/** The water of a coat: an overlay has a base and a finish, what is placed in one has the patch’s. */
export function consistencyOf(work: Pick<WorkUp, 'card' | 'coats'>, coat: number): Consistency {
  const { mix } = work.card;
  if (mix.kind !== 'powder-water' || !mix.waterLPerBag.base || work.coats === 1) return 'patch';
  return coat === work.coats && mix.waterLPerBag.finish ? 'finish' : 'base';
}

/** Grams of both parts of one batch of a coat; null where nothing is weighed. */
export function batchParts(work: WorkUp, coat: number): { aG: number; bG: number } | null {
  const { card, batch, survey, aggregatePct } = work;
  if (!batch.ok) return null;
  return partsFor(
    card,
    batch.batchMl,
    consistencyOf(work, coat),
    survey.surface.slope,
    aggregatePct,
  );
}

/** Minutes to a milestone at today's surface temperature; null where the card cannot say. */
export function minutesTo(work: WorkUp, id: MilestoneId): number | null {
  const time = timeTo(work, id);
  return time?.ok ? time.minutes : null;
}

/** The best grade the tools at hand reach on this kind of surface; nothing that sparks in a classified area. */
export function bestGrade({ survey, demand }: Pick<WorkUp, 'survey' | 'demand'>): PrepGrade {
  const { tools, area } = survey.site;
  const tool = area !== 'safe' && TOOL_REACH[tools].sparks ? 'hand' : tools;
  return TOOL_REACH[tool].grades[prepKindOf(demand.material)];
}

/** Whether the named grade is reached by the best tool at hand. */
export const gradeReached = (work: Pick<WorkUp, 'survey' | 'demand'>, grade: PrepGrade): boolean =>
  gradeRank(bestGrade(work)) >= gradeRank(grade);

/** Minutes of mixing, placing and waiting between coats, up to the end of the last batch. Null when unknown. */
export function buildMinutes(work: WorkUp): number | null {
  if (!work.batch.ok) return null;
  const perCoat = work.batch.batches * (work.card.mix.mixMinutes + work.batch.minutesToPlace);
  if (work.coats === 1) return perCoat;
  const opens = minutesTo(work, 'overcoatOpens');
  if (opens === null) return null;
  const wait = work.context.schools?.wait === 'overnight' ? Math.max(opens, OVERNIGHT_MIN) : opens;
  return perCoat * work.coats + Math.max(0, wait - perCoat) * (work.coats - 1);
}

/** People the pace asks for: one mixes and one places; a third finishes where it is spread by the square metre. */
export const crewOf = ({ card, areaMm2 }: Pick<WorkUp, 'card' | 'areaMm2'>): number => {
  if (card.mix.kind === 'powder-water' && areaMm2 > 1e6) return 3;
  return card.mix.kind === 'single' || card.mix.kind === 'light-cured' ? 1 : 2;
};
