import type { SiteSettings } from '../site/site';
import { tradeAt, type Trade } from '../trade/trade';
import type { Shape } from '../geometry/shapeVolume';
import type { Needed } from '../materials/milestones';
import { cracked, eaten } from '../materials/corrosion';
import { SUBSTRATE_NAMES, type Substrate } from '../materials/substrates';
import {
  NEARBY,
  type Approval,
  type Medium,
  type Nearby,
  type Skin,
  type Strain,
  type Wear,
} from '../materials/words';
import { m } from '../message/message';
import { conditionsOfSkin } from './forgotten';
import type { RefusalReason, RouteCondition } from './refusal';

/** A damage for calculation: the solid to fill, its build, the wall left behind it. */
export interface Body {
  title: string;
  shape: Shape;
  buildMm: number;
  remainingMm: number | null;
  /** Survey paths of the figures in this volume: where a person changes it. */
  paths: string[];
  /** Depth of the damage if only its upper part is filled, over sand; null if all of it is. */
  sandedFromMm: number | null;
  /** A crack in a floor or a wall: the card decides how it is opened. */
  crack: boolean;
  /** May be cut deeper to a card's least depth: its volume follows. */
  deepens: boolean;
}

/** A pipe to be wrapped. */
export interface WrapNeed {
  outsideDiameterMm: number;
  wallMm: number;
  remainingMm: number;
  pressureBar: number;
  designC: number;
  /** Each damage is wrapped separately. */
  defects: ({ kind: 'thinning'; lengthMm: number } | { kind: 'hole'; diameterMm: number })[];
  /** Designed by the composite repair method; otherwise plain layers beyond the leak on both sides. */
  engineered: boolean;
  extentMm: number;
  /** The pipe part: bends and branches need more tape for the same rating. */
  fitting: Fitting;
  /** Straight length beside the damage, on the shorter side, mm; null if not measured. */
  straightMm: number | null;
}

export const FITTINGS = ['straight', 'elbow', 'tee'] as const;
export type Fitting = (typeof FITTINGS)[number];

export interface CrackNeed {
  /** The widest of the filled cracks, and each of them. */
  widthMm: number;
  widthsMm: readonly number[];
  /** The greatest step between both sides, mm; 0 if level. */
  stepMm: number;
  /** Wheels roll over it. */
  wheels: boolean;
  panelLengthM: number;
  swingC: number;
}

/** What it must resist in service. */
export interface ServiceNeed {
  medium: Medium;
  concPct: number | null;
  ph: number;
  mediumC: number;
  wear: Wear;
}

/** Figures of a demand that a person can change in the survey. */
export type DemandFigure = 'pressureBar' | 'crackWidth' | 'machined' | 'light';
/** The survey field behind each figure; calculated or fixed figures have none. */
export type DemandPaths = Partial<Record<DemandFigure, string>>;

/** What the job demands from a material, in one form for all families: rules read this, never a family's survey. */
export interface Demand {
  material: Substrate;
  service: ServiceNeed;
  needed: Needed;
  bodies: Body[];
  wrap: WrapNeed | null;
  sheets: { crackLengthMm: number; crackWidthMm: number }[];
  /** Pressure to hold, bar; 0 for none. */
  pressureBar: number;
  /** Its wall contains something: an engineer judges a thin remainder. */
  boundary: boolean;
  crack: CrackNeed | null;
  flexes: boolean;
  machined: boolean;
  light: { reaches: boolean; irradianceWcm2: number } | null;
  nearby: Nearby | null;
  /** A closed space with little air. */
  closed: boolean;
  /** An ignition source that cannot be stopped. */
  ignition: boolean;
  /** The approval that everything in it needs. */
  approval: Approval | null;
  /** Kinds of loading besides the figures. */
  strains: readonly Strain[];
  /** A plastic whose plasticiser migrates into the repair. */
  soft: boolean;
  longestMm: number;
  /** Area to prepare, damage and margins, mm²: decides the time of preparation. */
  prepMm2: number;
  /** Load across the bond, N, and its area; null without load. */
  load: { newtons: number; areaMm2: number } | null;
  refusals: RefusalReason[];
  conditions: RouteCondition[];
  paths: DemandPaths;
}

/** The parts of a survey that every family has. */
interface Common {
  parent: { material: Substrate; skin?: Skin; soft?: boolean };
  service: ServiceNeed & { approval: Approval | 'none' };
  site: { nearby: string; closed: boolean; ignition: string };
}
type Given = Pick<Demand, 'needed' | 'bodies' | 'longestMm' | 'prepMm2'> &
  Partial<Omit<Demand, 'service'>> & { service?: Partial<ServiceNeed> };

/** The condition to coat or protect a substrate that corrodes round any repair. */
function eatenBy(material: Substrate, met: ServiceNeed): RouteCondition[] {
  const because = eaten(material, met);
  const condition = m('all bare {name} that is wetted is coated', {
    name: SUBSTRATE_NAMES[material].toLowerCase(),
  });
  return because ? [{ id: 'corrosion', condition, because }] : [];
}
const crackedBy = (material: Substrate, met: ServiceNeed, trade: Trade): RefusalReason[] => {
  const because = cracked(material, met, trade);
  return because ? [{ id: 'chlorides', because, who: 'pressure-engineer' }] : [];
};

/**
 * A demand from a survey’s common parts, the settings of the site and the family's statements; absent parts demand
 * nothing.
 */
export function demandOf(
  { parent, service, site }: Common,
  settings: SiteSettings,
  given: Given,
): Demand {
  const met = { ...service, ...given.service };
  const under = conditionsOfSkin(parent.skin ?? 'bare');
  return {
    material: parent.material,
    wrap: null,
    sheets: [],
    pressureBar: 0,
    boundary: true,
    crack: null,
    flexes: false,
    machined: false,
    light: null,
    nearby: NEARBY.find((n) => n === site.nearby) ?? null,
    closed: site.closed,
    ignition: site.ignition === 'stays',
    approval: service.approval === 'none' ? null : service.approval,
    strains: [],
    soft: parent.soft ?? false,
    load: null,
    ...given,
    service: met,
    refusals: [
      ...(given.refusals ?? []),
      ...under.refusals,
      ...crackedBy(parent.material, met, tradeAt(settings)),
    ],
    conditions: [
      ...(given.conditions ?? []),
      ...under.conditions,
      ...eatenBy(parent.material, met),
    ],
    paths: given.paths ?? {},
  };
}
