import { t } from '../text/text';
import { PRACTICE, type TradeGroup } from './constant';

export const tank = {
  watchMin: {
    value: 30,
    unit: 'min',
    source: PRACTICE,
    reason: t('The outside of a full tank is watched for leaks this long.'),
  },
  lapWalls: {
    value: 3,
    unit: '1',
    source: PRACTICE,
    reason: t(
      'The shell is roughened and built up beyond the damage by this multiple of its wall.',
    ),
  },
} as const satisfies TradeGroup;

export const sump = {
  patchMm: {
    value: 4,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Thickness of a patch of two wetted-out cloths.'),
  },
  cloths: {
    value: 2,
    unit: '1',
    source: PRACTICE,
    reason: t('Glass cloths in a patch, wetted out one on top of the other.'),
  },
  lapMm: { value: 50, unit: 'mm', source: PRACTICE, reason: t('Overlap beyond the damage.') },
  carryMin: {
    value: 2,
    unit: 'min',
    source: PRACTICE,
    reason: t('Carry a patch and slide it on.'),
  },
  setMin: { value: 2, unit: 'min', source: PRACTICE, reason: t('Set a fitting and twist it.') },
} as const satisfies TradeGroup;

export const panel = {
  deepShare: {
    value: 0.5,
    unit: '1',
    source: PRACTICE,
    reason: t('Deeper damage of a panel is structural, not cosmetic.'),
  },
  topUm: {
    value: 80,
    unit: 'µm',
    source: PRACTICE,
    reason: t(
      'Dry topcoat over a filled place, in coats no thicker than its card allows for the slope.',
    ),
  },
  gritFrom: {
    value: 320,
    unit: 'grit',
    source: PRACTICE,
    reason: t('First paper for the topcoat.'),
  },
  gritTo: {
    value: 1500,
    unit: 'grit',
    source: PRACTICE,
    reason: t('Last paper before polishing.'),
  },
  gritStep: {
    value: 2,
    unit: '1',
    source: PRACTICE,
    reason: t('Largest step from one paper to the next finer one, as a factor.'),
  },
} as const satisfies TradeGroup;

export const board = {
  wipeTimes: {
    value: 10,
    unit: '1',
    source: PRACTICE,
    reason: t('Area to clean with alcohol, as a multiple of the milled area.'),
  },
  lampSetMin: {
    value: 2,
    unit: 'min',
    source: PRACTICE,
    reason: t('Set up the lamp over one burned area, for each pass.'),
  },
} as const satisfies TradeGroup;
