import { t } from '../text/text';
import { PRACTICE, type TradeGroup } from './constant';

export const belt = {
  mostCutPct: {
    value: 10,
    unit: '%',
    source: PRACTICE,
    reason: t(
      'Share of the belt’s width that may be cut across in the carcass; above it the belt must be spliced.',
    ),
  },
  lapMm: { value: 75, unit: 'mm', source: PRACTICE, reason: t('Usual overlap beyond the hole.') },
  coverMm: {
    value: 3,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Usual thickness of a cover layer.'),
  },
  stripMin: { value: 6, unit: 'min', source: PRACTICE, reason: t('Lay one strip.') },
  stitchMin: { value: 4, unit: 'min', source: PRACTICE, reason: t('Stitch one strip down.') },
  standsMm: {
    value: 5,
    unit: 'mm',
    source: PRACTICE,
    reason: t(
      'A material that can be built thicker than this on a vertical surface is trowelled; any other is poured and levels by itself.',
    ),
  },
  wetUm: {
    value: 150,
    unit: 'µm',
    source: PRACTICE,
    reason: t('Wet film of a cement whose card gives none.'),
  },
  pourHole: {
    value: 0.6,
    unit: '1',
    source: PRACTICE,
    reason: t('Share of the placing time for the hole.'),
  },
  pourCover: {
    value: 0.4,
    unit: '1',
    source: PRACTICE,
    reason: t('Share of the placing time for the cover layer.'),
  },
} as const satisfies TradeGroup;

export const tyre = {
  marginMm: {
    value: 30,
    unit: 'mm',
    source: PRACTICE,
    reason: t('The area around an injury that is buffed, whatever its cover.'),
  },
  overCordsMm: {
    value: 2,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Sound rubber that stays over the cords under a cover.'),
  },
  unmeasuredMm: {
    value: 10,
    unit: 'mm',
    source: PRACTICE,
    reason: t('A deeper injury needs a measurement to the cords.'),
  },
  dropMl: {
    value: 0.1,
    unit: 'ml',
    source: PRACTICE,
    reason: t('Volume of one drop of adhesive.'),
  },
  dropMin: { value: 0.04, unit: 'min', source: PRACTICE, reason: t('Apply one drop.') },
  rollMin: {
    value: 0.8,
    unit: 'min',
    source: PRACTICE,
    reason: t('Press and roll the strip’s share of one drop.'),
  },
  closeShare: {
    value: 1,
    unit: '1',
    source: PRACTICE,
    reason: t('Volume of the bead that closes a crack, as a share of its vee groove.'),
  },
} as const satisfies TradeGroup;

export const crumb = {
  mistMm2: {
    value: 200_000,
    unit: 'mm²',
    source: PRACTICE,
    reason: t('Above this area the trowels are misted with release agent.'),
  },
  tripMm: {
    value: 3,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Largest step at the edge that is not a trip hazard.'),
  },
  rakeShare: {
    value: 0.6,
    unit: '1',
    source: PRACTICE,
    reason: t('Share of the placing time of a batch for raking.'),
  },
  trowelShare: {
    value: 0.4,
    unit: '1',
    source: PRACTICE,
    reason: t('Share of the placing time of a batch for compacting and trowelling.'),
  },
  binderGMl: { value: 1.1, unit: 'g/ml', source: PRACTICE, reason: t('Density of the binder.') },
} as const satisfies TradeGroup;
