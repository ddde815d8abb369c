import { ambientGate, type AmbientGate } from '../ambient/ambientGate';
import type { Answer, Worked } from '../calc/calc';
import { ceil } from '../calc/number';
import { cureTime, type CureTime } from '../cure/cureTime';
import { shapeVolume, type ShapeVolume } from '../geometry/shapeVolume';
import { MILESTONES, mixedDensity, type MilestoneId, type SystemCard } from '../materials/card';
import { gradeRank, TOOL_REACH, type PrepGrade } from '../materials/words';
import type { Body, Method } from '../methods/method';
import { batchPlan, type BatchPlan } from '../mix/batchPlan';
import { kitPick, type KitPick } from '../mix/kitPick';
import { mixSplit, type MixSplit } from '../mix/mixSplit';
import type { Survey } from '../survey/survey';
import type { SiteSettings } from './site';

export interface Milestone {
  id: MilestoneId;
  time: Answer<CureTime>;
}

/** Everything the sums give for one survey with one card: what the rules judge and the plan is written from. */
export interface WorkUp {
  survey: Survey;
  card: SystemCard;
  site: SiteSettings;
  bodies: { body: Body; volume: Worked<ShapeVolume> }[];
  areaMm2: number;
  grossMl: number;
  /** Thickest build, and the coats it takes at this slope. */
  buildMm: number;
  coats: number;
  coatMm: number;
  grade: PrepGrade | null;
  profileUm: { min: number; max: number } | null;
  gate: Worked<AmbientGate>;
  batch: Answer<BatchPlan>;
  batches: number;
  split: Worked<MixSplit> | null;
  packs: Answer<KitPick>;
  milestones: Milestone[];
  needed: MilestoneId;
}

/** The needed milestone, or the nearest earlier one the card has figures for. */
function neededOn(card: SystemCard, wanted: MilestoneId): MilestoneId {
  const upTo = MILESTONES.slice(0, MILESTONES.indexOf(wanted) + 1);
  return [...upTo].reverse().find((id) => card.cure.milestones[id]) ?? 'life';
}

/** Works a survey up with a card. Pure; refusals of single sums stay inside as answers for the rules to judge. */
export function workUp(
  survey: Survey,
  card: SystemCard,
  site: SiteSettings,
  method: Method,
): WorkUp {
  const tempC = survey.readings.surfaceC;
  const prep = card.substrates.find((s) => s.metal === survey.parent.metal) ?? null;
  const profileUm = prep?.profileUm ?? null;
  const bodies = method.bodies(survey, site).map((body) => ({
    body,
    volume: shapeVolume({
      shape: body.shape,
      overfillPct: site.overfillPct,
      wastePct: card.wastePct,
      profileUm: profileUm?.max ?? 0,
    }),
  }));
  const grossMl = bodies.reduce((sum, b) => sum + b.volume.grossMl, 0);
  const areaMm2 = bodies.reduce((sum, b) => sum + b.volume.areaMm2, 0);
  const buildMm = Math.max(...bodies.map((b) => b.body.buildMm));
  const coats = Math.max(
    card.layer.leastCoats,
    ceil(buildMm / card.layer.maxMm[survey.surface.slope]),
  );
  const { mix, cure } = card;
  const life = cure.milestones.life ?? [];
  const batch = batchPlan({
    totalMl: grossMl / coats,
    densityGml: mixedDensity(card),
    lifePoints: life,
    tempC,
    refMassG: cure.refMassG,
    massExponent: cure.massExponent,
    mixMinutes: mix.mixMinutes,
    useFraction: site.useFraction,
    applyMlPerMin: card.applyMlPerMin,
    vesselMl: site.vesselMl,
    vesselFill: site.vesselFill,
    wholeKitMl: mix.wholeKit ? card.packs[0]?.ml : undefined,
  });
  const batches = batch.ok ? batch.batches * coats : 0;
  const split = batch.ok
    ? mixSplit({
        ratio: mix.ratio,
        densityA: mix.densityA,
        densityB: mix.densityB,
        total: { ml: batch.batchMl },
      })
    : null;
  const neededMl = batch.ok ? Math.max(grossMl, batch.batchMl * batches) : grossMl;
  const kits = card.packs.map(({ id, ml, price }) => ({ id, ml, price }));
  const milestones = MILESTONES.flatMap((id) => {
    const points = cure.milestones[id];
    return points ? [{ id, time: cureTime({ points, tempC }) }] : [];
  });
  return {
    survey,
    card,
    site,
    bodies,
    areaMm2,
    grossMl,
    buildMm,
    coats,
    coatMm: buildMm / coats,
    grade: prep?.[survey.intent] ?? null,
    profileUm,
    gate: ambientGate({ ...survey.readings, ...card.ambient }),
    batch,
    batches,
    split,
    packs: kitPick({ neededMl, kits, maxPacks: 200 }),
    milestones,
    needed: neededOn(card, method.needed(survey)),
  };
}

/** Minutes to a milestone at today's surface temperature; null where the card cannot say. */
export function minutesTo(work: WorkUp, id: MilestoneId): number | null {
  const time = work.milestones.find((m) => m.id === id)?.time;
  return time?.ok ? time.minutes : null;
}

/** Whether the named grade is reached by the best tool at hand; no blasting in a classified area. */
export function gradeReached(work: Pick<WorkUp, 'survey'>, grade: PrepGrade): boolean {
  const { tools, area } = work.survey.site;
  const tool = area !== 'safe' && TOOL_REACH[tools].sparks ? 'hand' : tools;
  return gradeRank(TOOL_REACH[tool].grade) >= gradeRank(grade);
}

/** Minutes of mixing, placing and waiting between coats, up to the end of the last batch. Null when unknown. */
export function buildMinutes(work: WorkUp): number | null {
  if (!work.batch.ok) return null;
  const perCoat = work.batch.batches * (work.card.mix.mixMinutes + work.batch.minutesToPlace);
  if (work.coats === 1) return perCoat;
  const opens = minutesTo(work, 'overcoatOpens');
  if (opens === null) return null;
  return perCoat * work.coats + Math.max(0, opens - perCoat) * (work.coats - 1);
}
