import {
  SystemCard,
  type Medium,
  type PrepGrade,
  type Substrate,
  type SystemCardInput,
} from '@kelmot/core';

type Rare =
  | 'role'
  | 'version'
  | 'example'
  | 'packUnit'
  | 'ambient'
  | 'damp'
  | 'service'
  | 'layer'
  | 'mostMm'
  | 'applyMlPerMin'
  | 'wastePct'
  | 'flammable'
  | 'ventilate'
  | 'hazards'
  | 'ppe'
  | 'mustNotTouch'
  | 'spoils'
  | 'permission'
  | 'stopgapOnly'
  | 'shelfLifeMonths'
  | 'storage'
  | 'openedPack';
type Given = Omit<SystemCardInput, Rare> &
  Partial<Omit<SystemCardInput, 'service' | 'layer'>> & {
    service?: Partial<SystemCard['service']>;
    layer?: Partial<SystemCard['layer']>;
  };

const service: SystemCard['service'] = {
  dryHeatC: 60,
  wetHeatC: 50,
  minC: -20,
  media: [
    { medium: 'water', maxC: 50 },
    { medium: 'brine', maxC: 50 },
  ],
  ph: { min: 5, max: 11 },
  sliding: 2,
  erosion: 1,
  impact: 2,
  cavitation: 1,
  strains: [],
  flex: 0,
  movementPct: 1,
  pressureBar: 0,
  machinable: false,
};
const layer: SystemCard['layer'] = {
  minMm: 0.5,
  minEdgeMm: 0,
  maxMm: { level: 20, vertical: 10, overhead: 6 },
  maxTotalMm: 60,
  leastCoats: 1,
  volumeSolidsPct: 100,
};

/** A card with defaults for its kind. Example figures. */
export function makeCard(given: Given): SystemCard {
  return SystemCard.parse({
    role: 'system',
    version: 1,
    example: true,
    packUnit: 'ml',
    ambient: { minAboveDewC: 3, maxRhPct: 85, minSurfaceC: 5, maxSurfaceC: 40 },
    damp: 'dry',
    mostMm: 2000,
    applyMlPerMin: 30,
    wastePct: 10,
    flammable: false,
    ventilate: false,
    hazards: [],
    ppe: ['nitrile gloves', 'eye protection'],
    mustNotTouch: [],
    spoils: [],
    permission: 'none',
    stopgapOnly: false,
    shelfLifeMonths: 18,
    storage: '5 to 30 °C, dry, sealed',
    openedPack: 'Use it up the same day.',
    ...given,
    service: { ...service, ...given.service },
    layer: { ...layer, ...given.layer },
  });
}

type Grades = { lasting: PrepGrade; stopgap: PrepGrade; profileUm?: { min: number; max: number } };

/** The same prep for several substrates. */
export const on = (materials: readonly Substrate[], grades: Grades): SystemCard['substrates'] =>
  materials.map((material) => ({ material, ...grades }));

/** Media that a card resists, each up to a temperature. */
export const stands = (
  limits: Partial<Record<Medium, number | [maxC: number, maxConcPct: number]>>,
): SystemCard['service']['media'] =>
  (Object.entries(limits) as [Medium, number | [number, number]][]).map(([medium, limit]) =>
    typeof limit === 'number'
      ? { medium, maxC: limit }
      : { medium, maxC: limit[0], maxConcPct: limit[1] },
  );

/** Packs of a card: label, size in its unit, price. */
export const packs = (
  code: string,
  ...list: [label: string, size: number, price: number][]
): SystemCard['packs'] =>
  list.map(([label, size, price]) => ({
    id: `${code}/${label.replace(/\s+/g, '-')}`,
    label,
    size,
    price,
  }));
