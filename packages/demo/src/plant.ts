import type { Asset } from '@kelmot/contract';
import { SiteSettings, USUAL_SITE } from '@kelmot/core';

/** The demo site's settings; others are the usual ones. */
export const siteSettings: SiteSettings = SiteSettings.parse({
  ...USUAL_SITE,
  name: 'Quillmere Sugar Works',
  currency: '€',
  vesselMl: 750,
  overfillPct: 10,
  machiningMm: 1,
  extentMm: 25,
  labourPerHour: 48,
  zone: 'Europe/Vienna',
  secondSigns: 'approved',
});

export type DemoAsset = Omit<Asset, 'id'>;

const base = {
  material: null,
  medium: null,
  mediumC: null,
  ph: null,
  wear: null,
} satisfies Partial<DemoAsset>;

function pump(tag: string, name: string, position: string, more: Partial<DemoAsset>): DemoAsset {
  return {
    ...base,
    tag,
    name,
    position,
    kind: 'pump',
    costPerHour: 320,
    material: 'cast-iron',
    ...more,
  };
}
const lime = {
  medium: 'lime-milk',
  mediumC: 62,
  ph: 12.6,
  wear: 'erosion',
  costPerHour: 540,
} as const;
const juice = {
  medium: 'juice',
  mediumC: 72,
  ph: 6.2,
  wear: 'none',
  material: 'stainless',
  costPerHour: 780,
} as const;
const slurry = {
  medium: 'soil-slurry',
  mediumC: 18,
  ph: 7,
  wear: 'erosion',
  costPerHour: 460,
} as const;

const pumps: DemoAsset[] = [
  pump('P-201', 'Lime milk pump 1', 'Lime house, ground floor', lime),
  pump('P-204', 'Lime milk pump 2', 'Lime house, ground floor', lime),
  pump('P-207', 'Lime milk pump 3', 'Lime house, gallery', lime),
  pump('P-117', 'Raw juice pump 1', 'Diffuser hall', juice),
  pump('P-118', 'Raw juice pump 2', 'Diffuser hall', juice),
  pump('P-209', 'Thin juice pump', 'Filter station', { ...juice, mediumC: 88, ph: 8.8 }),
  pump('P-012', 'Flume pump', 'Beet yard', slurry),
  pump('P-014', 'Flume pump, standby', 'Beet yard', slurry),
  pump('P-031', 'Washer drain pump', 'Beet wash', { ...slurry, material: 'carbon-steel' }),
  pump('P-305', 'Condensate pump', 'Evaporator, level 1', {
    medium: 'condensate',
    mediumC: 92,
    ph: 8.5,
    material: 'carbon-steel',
    costPerHour: 610,
  }),
  pump('P-312', 'Cooling water pump', 'Cooling tower', {
    medium: 'water',
    mediumC: 28,
    ph: 7.4,
    costPerHour: 280,
  }),
  pump('P-318', 'Acid dosing pump skid', 'Water treatment', {
    medium: 'mineral-acid',
    mediumC: 20,
    ph: 1,
    material: 'stainless',
    costPerHour: 150,
  }),
  pump('P-320', 'Caustic cleaning pump', 'Evaporator, ground', {
    medium: 'caustic',
    mediumC: 60,
    ph: 13.6,
    material: 'stainless',
    costPerHour: 380,
  }),
  pump('VP-2', 'Vacuum pump', 'Pan floor', {
    medium: 'water',
    mediumC: 35,
    ph: 7.2,
    costPerHour: 690,
  }),
];

const other = (kind: string, rows: [string, string, string, number][]): DemoAsset[] =>
  rows.map(([tag, name, position, costPerHour]) => ({
    ...base,
    tag,
    name,
    position,
    kind,
    costPerHour,
  }));

/** The other assets: those of other families, and those that are only listed. */
const rest: DemoAsset[] = [
  ...other('flange', [
    ['JH-1', 'Juice heater 1 flange', 'Heater station', 620],
    ['JH-2', 'Juice heater 2 flange', 'Heater station', 620],
    ['EV-3', 'Evaporator 3 manhole flange', 'Evaporator, level 2', 900],
    ['EV-4', 'Evaporator 4 sight flange', 'Evaporator, level 2', 900],
  ]),
  ...other('pipe', [
    ['JP-31', 'Raw juice pipe to heater 2', 'Pipe bridge, bay 4', 540],
    ['JP-33', 'Thin juice header', 'Filter station', 540],
    ['CP-08', 'Condensate return', 'Evaporator, level 1', 410],
    ['WP-12', 'Cooling water main', 'Cooling tower', 300],
    ['LP-02', 'Lime milk ring main', 'Lime house', 460],
    ['AP-05', 'Compressed air header', 'Workshop', 120],
  ]),
  ...other('belt', [
    ['BC-1', 'Beet belt 1', 'Beet yard', 840],
    ['BC-3', 'Beet belt 3', 'Slicing house', 840],
    ['BC-5', 'Pulp belt', 'Press house', 520],
    ['BC-7', 'Limestone belt', 'Lime kiln', 380],
  ]),
  ...other('tyre', [
    ['WL-1', 'Wheel loader 1, rear right', 'Beet yard', 160],
    ['WL-2', 'Wheel loader 2, front left', 'Beet yard', 160],
    ['TR-6', 'Trailer 6, axle 2', 'Beet yard', 60],
  ]),
  ...other('floor', [
    ['FL-01', 'Boiler-house slab', 'Boiler house', 90],
    ['FL-04', 'Pulp-press floor', 'Press house', 210],
    ['FL-06', 'Workshop floor', 'Workshop', 40],
    ['FL-08', 'Bag store floor', 'Warehouse', 180],
    ['FL-11', 'Pan-floor slab', 'Pan floor', 260],
    ['YD-1', 'Truck yard, weighbridge side', 'Yard', 130],
    ['YD-2', 'Truck yard, gate side', 'Yard', 130],
    ['LB-1', 'Loading-bay matting', 'Warehouse', 50],
  ]),
  ...other('wall', [
    ['BS-4', 'Flume basin wall', 'Quillmere Outstation', 220],
    ['BS-5', 'Settling basin, north wall', 'Quillmere Outstation', 220],
    ['BW-2', 'Acid tank bund', 'Water treatment', 140],
  ]),
  ...other('tank', [
    ['TK-11', 'Lime milk tank, shell', 'Lime house', 480],
    ['TK-21', 'Antifoam dosing tank', 'Diffuser hall', 120],
    ['TK-22', 'Acid dosing tank', 'Water treatment', 150],
    ['SU-1', 'Flume sump fitting', 'Beet yard', 300],
  ]),
  ...other('panel', [
    ['CT-1', 'Cooling-tower fan cowl 1', 'Cooling tower', 200],
    ['CT-2', 'Cooling-tower fan cowl 2', 'Cooling tower', 200],
    ['CL-7', 'Clad panel, silo side', 'Silo 2', 20],
  ]),
  ...other('structure', [
    ['SG-2', 'Slicer 2 guard bracket', 'Slicing house', 700],
    ['SG-4', 'Slicer 4 guard bracket', 'Slicing house', 700],
    ['HP-2', 'Lime hopper, cast', 'Lime kiln', 380],
  ]),
  ...other('board', [
    ['CB-3', 'Belt 3 drive board', 'Slicing house', 840],
    ['CB-7', 'Limestone belt drive board', 'Lime kiln', 380],
  ]),
  ...other('gearbox', [
    ['GB-1', 'Diffuser gearbox', 'Diffuser hall', 1200],
    ['GB-2', 'Pulp press 2 gearbox', 'Press house', 520],
    ['GB-3', 'Crystalliser drive', 'Pan floor', 690],
    ['FN-1', 'Kiln fan', 'Lime kiln', 380],
    ['FN-2', 'Boiler draught fan', 'Boiler house', 760],
    ['CV-1', 'Centrifugal 1 housing', 'Sugar house', 480],
    ['CV-2', 'Centrifugal 2 housing', 'Sugar house', 480],
    ['AG-4', 'Lime slaker agitator shaft', 'Lime house', 380],
  ]),
];

export const demoAssets: DemoAsset[] = [...pumps, ...rest];
