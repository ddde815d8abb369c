import { mixedBatches, runningPlan, type RepairView } from '@kelmot/contract';
import {
  drawSection,
  planSummaryOf,
  layersText,
  serviceText,
  mixedOf,
  stripOf,
  type Drawing,
  type Fill,
  type Plan,
  type UnitSystem,
} from '@kelmot/core';

interface Size {
  width: number;
  height: number;
}

/** The state of each coat as built: planned, wet, curing, set. */
export function coatStates(plan: Plan, view: RepairView, now: number): Fill[] {
  const coats = plan.figures.coats?.value ?? 1;
  const mixes = mixedBatches(view.mixes);
  const summary = planSummaryOf(runningPlan(view) ?? plan);
  const done = new Set(mixes.filter((x) => !x.binned).map((x) => x.batchNo));
  const own = summary.rounds.filter((r) => r.cardCode === plan.card.code);
  return Array.from({ length: coats }, (_, i): Fill => {
    const round = own[Math.min(i, own.length - 1)];
    const mixed = round && mixedOf(round, mixes);
    if (!round || !mixed) return 'planned';
    if (round.batches.some((b) => !done.has(b.no))) return 'wet';
    const at = mixed.last;
    const strip = stripOf(summary, round, at);
    if (now < (strip.segments[1]?.to ?? at)) return 'wet';
    return now < strip.ready ? 'curing' : 'set';
  });
}

/** The section of a repair in its present state: its damage, its card's edge, its coats. */
export function sectionOf(
  view: RepairView,
  {
    now,
    units,
    size: { width, height },
    index = 0,
    dimensions = true,
  }: { now: number; units: UnitSystem; size: Size; index?: number; dimensions?: boolean },
): Drawing | null {
  const { survey, plan } = view;
  const damage = survey.damages[index] ?? survey.damages[0];
  if (!damage) return null;
  const card = plan?.body.card;
  return drawSection(survey.family, damage, {
    width,
    height,
    system: units,
    tag: survey.asset.tag,
    material: survey.parent.material,
    medium: serviceText(survey, units),
    layers: plan ? coatStates(plan.body, view, now) : [],
    edgeMm: card?.layer.minEdgeMm ?? null,
    label: plan ? layersText(plan.body) : null,
    plan: plan?.body,
    dimensions,
    unknown: [],
  });
}
