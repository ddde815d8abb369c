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
import { skinAsks } from './found';
import type { RefusalReason, RouteCondition } from './refusal';

/** A damage as the sums see it: the solid to fill, how thick it is built, what wall is left behind it. */
export interface Body {
  title: string;
  shape: Shape;
  buildMm: number;
  remainingMm: number | null;
  /** Survey paths whose figures make this volume: where a person goes to change it. */
  paths: string[];
  /** Depth of the damage where only its upper part is filled, over a bed of sand; null where all of it is. */
  sandedFromMm: number | null;
  /** A crack in a floor or a wall: how it is opened goes by the card. */
  crack: boolean;
  /** May be cut deeper to the least that a card holds at: its volume then follows. */
  deepens: boolean;
}

/** A pipe to be wrapped. */
export interface WrapNeed {
  outsideDiameterMm: number;
  wallMm: number;
  remainingMm: number;
  pressureBar: number;
  designC: number;
  /** Each place is wrapped by itself. */
  defects: ({ kind: 'thinning'; lengthMm: number } | { kind: 'hole'; diameterMm: number })[];
  /** Designed by the composite repair method; else plain layers past the leak both ways. */
  engineered: boolean;
  extentMm: number;
  /** What it is laid round: bends and branches take more tape for the same rating. */
  fitting: Fitting;
  /** Straight length beside the damage, on the shorter side, mm; null where nobody measured. */
  straightMm: number | null;
}

export const FITTINGS = ['straight', 'elbow', 'tee'] as const;
export type Fitting = (typeof FITTINGS)[number];

export interface CrackNeed {
  /** The widest of all that are filled, and each of them. */
  widthMm: number;
  widthsMm: readonly number[];
  /** The greatest step of one side over the other, mm; 0 where both are level. */
  stepMm: number;
  /** Wheels go over it. */
  wheels: boolean;
  panelLengthM: number;
  swingC: number;
}

/** What it stands in service. */
export interface ServiceNeed {
  medium: Medium;
  concPct: number | null;
  ph: number;
  mediumC: number;
  wear: Wear;
}

/** Figures of a demand that a person can go back to and change. */
export type DemandFigure = 'pressureBar' | 'crackWidth' | 'machined' | 'light';
/** The survey’s field behind each figure; one that is worked out or fixed for its family has none. */
export type DemandPaths = Partial<Record<DemandFigure, string>>;

/** What the job asks of a material, in one shape for all families: the rules read this, never a family's survey. */
export interface Demand {
  material: Substrate;
  service: ServiceNeed;
  needed: Needed;
  bodies: Body[];
  wrap: WrapNeed | null;
  sheets: { crackLengthMm: number; crackWidthMm: number }[];
  /** Pressure to hold, bar; 0 for none. */
  pressureBar: number;
  /** Its wall keeps something in: what is left of it is then an engineer’s to judge where it is thin. */
  boundary: boolean;
  crack: CrackNeed | null;
  flexes: boolean;
  machined: boolean;
  light: { reaches: boolean; irradianceWcm2: number } | null;
  nearby: Nearby | null;
  /** A closed space with little air. */
  closed: boolean;
  /** A source of ignition that cannot be stopped. */
  ignition: boolean;
  /** What everything in it must be approved for. */
  approval: Approval | null;
  /** Ways of being loaded besides the figures. */
  strains: readonly Strain[];
  /** A plastic whose softener goes into what is laid on it. */
  soft: boolean;
  longestMm: number;
  /** Surface to be prepared, damage and margins, mm²: the pace of prep goes by it. */
  prepMm2: number;
  /** Load across the bond, N, and the area that carries it; null where nothing is carried. */
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

/** What eats the parent round any repair is coated with it, or kept off. */
function eatenBy(material: Substrate, met: ServiceNeed): RouteCondition[] {
  const because = eaten(material, met);
  const condition = m('all of the bare {name} that is wetted is coated, not the damage alone', {
    name: SUBSTRATE_NAMES[material].toLowerCase(),
  });
  return because ? [{ id: 'corrosion', condition, because }] : [];
}
const crackedBy = (material: Substrate, met: ServiceNeed): RefusalReason[] => {
  const because = cracked(material, met);
  return because ? [{ id: 'chlorides', because, who: 'pressure-engineer' }] : [];
};

/** A demand from a survey’s common parts and what its family states; what is left out asks for nothing. */
export function demandOf({ parent, service, site }: Common, given: Given): Demand {
  const met = { ...service, ...given.service };
  const under = skinAsks(parent.skin ?? 'bare');
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
    refusals: [...(given.refusals ?? []), ...under.refusals, ...crackedBy(parent.material, met)],
    conditions: [
      ...(given.conditions ?? []),
      ...under.conditions,
      ...eatenBy(parent.material, met),
    ],
    paths: given.paths ?? {},
  };
}
