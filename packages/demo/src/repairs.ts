import type { SurveyOf } from '@kelmot/core';
import type { Part } from './families';
import type { Stage } from './stages';

export interface DemoRepair {
  tag: string;
  stage: Stage;
  cardCode: string;
  /** Hours from the survey to the seeding. */
  hoursAgo: number;
  survey: Part<SurveyOf<'F2'>>;
  /** For closed repairs: the inspector's statement. */
  statement?: string;
}

type Rebuild = DemoRepair['survey'];
const parent = { material: 'cast-iron', salts: false, machined: false } satisfies Rebuild['parent'];
const surface = { damp: 'dry', slope: 'level' } satisfies Rebuild['surface'];
const site = {
  area: 'safe',
  tools: 'blast',
  nearby: 'none',
  closed: false,
} as const;
const readings = { airC: 18.5, rhPct: 56, surfaceC: 17.4 } satisfies Rebuild['readings'];
const lime = {
  medium: 'lime-milk',
  concPct: null,
  ph: 12.6,
  mediumC: 62,
  wear: 'erosion',
} as const;
const down = (downMin: number) => ({ downMin, startAt: '2000-01-01T00:00:00Z' });

const usual: Rebuild = {
  family: 'F2',
  intent: 'lasting',
  damages: [],
  parent,
  service: lime,
  surface,
  window: down(26 * 60),
  site,
  readings,
};

/** Running repairs, one at each stage, so that the bench shows every state. */
export const openRepairs: DemoRepair[] = [
  {
    tag: 'P-204',
    stage: 'placing',
    cardCode: 'R-210',
    hoursAgo: 3,
    survey: { ...usual, damages: [{ shape: 'pocket', diameterMm: 240, depthMm: 14, wallMm: 30 }] },
  },
  {
    tag: 'P-201',
    stage: 'between-coats',
    cardCode: 'R-230',
    hoursAgo: 9,
    survey: {
      ...usual,
      damages: [{ shape: 'flat', lengthMm: 420, widthMm: 260, depthMm: 1, wallMm: 18 }],
      window: down(60 * 60),
      surface: { damp: 'dry', slope: 'vertical' },
    },
  },
  {
    tag: 'P-117',
    stage: 'curing',
    cardCode: 'R-210',
    hoursAgo: 8,
    survey: {
      ...usual,
      damages: [{ shape: 'seat', finishedDiameterMm: 85, wornDiameterMm: 81.4, lengthMm: 46 }],
      parent: { material: 'carbon-steel', salts: false, machined: true },
      service: { medium: 'oil', concPct: null, ph: 7, mediumC: 70, wear: 'sliding' },
      window: down(30 * 60),
    },
  },
  {
    tag: 'P-012',
    stage: 'cured',
    cardCode: 'R-225',
    hoursAgo: 40,
    survey: {
      ...usual,
      damages: [
        { shape: 'pocket', diameterMm: 190, depthMm: 14, wallMm: 30 },
        { shape: 'pocket', diameterMm: 110, depthMm: 9, wallMm: 30 },
      ],
      service: { medium: 'soil-slurry', concPct: null, ph: 7, mediumC: 16, wear: 'erosion' },
      window: down(48 * 60),
    },
  },
  {
    tag: 'P-305',
    stage: 'gate-stopped',
    cardCode: 'R-240',
    hoursAgo: 2,
    survey: {
      ...usual,
      damages: [{ shape: 'pocket', diameterMm: 90, depthMm: 6, wallMm: 14 }],
      parent: { material: 'carbon-steel', salts: false, machined: false },
      service: { medium: 'condensate', concPct: null, ph: 8.5, mediumC: 92, wear: 'none' },
      readings: { airC: 21, rhPct: 58, surfaceC: 19 },
      window: down(72 * 60),
    },
  },
  {
    tag: 'P-031',
    stage: 'prep',
    cardCode: 'R-215',
    hoursAgo: 1,
    survey: {
      ...usual,
      intent: 'stopgap',
      damages: [{ shape: 'pocket', diameterMm: 70, depthMm: 5, wallMm: 12 }],
      parent: { material: 'carbon-steel', salts: false, machined: false },
      service: { medium: 'soil-slurry', concPct: null, ph: 7, mediumC: 18, wear: 'none' },
      site: { ...site, tools: 'power' },
      readings: { airC: 9, rhPct: 62, surfaceC: 8 },
      window: down(16 * 60),
    },
  },
  {
    tag: 'P-207',
    stage: 'match',
    cardCode: 'R-210',
    hoursAgo: 0.5,
    survey: {
      ...usual,
      damages: [{ shape: 'pocket', diameterMm: 120, depthMm: 9, wallMm: 18 }],
      parent: { ...parent, salts: true },
      window: down(30 * 60),
    },
  },
  {
    tag: 'GB-2',
    stage: 'survey',
    cardCode: 'R-210',
    hoursAgo: 0.2,
    survey: {
      ...usual,
      damages: [{ shape: 'bore', finishedDiameterMm: 160, wornDiameterMm: 163, lengthMm: 52 }],
      parent: { material: 'cast-iron', salts: false, machined: true },
      service: { medium: 'oil', concPct: null, ph: 7, mediumC: 65, wear: 'sliding' },
      window: down(36 * 60),
    },
  },
];

const closed = (
  tag: string,
  cardCode: string,
  daysAgo: number,
  damage: Rebuild['damages'][number],
  statement: string,
  more: Partial<Rebuild> = {},
): DemoRepair => ({
  tag,
  stage: 'closed',
  cardCode,
  hoursAgo: daysAgo * 24,
  survey: { ...usual, damages: [damage], ...more },
  statement,
});

/** Closed and accepted repairs. */
export const closedRepairs: DemoRepair[] = [
  closed(
    'P-204',
    'R-210',
    410,
    { shape: 'pocket', diameterMm: 95, depthMm: 7, wallMm: 20 },
    'Flush, one sound, hard all over.',
  ),
  closed(
    'P-201',
    'R-225',
    320,
    { shape: 'pocket', diameterMm: 160, depthMm: 12, wallMm: 24 },
    'Ground flush. No pinholes.',
    { window: down(40 * 60) },
  ),
  closed(
    'P-014',
    'R-225',
    260,
    { shape: 'flat', lengthMm: 220, widthMm: 120, depthMm: 8, wallMm: 26 },
    'Even, hard, edges tight.',
    {
      service: { medium: 'soil-slurry', concPct: null, ph: 7, mediumC: 15, wear: 'erosion' },
      window: down(48 * 60),
    },
  ),
  closed(
    'P-118',
    'R-210',
    190,
    { shape: 'seat', finishedDiameterMm: 70, wornDiameterMm: 66.4, lengthMm: 40 },
    'Turned to 70.00, runs true.',
    {
      parent: { material: 'stainless', salts: false, machined: true },
      service: { medium: 'oil', concPct: null, ph: 7, mediumC: 60, wear: 'sliding' },
      window: down(36 * 60),
    },
  ),
  closed(
    'P-312',
    'R-210',
    140,
    { shape: 'pocket', diameterMm: 80, depthMm: 6, wallMm: 16 },
    'Tapped and looked at: good.',
    {
      service: { medium: 'water', concPct: null, ph: 7.4, mediumC: 28, wear: 'none' },
    },
  ),
  closed(
    'P-320',
    'R-260',
    75,
    { shape: 'pocket', diameterMm: 60, depthMm: 5, wallMm: 14 },
    'No soft spots; hardness 87.',
    {
      parent: { material: 'stainless', salts: false, machined: false },
      service: { medium: 'caustic', concPct: 8, ph: 13.6, mediumC: 60, wear: 'none' },
      window: down(72 * 60),
    },
  ),
  closed(
    'P-031',
    'R-215',
    6,
    { shape: 'pocket', diameterMm: 65, depthMm: 5, wallMm: 12 },
    'Stop-gap only; look in a week.',
    {
      intent: 'stopgap',
      parent: { material: 'carbon-steel', salts: false, machined: false },
      service: { medium: 'soil-slurry', concPct: null, ph: 7, mediumC: 18, wear: 'none' },
      site: { ...site, tools: 'power' },
    },
  ),
];
