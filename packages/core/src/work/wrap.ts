import type { Trade } from '../trade/trade';
import { t } from '../text/text';
import { refuse, type Answer, type Worked } from '../calc/calc';
import { ceil } from '../calc/number';
import { tyreCover, type TyreCover } from '../geometry/tyreCover';
import type { SystemCard } from '../materials/card';
import type { Demand, Fitting, WrapNeed } from '../survey/demand';
import type { WrapDesign } from '../wrap/laminate';
import { wrapDesign } from '../wrap/wrapDesign';
import { wrapLay, type WrapLay } from '../wrap/wrapLay';

/** Line-pipe steel; where pressure decides, the engineer's values govern. */
const steelOf = ({ wrap }: Trade) => ({
  allowableMPa: wrap.allowableMpa,
  modulusMPa: wrap.steelModulusMpa,
  expansionPerC: wrap.steelExpansionPerC,
});
/** The factor on the layers of a straight pipe. */
export const fittingFactor = (fitting: Fitting, { wrap }: Trade): number =>
  ({ straight: 1, elbow: wrap.elbowFactor, tee: wrap.teeFactor })[fitting];

/** A computed wrap: its design if the method requires one, and the tape at each place. */
export interface Wrapped {
  design: Answer<WrapDesign> | null;
  lays: Worked<WrapLay>[];
  layers: number;
  /** Wrapped length beyond the damage on each side, mm, at each place. */
  besideMm: number[];
  /** Wrapped length at each place, mm. */
  lengthsMm: number[];
  /** Width of the drawn tape, mm, and its packs. */
  widthMm: number;
  packIds: string[];
  rollM: number;
  metres: number;
  thicknessMm: number;
}

type Defect = WrapNeed['defects'][number];

const sizeOf = (d: Defect) => (d.kind === 'hole' ? d.diameterMm : d.lengthMm);

function designOf(
  card: SystemCard,
  need: WrapNeed,
  { defect, installC, trade }: { defect: Defect; installC: number; trade: Trade },
): Answer<WrapDesign> | null {
  if (!need.engineered || !card.laminate) return null;
  return wrapDesign({
    outsideDiameterMm: need.outsideDiameterMm,
    wallMm: need.wallMm,
    remainingWallMm: need.remainingMm,
    pressureBar: Math.max(need.pressureBar, trade.wrap.leastDesignBar),
    designC: need.designC,
    installC,
    steel: steelOf(trade),
    laminate: card.laminate,
    defect,
    serviceFactor: 0.333,
    minPlies: 2,
  });
}

/** Plies, length and tape of a wrap card on a pipe; null if the card is no wrap or nothing is wrapped. */
export function wrapped(
  card: SystemCard,
  demand: Demand,
  { installC, trade }: { installC: number; trade: Trade },
): Wrapped | null {
  const { wrap } = demand;
  const { tape } = card;
  const [first] = wrap?.defects ?? [];
  if (!wrap || !tape || !first) return null;
  const design = designOf(card, wrap, { defect: first, installC, trade });
  const least = card.mix.kind === 'water-set' ? card.mix.leastLayers : trade.wrap.plainLayers;
  const straight = design?.ok ? design.plies : least;
  const layers = ceil(straight * fittingFactor(wrap.fitting, trade));
  const lengthsMm = wrap.defects.map((d) =>
    design?.ok ? design.totalLengthMm : sizeOf(d) + 2 * wrap.extentMm,
  );
  const laidWith = (widthMm: number) => {
    const packs = card.packs.filter((p) => (p.widthMm ?? tape.widthMm) === widthMm);
    const rollM = Math.max(...packs.map((p) => p.size));
    const lays = lengthsMm.map((length) =>
      wrapLay({
        outsideDiameterMm: wrap.outsideDiameterMm,
        axialLengthMm: Math.max(length, widthMm),
        tapeWidthMm: widthMm,
        overlapPct: trade.wrap.halfLapPct,
        layers,
        plyMm: tape.plyMm,
        rollLengthM: rollM,
      }),
    );
    const metres = lays.reduce((s, l) => s + l.metres, 0);
    const perM = Math.min(...packs.map((p) => p.price / p.size));
    return { widthMm, packIds: packs.map((p) => p.id), rollM, lays, metres, cost: metres * perM };
  };
  const widths = [...new Set(card.packs.map((p) => p.widthMm ?? tape.widthMm))];
  // One width for the whole job, the cheapest that works: two widths never overlap alike.
  const [best] = widths.map(laidWith).sort((a, b) => a.cost - b.cost);
  if (!best) return null;
  const besideMm = wrap.defects.map((d, i) => ((lengthsMm[i] ?? 0) - sizeOf(d)) / 2);
  return { design, layers, besideMm, lengthsMm, thicknessMm: layers * tape.plyMm, ...best };
}

/** Strips, sheets and drops of adhesive over each injury; null if there is no cover. */
export function coversOf(
  card: SystemCard,
  demand: Demand,
): Answer<{ covers: Worked<TyreCover>[] }> | null {
  if (!card.sheet) return null;
  if (demand.sheets.length === 0)
    return refuse(t('It comes in sheets, and there is no crack here to lay one over.'));
  const { marginMm, lengthMm, widthMm, dropPitchMm } = card.sheet;
  const covers: Worked<TyreCover>[] = [];
  for (const sheet of demand.sheets) {
    const cover = tyreCover({
      ...sheet,
      marginMm,
      sheetLengthMm: lengthMm,
      sheetWidthMm: widthMm,
      dropPitchMm,
    });
    if (!cover.ok) return cover;
    covers.push(cover);
  }
  return { ok: true, covers, working: [] };
}
