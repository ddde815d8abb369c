import type { Shape } from '../geometry/shapeVolume';
import type { MilestoneId } from '../materials/card';
import type { Substrate } from '../materials/substrates';
import { NEARBY, type Medium, type Nearby, type Permission, type Wear } from '../materials/words';

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
}

/** A pipe to be wrapped. */
export interface WrapNeed {
  outsideDiameterMm: number;
  wallMm: number;
  remainingMm: number;
  pressureBar: number;
  designC: number;
  defect: { kind: 'thinning'; lengthMm: number } | { kind: 'hole'; diameterMm: number };
  /** Designed by the composite repair method; else plain layers past the leak both ways. */
  engineered: boolean;
  extentMm: number;
}

export interface CrackNeed {
  widthMm: number;
  panelLengthM: number;
  swingC: number;
}

/** Why a family's own route is not for this damage, and who decides instead. */
export interface RefusalReason {
  id: string;
  because: string;
  who: Permission;
}

/** What it stands in service. */
export interface ServiceNeed {
  medium: Medium;
  concPct: number | null;
  ph: number;
  mediumC: number;
  wear: Wear;
}

/** What the job asks of a material, in one shape for all families: the rules read this, never a family's survey. */
export interface Demand {
  material: Substrate;
  service: ServiceNeed;
  needed: MilestoneId;
  bodies: Body[];
  wrap: WrapNeed | null;
  sheet: { crackLengthMm: number; crackWidthMm: number } | null;
  /** Pressure to hold, bar; 0 for none. */
  pressureBar: number;
  crack: CrackNeed | null;
  flexes: boolean;
  machined: boolean;
  light: { reaches: boolean; irradianceWcm2: number } | null;
  nearby: Nearby | null;
  /** A closed space with little air. */
  closed: boolean;
  longestMm: number;
  /** Surface to be prepared, damage and margins, mm²: the pace of prep goes by it. */
  prepMm2: number;
  /** Load across the bond, N, and the area that carries it; null where nothing is carried. */
  load: { newtons: number; areaMm2: number } | null;
  refusals: RefusalReason[];
}

/** The parts of a survey that every family has. */
interface Common {
  parent: { material: Substrate };
  service: ServiceNeed;
  site: { nearby: string; closed: boolean };
}
type Given = Pick<Demand, 'needed' | 'bodies' | 'longestMm' | 'prepMm2'> &
  Partial<Omit<Demand, 'service'>> & { service?: Partial<ServiceNeed> };

/** A demand from a survey’s common parts and what its family states; what is left out asks for nothing. */
export function demandOf({ parent, service, site }: Common, given: Given): Demand {
  return {
    material: parent.material,
    wrap: null,
    sheet: null,
    pressureBar: 0,
    crack: null,
    flexes: false,
    machined: false,
    light: null,
    nearby: NEARBY.find((n) => n === site.nearby) ?? null,
    closed: site.closed,
    load: null,
    refusals: [],
    ...given,
    service: { ...service, ...given.service },
  };
}
