import { Survey, type FamilyId, type SurveyOf } from '@kelmot/core';
import { demoAssets } from './plant';
import type { Stage } from './stages';

/** A survey of one family without its asset; later questions have a default and may be absent. */
export type Part<S extends Survey> = S extends Survey
  ? Pick<S, 'family' | 'intent' | 'damages'> & {
      [G in Exclude<keyof S, 'version' | 'asset' | 'family' | 'intent' | 'damages'>]?: Partial<
        S[G]
      >;
    }
  : never;
/** A survey without its asset, of any family. */
export type SurveyPart = Part<Survey>;
type PartOf<F extends FamilyId> = Part<SurveyOf<F>>;

export interface SurveyedRepair {
  tag: string;
  hoursAgo: number;
  survey: SurveyPart;
  /** Its chosen card and its progress; absent if it waits at Match. */
  taken?: { cardCode: string; stage: Stage };
}

const readings = { airC: 16, rhPct: 58, surfaceC: 15 };
const outdoors = { airC: 9, rhPct: 66, surfaceC: 8 };
const safe = { area: 'safe', tools: 'bristle', nearby: 'none', closed: false } as const;
const level = { damp: 'dry', slope: 'level' } as const;
const upright = { damp: 'dry', slope: 'vertical' } as const;
const down = (hours: number) => ({ downMin: hours * 60, startAt: '2000-01-01T00:00:00Z' });
const lasting = { intent: 'lasting', site: safe, readings } as const;
const quick = { intent: 'stopgap', site: safe, readings } as const;

const flange: PartOf<'F1'> = {
  ...lasting,
  family: 'F1',
  damages: [{ shape: 'ring', outerMm: 410, innerMm: 268, depthMm: 4, wallMm: 32 }],
  parent: { material: 'carbon-steel' },
  joint: { pressureBar: 4, bolts: 12, mateGood: true },
  service: { medium: 'juice', concPct: null, ph: 6.2, mediumC: 74, wear: 'none' },
  surface: upright,
  window: down(40),
  site: { ...safe, tools: 'blast' },
};
const bracket: PartOf<'F3'> = {
  ...lasting,
  family: 'F3',
  damages: [{ shape: 'snapped', lengthMm: 110, wallMm: 12, buildMm: 8 }],
  parent: { material: 'cast-iron' },
  load: { carries: 'guard', loadN: 900, wear: 'impact', clearanceMm: 10, serviceC: 35 },
  surface: upright,
  window: down(30),
};
const leak: PartOf<'F4'> = {
  ...quick,
  family: 'F4',
  damages: [{ shape: 'pinhole', diameterMm: 5, outsideDiameterMm: 114.3, wallMm: 5 }],
  parent: { material: 'carbon-steel' },
  line: { pressureBar: 3, shutOff: true, fluid: 'plain' },
  service: { medium: 'condensate', concPct: null, ph: 8.5, mediumC: 58, wear: 'none' },
  surface: { damp: 'damp', slope: 'vertical' },
  window: down(8),
  past: { old: 'clamp', grows: 'no' },
};
const rated: PartOf<'F5'> = {
  ...lasting,
  family: 'F5',
  damages: [{ shape: 'hole', diameterMm: 22, outsideDiameterMm: 219.1, wallMm: 6.3 }],
  parent: { material: 'carbon-steel' },
  line: { pressureBar: 6, shutOff: true, fluid: 'plain', designC: 72 },
  service: { medium: 'juice', concPct: null, ph: 6.2, mediumC: 72, wear: 'none' },
  surface: upright,
  window: down(60),
  site: { ...safe, tools: 'blast' },
};
const belt: PartOf<'F6'> = {
  ...lasting,
  family: 'F6',
  damages: [{ shape: 'hole', diameterMm: 64, beltMm: 14 }],
  parent: { material: 'belt-rubber' },
  belt: { carcassCutPct: 4, slopeDeg: 0, carries: 'sliding', runsC: 25, wetRun: true },
  surface: level,
  window: down(9),
  past: {
    old: 'none',
    grows: 'yes',
    nowMm: 64,
    mmPerWeek: 120,
    stopsAtMm: 900,
    stopMin: 960,
  },
};
const tyre: PartOf<'F7'> = {
  ...lasting,
  family: 'F7',
  damages: [{ shape: 'cut', lengthMm: 90, widthMm: 9, depthMm: 14 }],
  parent: { material: 'tyre-rubber' },
  tyre: {
    place: 'sidewall',
    cords: 'showing',
    airtight: true,
    plugged: false,
    rubberMm: null,
    road: false,
  },
  surface: upright,
  window: down(24),
};
const scuffed: PartOf<'F7'> = {
  ...tyre,
  damages: [{ shape: 'crack', lengthMm: 180, widthMm: 4, depthMm: 3 }],
  tyre: { ...tyre.tyre, cords: 'covered' },
};
const crack: PartOf<'F8'> = {
  ...lasting,
  family: 'F8',
  damages: [
    { shape: 'crack', lengthMm: 3400, widthMm: 4, depthMm: 45 },
    { shape: 'crack', lengthMm: 1600, widthMm: 2, depthMm: 40 },
  ],
  parent: { material: 'concrete' },
  floor: { panelMm: 5000, swingC: 4, traffic: 'wheels', washed: false, structural: false },
  surface: level,
  window: down(10),
  site: { ...safe, tools: 'power' },
};
const patch: PartOf<'F9'> = {
  ...lasting,
  family: 'F9',
  damages: [{ shape: 'patch', lengthMm: 900, widthMm: 600, depthMm: 55 }],
  parent: { material: 'concrete' },
  floor: { traffic: 'wheels', washed: true, juice: false, cracksMm: null },
  surface: { damp: 'damp', slope: 'level' },
  window: down(48),
  past: { old: 'mortar', grows: 'no' },
};
const yard: PartOf<'F10'> = {
  ...lasting,
  family: 'F10',
  damages: [
    { shape: 'run', lengthMm: 14_000, widthMm: 26, depthMm: 80 },
    { shape: 'run', lengthMm: 6500, widthMm: 40, depthMm: 60 },
  ],
  parent: { material: 'asphalt' },
  yard: { panelMm: 8000, swingC: 12, traffic: 'trucks' },
  surface: level,
  window: down(48),
  readings: outdoors,
  site: { ...safe, outdoors: true },
  past: { old: 'sealant', grows: 'no' },
};
const wall: PartOf<'F11'> = {
  ...lasting,
  family: 'F11',
  damages: [{ shape: 'face', lengthMm: 2600, widthMm: 0.6, wallMm: 300 }],
  parent: { material: 'concrete' },
  wall: { panelMm: 6000, swingC: 1, structural: false },
  service: { medium: 'soil-slurry', concPct: null, ph: 7, mediumC: 12, wear: 'none' },
  surface: { damp: 'wet', slope: 'vertical' },
  window: down(30),
  readings: outdoors,
  site: { ...safe, outdoors: true },
};
const tank: PartOf<'F12'> = {
  ...lasting,
  family: 'F12',
  damages: [{ shape: 'crack', lengthMm: 90, widthMm: 2, wallMm: 6 }],
  parent: { material: 'pvc' },
  tank: { pressurised: false },
  service: { medium: 'mineral-acid', concPct: 12, ph: 1, mediumC: 20, wear: 'none' },
  surface: upright,
  window: down(200),
  site: { ...safe, nearby: 'plastic' },
};
const sump: PartOf<'F13'> = {
  ...lasting,
  family: 'F13',
  damages: [{ shape: 'fitting', diameterMm: 220, gapMm: 8, wallMm: 14 }],
  parent: { material: 'concrete' },
  sump: { drainable: false, diver: false },
  service: { medium: 'soil-slurry', concPct: null, ph: 7, mediumC: 14, wear: 'none' },
  surface: { damp: 'under-water', slope: 'level' },
  window: down(24),
  readings: outdoors,
  site: { ...safe, outdoors: true },
};
const cowl: PartOf<'F14'> = {
  ...lasting,
  family: 'F14',
  damages: [{ shape: 'spot', lengthMm: 240, widthMm: 70, depthMm: 1.5, wallMm: 10 }],
  parent: { material: 'grp' },
  panel: { fibre: 'covered', turns: false, erodes: true },
  surface: upright,
  window: down(16),
  site: { ...safe, outdoors: true, tools: 'power' },
};
const board: PartOf<'F15'> = {
  ...lasting,
  family: 'F15',
  damages: [{ shape: 'burn', lengthMm: 22, widthMm: 14, depthMm: 1.6, pins: 3 }],
  parent: { material: 'board-laminate' },
  board: { lifeSafety: false, mains: true, lampReaches: true, lampWcm2: 0.45, hotC: 70 },
  surface: level,
  window: down(24),
  site: { ...safe, tools: 'power', nearby: 'electronics' },
};
const matting: PartOf<'F16'> = {
  ...lasting,
  family: 'F16',
  damages: [{ shape: 'spot', lengthMm: 1200, widthMm: 800, depthMm: 28 }],
  parent: { material: 'concrete' },
  matting: { traffic: 'foot', drains: true },
  surface: level,
  window: down(72),
};

/** One repair of every family, at different stations; one tyre is refused, because its cords show. */
export const surveyedRepairs: SurveyedRepair[] = [
  { tag: 'JH-2', hoursAgo: 3, survey: flange, taken: { cardCode: 'R-210', stage: 'prep' } },
  { tag: 'SG-2', hoursAgo: 5, survey: bracket },
  { tag: 'CP-08', hoursAgo: 5, survey: leak, taken: { cardCode: 'W-310', stage: 'cured' } },
  { tag: 'JP-31', hoursAgo: 9, survey: rated, taken: { cardCode: 'W-330', stage: 'curing' } },
  { tag: 'BC-3', hoursAgo: 3, survey: belt, taken: { cardCode: 'B-410', stage: 'curing' } },
  { tag: 'WL-2', hoursAgo: 8, survey: tyre },
  { tag: 'TR-6', hoursAgo: 9, survey: scuffed },
  { tag: 'FL-06', hoursAgo: 2, survey: crack, taken: { cardCode: 'C-620', stage: 'prep' } },
  { tag: 'FL-08', hoursAgo: 6, survey: patch, taken: { cardCode: 'C-645', stage: 'curing' } },
  { tag: 'YD-1', hoursAgo: 4, survey: yard, taken: { cardCode: 'C-630', stage: 'prep' } },
  { tag: 'BS-4', hoursAgo: 10, survey: wall, taken: { cardCode: 'C-670', stage: 'cured' } },
  { tag: 'TK-22', hoursAgo: 12, survey: tank },
  { tag: 'SU-1', hoursAgo: 5, survey: sump, taken: { cardCode: 'X-830', stage: 'curing' } },
  { tag: 'CT-1', hoursAgo: 1, survey: cowl, taken: { cardCode: 'X-840', stage: 'prep' } },
  { tag: 'CB-3', hoursAgo: 14, survey: board },
  { tag: 'LB-1', hoursAgo: 15, survey: matting, taken: { cardCode: 'S-710', stage: 'curing' } },
];

/** A complete demo survey with an asset, begun at a moment. Throws if the plant has no such asset. */
export function demoSurvey(
  tag: string,
  assetId: string | null,
  startAt: string,
  part: SurveyPart,
): Survey {
  const asset = demoAssets.find((a) => a.tag === tag);
  if (!asset) throw new Error(`no demo asset ${tag}`);
  const { name, position, costPerHour } = asset;
  return Survey.parse({
    version: 1,
    asset: { id: assetId, tag, name, position, costPerHour },
    ...part,
    window: { ...part.window, startAt },
  });
}
