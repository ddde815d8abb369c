import { ambientGate, type AmbientGate } from '../ambient/ambientGate';
import type { Answer, Worked } from '../calc/calc';
import { ceil } from '../calc/number';
import { shapeVolume, type Shape, type ShapeVolume } from '../geometry/shapeVolume';
import type { TyreCover } from '../geometry/tyreCover';
import { MOST_COATS, type SystemCard } from '../materials/card';
import {
  gradeRank,
  prepKindOf,
  TOOL_REACH,
  type PrepGrade,
  type Substrate,
  type Tool,
} from '../materials/substrates';
import type { Damp, Purpose } from '../materials/words';
import type { SiteSettings } from '../site/site';
import type { SurveyBase } from '../survey/common';
import type { Body, Demand, ServiceNeed } from '../survey/demand';
import { tradeAt, type Trade } from '../trade/trade';
import { roundOf, type Round, type RoundBase, type RoundSpec } from './round';
import type { Schools } from './schools';
import { openedCrack } from './crack';
import type { WorkContext } from './context';
import { coversOf, wrapped, type Wrapped } from './wrap';

/** A damage with the solids that are really filled for a card: undercut, squared, deepened. */
export interface WorkedBody {
  body: Body;
  buildMm: number;
  volumes: Worked<ShapeVolume>[];
  netMl: number;
  areaMm2: number;
}

/** The need for a second material: what it lies on and must resist. */
export interface SecondNeed {
  purpose: Purpose;
  /** Meets the job’s full service, or is covered and meets only its heat. */
  wetted: boolean;
  material?: Substrate;
  service?: Partial<ServiceNeed>;
  /** The dampness below it at that time, if it was dried for it. */
  damp?: Damp;
  /** Its longest side, mm; absent for coatings. */
  longestMm?: number;
  /** The card above it: their chemistries must be compatible. */
  under?: SystemCard;
}
/** The chosen card of a second material, the reason, and its conditions. */
export type Second = Required<Pick<RoundSpec, 'card' | 'because' | 'problem' | 'terms'>>;

/** All calculations for one survey with one card: the input of the rules and of the family's method. */
export interface Work<S = SurveyBase> {
  survey: S & SurveyBase;
  card: SystemCard;
  site: SiteSettings;
  /** The trade's constants at this site. */
  trade: Trade;
  context: WorkContext;
  schools: Schools;
  demand: Demand;
  /** Surface temperature for mixing and cure, °C; and the held one, null if not held. */
  tempC: number;
  heldC: number | null;
  /** Number of conditions that are met by hand before cleaning. */
  terms: number;
  bodies: WorkedBody[];
  netMl: number;
  areaMm2: number;
  /** Thickest build, and its number of coats at this slope. */
  buildMm: number;
  coats: number;
  coatMm: number;
  grade: PrepGrade | null;
  profileUm: { min: number; max: number } | null;
  gate: Worked<AmbientGate>;
  wrap: Wrapped | null;
  covers: Answer<{ covers: Worked<TyreCover>[] }> | null;
  /** Computes a round of this job. */
  round: (spec: RoundSpec) => Round;
  /** Chooses a second material by the same rules as the first. */
  second: (need: SecondNeed) => Second;
}

/** Deepens a solid to a card's least depth; a shaft or a bore is undercut by as much. */
function deepened(shape: Shape, leastMm: number): Shape {
  switch (shape.kind) {
    case 'band': {
      const worn = Math.min(shape.wornDiameterMm, shape.finishedDiameterMm - 2 * leastMm);
      return worn > 0 ? { ...shape, wornDiameterMm: worn } : shape;
    }
    case 'bore-band':
      return {
        ...shape,
        wornDiameterMm: Math.max(shape.wornDiameterMm, shape.finishedDiameterMm + 2 * leastMm),
      };
    default:
      return { ...shape, depthMm: Math.max(shape.depthMm, leastMm) };
  }
}

/** A dish with a squared edge: a disc of the edge’s depth with the rest of the dish below. */
function squared(shape: Shape, edgeMm: number): Shape[] {
  if (shape.kind !== 'dish' || edgeMm <= 0) return [shape];
  const { diameterMm, depthMm } = shape;
  const disc = { kind: 'disc', diameterMm, depthMm: Math.min(edgeMm, depthMm) } as const;
  return depthMm > edgeMm ? [disc, { ...shape, depthMm: depthMm - edgeMm }] : [disc];
}

/** Thickness of a shape as built, mm. */
const thickOf = (shape: Shape, otherwise: number): number =>
  shape.kind === 'band' || shape.kind === 'bore-band'
    ? Math.abs(shape.finishedDiameterMm - shape.wornDiameterMm) / 2
    : otherwise;

/** The solid that a card really fills: a crack as opened for it, anything else no shallower than its least depth. */
function solidFor(
  body: Body,
  card: SystemCard,
  { whole, trade }: { whole: boolean; trade: Trade },
): { shape: Shape; buildMm: number } {
  const { shape, sandedFromMm } = body;
  if (body.crack && shape.kind === 'groove') {
    // Filled without sand, to its own bottom.
    const deep = whole && sandedFromMm !== null ? { ...shape, depthMm: sandedFromMm } : shape;
    const opened = openedCrack(deep, card, trade);
    return { shape: opened, buildMm: opened.depthMm };
  }
  const least = body.deepens ? card.layer.minMm : 0;
  const cut = body.deepens && body.buildMm < least ? deepened(shape, least) : shape;
  return { shape: cut, buildMm: thickOf(cut, Math.max(body.buildMm, least)) };
}

function workedBody(
  body: Body,
  card: SystemCard,
  how: { whole: boolean; trade: Trade },
): WorkedBody {
  const { shape, buildMm } = solidFor(body, card, how);
  const solids = squared(shape, card.layer.minEdgeMm);
  const volumes = solids.map((solid) =>
    shapeVolume({ shape: solid, overfillPct: 0, wastePct: 0, profileUm: 0 }),
  );
  return {
    body,
    buildMm,
    volumes,
    netMl: volumes.reduce((s, v) => s + v.netMl, 0),
    areaMm2: Math.max(...volumes.map((v) => v.areaMm2)),
  };
}

export interface WorkAsk<S> {
  survey: S & SurveyBase;
  card: SystemCard;
  site: SiteSettings;
  context: WorkContext;
  schools: Schools;
  demand: Demand;
  heldC: number | null;
  terms: number;
  second: (work: Work<S>, need: SecondNeed) => Second;
}

/** Computes a survey with a card. Pure; refused calculations stay inside as answers for the rules. */
export function workOf<S>(ask: WorkAsk<S>): Work<S> {
  const { survey, card, site, context, schools, demand, heldC, terms } = ask;
  const { readings, surface, intent } = survey;
  const trade = tradeAt(site);
  const tempC = heldC ?? readings.surfaceC;
  const prep = card.substrates.find((s) => s.material === demand.material) ?? null;
  const bodies = demand.bodies.map((body) =>
    workedBody(body, card, { whole: schools.sand === 'none', trade }),
  );
  const wrap = wrapped(card, demand, { installC: tempC, trade });
  const buildMm = wrap ? wrap.thicknessMm : Math.max(0, ...bodies.map((b) => b.buildMm));
  const coats =
    wrap || card.sheet
      ? 1
      : Math.max(
          card.layer.leastCoats,
          // One above the maximum is refused, however many more it would take.
          Math.min(MOST_COATS + 1, ceil(buildMm / card.layer.maxMm[surface.slope])),
        );
  const base: RoundBase = {
    survey,
    site,
    schools,
    tempC,
    // A held temperature does not follow the weather.
    forecast: heldC === null ? (context.forecast ?? null) : null,
  };
  const work: Work<S> = {
    survey,
    card,
    site,
    trade,
    context,
    schools,
    demand,
    tempC,
    heldC,
    terms,
    bodies,
    netMl: bodies.reduce((s, b) => s + b.netMl, 0),
    areaMm2: bodies.reduce((s, b) => s + b.areaMm2, 0),
    buildMm,
    coats,
    coatMm: buildMm / coats,
    grade: prep?.[schools.clean === 'always' ? 'lasting' : intent] ?? null,
    profileUm: prep?.profileUm ?? null,
    gate: ambientGate({
      airC: readings.airC,
      rhPct: readings.rhPct,
      surfaceC: tempC,
      ...card.ambient,
    }),
    wrap,
    covers: coversOf(card, demand),
    round: (spec) => roundOf(base, spec),
    second: (need) => ask.second(work, need),
  };
  return work;
}

/** The tool that is really used: none that sparks in a classified area. */
export function toolUsed({ survey }: Pick<Work, 'survey'>): Tool {
  const { tools, area } = survey.site;
  return area !== 'safe' && TOOL_REACH[tools].sparks ? 'hand' : tools;
}

/** The best grade that the available tools reach on this kind of surface. */
export const bestGrade = ({ survey, demand }: Pick<Work, 'survey' | 'demand'>): PrepGrade =>
  TOOL_REACH[toolUsed({ survey })].grades[prepKindOf(demand.material)];

/** Whether the best available tool reaches the grade. */
export const gradeReached = (work: Pick<Work, 'survey' | 'demand'>, grade: PrepGrade): boolean =>
  gradeRank(bestGrade(work)) >= gradeRank(grade);

/** Least wait before the next coat, minutes: until the window opens, or overnight. */
export const leastWait = ({ schools, trade }: Pick<Work, 'schools' | 'trade'>): number =>
  schools.wait === 'overnight' ? trade.cure.overnightMin : 0;

/** People that the placing rate needs: one mixes and one places; a third finishes large areas. */
export const crewOf = ({ card, areaMm2 = 0 }: { card: SystemCard; areaMm2?: number }): number => {
  if (card.mix.kind === 'powder-water' && areaMm2 > 1e6) return 3;
  return card.mix.kind === 'single' || card.mix.kind === 'light-cured' ? 1 : 2;
};
