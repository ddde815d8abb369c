import { refuse, type Answer, type Refusal, type Worked } from '../calc/calc';
import { tyreCover, type TyreCover } from '../geometry/tyreCover';
import type { SystemCard } from '../materials/card';
import type { Demand, WrapNeed } from '../survey/demand';
import { wrapDesign, type WrapDesign } from '../wrap/wrapDesign';
import { wrapLay, type WrapLay } from '../wrap/wrapLay';
import { litresPerBag } from './weighing';

/** Usual figures of line-pipe steel; where pressure decides, the engineer’s own govern. */
const PARENT_STEEL = { allowableMPa: 118, modulusMPa: 205_000, expansionPerC: 1.2e-5 };
/** Layers of a plain low-pressure wrap whose card names no least. */
const PLAIN_LAYERS = 6;
const HALF_LAP_PCT = 50;

/** A wrap worked out: its design where the method asks for one, and how the tape goes on. */
export interface Wrapped {
  design: Answer<WrapDesign> | null;
  lay: Worked<WrapLay>;
  layers: number;
  lengthMm: number;
}

function designOf(card: SystemCard, need: WrapNeed, installC: number): Answer<WrapDesign> | null {
  if (!need.engineered || !card.laminate) return null;
  return wrapDesign({
    outsideDiameterMm: need.outsideDiameterMm,
    wallMm: need.wallMm,
    remainingWallMm: need.remainingMm,
    // The method starts at some pressure: an open line is designed for a tenth of a bar.
    pressureBar: Math.max(need.pressureBar, 0.1),
    designC: need.designC,
    installC,
    steel: PARENT_STEEL,
    laminate: card.laminate,
    defect: need.defect,
    serviceFactor: 0.333,
    minPlies: 2,
  });
}

/** Plies, length and tape of a wrap card on a pipe; null where the card is no wrap or there is nothing to wrap. */
export function wrapped(card: SystemCard, demand: Demand, installC: number): Wrapped | null {
  const { wrap } = demand;
  const { tape } = card;
  if (!wrap || !tape) return null;
  const design = designOf(card, wrap, installC);
  const least = card.mix.kind === 'water-set' ? card.mix.leastLayers : PLAIN_LAYERS;
  const layers = design?.ok ? design.plies : least;
  const sizeMm = wrap.defect.kind === 'hole' ? wrap.defect.diameterMm : wrap.defect.lengthMm;
  const lengthMm = design?.ok ? design.totalLengthMm : sizeMm + 2 * wrap.extentMm;
  const roll = Math.max(...card.packs.map((p) => p.size));
  const lay = wrapLay({
    outsideDiameterMm: wrap.outsideDiameterMm,
    axialLengthMm: Math.max(lengthMm, tape.widthMm),
    tapeWidthMm: tape.widthMm,
    overlapPct: HALF_LAP_PCT,
    layers,
    plyMm: tape.plyMm,
    rollLengthM: roll,
  });
  return { design, lay, layers, lengthMm };
}

/** Aggregate that a fill of this depth is extended with, percent of the powder. */
export const aggregateFor = ({ mix }: SystemCard, buildMm: number): number =>
  mix.kind === 'powder-water' && buildMm > mix.aggregateOverMm ? mix.maxAggregatePct : 0;

/** Strips, sheets and drops of adhesive over the longest crack of a survey; null where nothing is covered so. */
export function coverOf(card: SystemCard, demand: Demand): Answer<TyreCover> | null {
  if (!card.sheet || !demand.sheet) return null;
  const { marginMm, lengthMm, widthMm, dropPitchMm } = card.sheet;
  return tyreCover({
    ...demand.sheet,
    marginMm,
    sheetLengthMm: lengthMm,
    sheetWidthMm: widthMm,
    dropPitchMm,
  });
}

/**
 * How much to draw, in the card’s own pack unit: ml, metres of wrap, or pieces of sheet. Refuses where the sheet is too
 * narrow for the damage and its margins, or where there is nothing to lay it over.
 */
export function amountToDraw(
  card: SystemCard,
  demand: Demand,
  grossMl: number,
  wrap: Wrapped | null,
  aggregatePct = 0,
): { ok: true; amount: number } | Refusal {
  if (card.packUnit === 'm') return { ok: true, amount: wrap ? wrap.lay.metres : 0 };
  if (card.packUnit === 'ml' || !card.sheet) {
    const { mix } = card;
    const less =
      mix.kind === 'powder-water' ? mix.yieldLPerBag / litresPerBag(mix, aggregatePct) : 1;
    return { ok: true, amount: grossMl * less };
  }
  const cover = coverOf(card, demand);
  if (!cover) return refuse('It comes in sheets, and there is no crack here to lay one over.');
  return cover.ok ? { ok: true, amount: cover.sheets } : cover;
}

/** What is mixed in all, ml: whole batches where it is mixed, with what is purged; else the volume itself. */
export function mixedInAll(
  { mix }: SystemCard,
  grossMl: number,
  batch: { batches: number; batchMl: number } | null,
): number {
  if (!batch || mix.kind === 'single' || mix.kind === 'light-cured') return grossMl;
  if (mix.kind === 'cartridge') return grossMl + mix.purgeMl * batch.batches;
  return Math.max(grossMl, batch.batchMl * batch.batches);
}
