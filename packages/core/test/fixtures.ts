import type { SystemCard } from '../src/materials/card';
import type { Survey, SurveyOf } from '../src/families/registry';
import { everyField, type SurveyDraft } from '../src/form/draft';
import { word } from '../src/message/word';
import { makePlan } from '../src/plan/make';
import { SiteSettings } from '../src/site/site';

const at20 = (minutes: number) => [
  { tempC: 10, minutes: minutes * 2 },
  { tempC: 20, minutes },
  { tempC: 30, minutes: minutes / 2 },
];

/** A round-figured paste, so that a plan can be worked by hand. */
export const card: SystemCard = {
  role: 'system',
  code: 'R-100',
  version: 1,
  name: 'Test paste',
  summary: 'Round figures.',
  families: ['F2'],
  helps: [],
  example: true,
  packUnit: 'ml',
  mostMm: 1000,
  flammable: false,
  ventilate: false,
  spoils: ['paint'],
  permission: 'none',
  stopgapOnly: false,
  mix: {
    kind: 'two-part',
    ratio: { a: 4, b: 1, by: 'volume' },
    densityA: 2,
    densityB: 1,
    tolerancePct: 3,
    wholeKit: false,
    mixMinutes: 5,
    mixedSign: 'One grey',
    tool: 'Board',
  },
  packs: [
    { id: 'R-100/100', label: '100 ml pack', size: 100, price: 40 },
    { id: 'R-100/500', label: '500 ml pack', size: 500, price: 150 },
  ],
  cure: {
    refMassG: 180,
    massExponent: 0,
    milestones: {
      life: at20(50),
      tackFree: at20(100),
      overcoatOpens: at20(80),
      overcoatCloses: at20(400),
      handle: at20(200),
      machine: at20(300),
      lightLoad: at20(350),
      fullLoad: at20(500),
      immersion: at20(600),
      chemical: at20(900),
    },
  },
  ambient: { minAboveDewC: 3, maxRhPct: 85, minSurfaceC: 5, maxSurfaceC: 45 },
  damp: 'dry',
  approvals: [],
  substrates: [
    { material: 'cast-iron', lasting: 'Sa 2½', stopgap: 'St 3', profileUm: { min: 60, max: 100 } },
    {
      material: 'carbon-steel',
      lasting: 'Sa 2½',
      stopgap: 'St 3',
      profileUm: { min: 60, max: 100 },
    },
  ],
  service: {
    dryHeatC: 120,
    wetHeatC: 80,
    minC: -30,
    media: [
      { medium: 'water', maxC: 80 },
      { medium: 'caustic', maxC: 50 },
      { medium: 'oil', maxC: 80 },
    ],
    ph: { min: 3, max: 13.5 },
    sliding: 3,
    erosion: 3,
    impact: 2,
    cavitation: 1,
    strains: [],
    flex: 0,
    movementPct: 0.5,
    pressureBar: 10,
    machinable: true,
    compressiveMPa: 90,
    lapShearMPa: 18,
    hardness: { scale: 'D', least: 80 },
  },
  layer: {
    minMm: 1.5,
    minEdgeMm: 3,
    maxMm: { level: 15, vertical: 10, overhead: 6 },
    maxTotalMm: 60,
    leastCoats: 1,
    volumeSolidsPct: 100,
  },
  applyMlPerMin: 10,
  wastePct: 0,
  hazards: ['amine', 'exotherm'],
  ppe: ['gloves'],
  mustNotTouch: ['silicone'],
  chemistry: 'epoxy',
  notUnder: [],
  shelfLifeMonths: 24,
  storage: 'dry',
  openedPack: 'Close it.',
  lifeDays: { lasting: 1000, stopgap: 100 },
};

export const site: SiteSettings = SiteSettings.parse({
  name: 'Test works',
  currency: '€',
  vesselMl: 1000,
  mortarVesselMl: 40_000,
  vesselFill: 0.75,
  useFraction: 0.8,
  overfillPct: 0,
  machiningMm: 1,
  extentMm: 25,
  workingDepthMm: 40,
  labourPerHour: 50,
  clearanceMarginMm: 1.5,
  tempSdC: 1.5,
  swingIndoorsC: 2,
  swingOutdoorsC: 8,
});

/** A flat 200 × 100 × 10 mm: 200 ml, and 1 ml to fill half of a 100 µm profile. */
export const survey: SurveyOf<'F2'> = {
  family: 'F2',
  version: 1,
  asset: { id: null, tag: 'P-1', name: 'Test pump', position: '', costPerHour: 600 },
  intent: 'lasting',
  damages: [{ shape: 'flat', lengthMm: 200, widthMm: 100, depthMm: 10, wallMm: 40 }],
  parent: { material: 'cast-iron', skin: 'bare', salts: false, machined: false },
  duty: { pressureBar: null, cycles: false, vibrates: false, heatCycles: false },
  service: { medium: 'water', concPct: null, ph: 7, mediumC: 40, wear: 'none', approval: 'none' },
  surface: { damp: 'dry', slope: 'level' },
  past: {
    old: 'none',
    grows: 'no',
    nowMm: null,
    mmPerWeek: null,
    stopsAtMm: null,
    stopMin: null,
    quoteCost: null,
    quoteMin: null,
    partCost: null,
    partMin: null,
  },
  window: { downMin: 24 * 60, startAt: '2026-11-24T08:00:00Z' },
  site: {
    area: 'safe',
    tools: 'blast',
    nearby: 'none',
    ignition: 'stopped',
    closed: false,
    outdoors: false,
  },
  readings: { airC: 20, rhPct: 50, surfaceC: 20 },
};

/** A survey as a person would have typed it, in metric. */
export function asDraft(s: Survey): SurveyDraft {
  const { family, intent, window, asset, damages } = s;
  const draft: SurveyDraft = {
    family,
    intent,
    startAt: window.startAt,
    asset: { ...asset },
    shapes: damages.map((d) => d.shape),
    texts: {},
  };
  const valueAt = (path: string) =>
    path.split('.').reduce<unknown>((o, k) => (o as Record<string, unknown>)[k], s);
  draft.texts = Object.fromEntries(
    everyField(draft).map(({ path, field }) => [
      path,
      field.kind === 'flag' ? (valueAt(path) ? 'yes' : 'no') : String(valueAt(path) ?? ''),
    ]),
  );
  return draft;
}

/** The fixture's survey, or another, planned with its card. */
export const made = (s = survey) => {
  const result = makePlan(s, card, { site, madeAt: '2026-11-24T08:05:00Z' });
  if (!result.ok) throw new Error(word(result.why));
  return result.plan;
};
