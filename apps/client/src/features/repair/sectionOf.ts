import { mixedBatches, type RepairView } from '@kelmot/contract';
import {
  drawSection,
  familyOf,
  gistOf,
  layersText,
  MEDIUM_NAMES,
  mixedAt,
  say,
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

/** The state of each coat as it is really built: planned, wet, curing, set. */
export function coatStates(plan: Plan, view: RepairView, now: number): Fill[] {
  const coats = plan.figures.coats?.value ?? 1;
  const sound = mixedBatches(view.mixes).filter((m) => !m.binned);
  return Array.from({ length: coats }, (_, i): Fill => {
    const numbers = plan.batches.filter((b) => b.coat === i + 1).map((b) => b.no);
    const mixed = sound.filter((m) => numbers.includes(m.batchNo));
    const at = mixedAt(mixed);
    if (at === null || mixed.length < numbers.length) return mixed.length > 0 ? 'wet' : 'planned';
    const strip = stripOf(gistOf(plan), at);
    if (now < (strip.segments[1]?.to ?? at)) return 'wet';
    return now < strip.ready ? 'curing' : 'set';
  });
}

/** The section of a repair as it stands: its damage, its card's edge, its coats. */
export function sectionOf(
  view: RepairView,
  now: number,
  units: UnitSystem,
  { width, height }: Size,
  index = 0,
  dimensions = true,
): Drawing | null {
  const { survey, plan } = view;
  const damage = survey.damages[index] ?? survey.damages[0];
  if (!damage) return null;
  const { medium, mediumC } = survey.service;
  const card = plan?.body.card;
  return drawSection(survey.family, damage, {
    width,
    height,
    system: units,
    tag: survey.asset.tag,
    material: survey.parent.material,
    medium: familyOf(survey.family).groups.some((g) => g.id === 'service')
      ? `${MEDIUM_NAMES[medium].toLowerCase()} ${say(mediumC, 'temperature', units)}`
      : null,
    layers: plan ? coatStates(plan.body, view, now) : [],
    edgeMm: card?.layer.minEdgeMm ?? null,
    label: plan ? layersText(plan.body) : null,
    plan: plan?.body,
    dimensions,
    unknown: [],
  });
}
