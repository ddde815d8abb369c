import { t } from '../text/text';
import { PRACTICE, type TradeGroup } from './constant';

export const joint = {
  flushMm: {
    value: 1,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Largest gap under a straight edge of 1 m.'),
  },
  scrubShare: {
    value: 0.1,
    unit: '1',
    source: PRACTICE,
    reason: t('Share of the placing time for the scrub coat.'),
  },
  ramShare: {
    value: 0.5,
    unit: '1',
    source: PRACTICE,
    reason: t('Share of the placing time for ramming, under both halves.'),
  },
  strikeShare: {
    value: 0.4,
    unit: '1',
    source: PRACTICE,
    reason: t('Share of the placing time for striking off.'),
  },
  scrapeShare: {
    value: 0.2,
    unit: '1',
    source: PRACTICE,
    reason: t('More placing time for tooling, or for scraping a film flush while it is soft.'),
  },
} as const satisfies TradeGroup;

export const floor = {
  dripPh: {
    value: 4.5,
    unit: 'pH',
    source: PRACTICE,
    reason: t('Assumed for dripping juice that is not measured.'),
  },
  edgeMm: {
    value: 10,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Depth of the edge that is cut around a patch.'),
  },
  levelMm: {
    value: 3,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Largest gap under a straight edge.'),
  },
  etchParts: {
    value: 10,
    unit: '1',
    source: PRACTICE,
    reason: t('Parts of water to one part of etch cleaner, by volume.'),
  },
  chaseWidthMm: {
    value: 5,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Width to which a crack in the floor is cut open before it is filled.'),
  },
  chaseDepthMm: {
    value: 15,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Depth to which a crack in the floor is cut open before it is filled.'),
  },
  sealCoats: { value: 2, unit: '1', source: PRACTICE, reason: t('Coats of a sealer.') },
  spreadShare: {
    value: 0.75,
    unit: '1',
    source: PRACTICE,
    reason: t('Share of a coat’s minutes for spreading.'),
  },
  finishShare: {
    value: 0.25,
    unit: '1',
    source: PRACTICE,
    reason: t('Share of a coat’s minutes for brooming or striking off, within its working life.'),
  },
} as const satisfies TradeGroup;

export const concrete = {
  dampMin: {
    value: 30,
    unit: 'min',
    source: PRACTICE,
    reason: t('Longest time from dampening the concrete to placing the mortar.'),
  },
  expansionPerC: {
    value: 1e-5,
    unit: '1/K',
    source: PRACTICE,
    reason: t('Thermal expansion of concrete.'),
  },
  modulusMpa: {
    value: 30_000,
    unit: 'MPa',
    source: PRACTICE,
    reason: t('Stiffness of concrete in a slab.'),
  },
  tensileMpa: {
    value: 2.5,
    unit: 'MPa',
    source: PRACTICE,
    reason: t('Tensile strength of concrete in a slab.'),
  },
  groundRestraint: {
    value: 0.5,
    unit: '1',
    source: PRACTICE,
    reason: t('Share of the movement that the ground restrains.'),
  },
  tripMm: {
    value: 6,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Height of a trip hazard in a walkway.'),
  },
  hairlineMm: {
    value: 1,
    unit: 'mm',
    source: PRACTICE,
    reason: t('A finer crack is not opened: thin resin flows in by itself.'),
  },
  wallOffMm: {
    value: 1,
    unit: 'mm',
    source: PRACTICE,
    reason: t('A chase removes this from each wall, so that the resin meets clean concrete.'),
  },
  breakOutMm: {
    value: 40,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Width for a tool to break a crack out to full depth.'),
  },
  sandKgL: { value: 1.6, unit: 'kg/l', source: PRACTICE, reason: t('Bulk density of dry sand.') },
  rodFactor: {
    value: 1.25,
    unit: '1',
    source: PRACTICE,
    reason: t('A backing rod is wider than the gap by this factor.'),
  },
} as const satisfies TradeGroup;

export const bedding = {
  strikeShare: {
    value: 0.3,
    unit: '1',
    source: PRACTICE,
    reason: t('Time for tamping and striking off, as a share of the filling time.'),
  },
  packedTimes: {
    value: 1.6,
    unit: '1',
    source: PRACTICE,
    reason: t('Packing by hand takes this many times as long as pouring.'),
  },
} as const satisfies TradeGroup;

export const basin = {
  watchMin: {
    value: 30,
    unit: 'min',
    source: PRACTICE,
    reason: t(
      'The crack is watched for leaks this long at each water level while the basin is filled.',
    ),
  },
  portMin: { value: 1.5, unit: 'min', source: PRACTICE, reason: t('Attach one port with paste.') },
  footMl: {
    value: 6,
    unit: 'ml',
    source: PRACTICE,
    reason: t('Paste under the base of one port.'),
  },
} as const satisfies TradeGroup;
