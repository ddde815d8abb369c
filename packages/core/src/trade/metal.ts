import { t } from '../text/text';
import { PRACTICE, type TradeGroup } from './constant';

export const flange = {
  spreadFormer: {
    value: 0.1,
    unit: '1',
    source: PRACTICE,
    reason: t(
      'Share of the placing time to wet the former: a thin ring is spread faster than a cavity is filled.',
    ),
  },
  spreadMetal: {
    value: 0.25,
    unit: '1',
    source: PRACTICE,
    reason: t(
      'Share of the placing time to wet the metal: a thin ring is spread faster than a cavity is filled.',
    ),
  },
  closeMin: {
    value: 3,
    unit: 'min',
    source: PRACTICE,
    reason: t('Pull the tape and close the flange square.'),
  },
  studMin: {
    value: 0.5,
    unit: 'min',
    source: PRACTICE,
    reason: t('Tighten one stud while the flange is closed.'),
  },
  trimMin: {
    value: 3,
    unit: 'min',
    source: PRACTICE,
    reason: t('Trim the excess that is pressed out.'),
  },
  flatMm: {
    value: 0.1,
    unit: 'mm',
    source: PRACTICE,
    reason: t(
      'Flatness of a sealing face: a feeler gauge of this thickness must not fit under the straight edge.',
    ),
  },
} as const satisfies TradeGroup;

export const rebuild = {
  thinWallMm: {
    value: 3,
    unit: 'mm',
    source: PRACTICE,
    reason: t(
      'Least wall that still carries the pressure. With less, the repair material would have to carry it.',
    ),
  },
  thinLiningMm: {
    value: 1.5,
    unit: 'mm',
    source: PRACTICE,
    reason: t('A thinner lining is measured and tested for pinholes.'),
  },
  closeMin: {
    value: 4,
    unit: 'min',
    source: PRACTICE,
    reason: t('Close the former around one shaft seat.'),
  },
} as const satisfies TradeGroup;

export const casting = {
  lapWalls: {
    value: 3,
    unit: '1',
    source: PRACTICE,
    reason: t('The build extends over this many wall thicknesses of sound metal on each side.'),
  },
  largeShare: {
    value: 0.5,
    unit: '1',
    source: PRACTICE,
    reason: t('A larger loss of a loaded wall is structural damage, not a matter of shape.'),
  },
  tackEachMm: {
    value: 60,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Length of break that is tacked in one operation.'),
  },
  proofMin: { value: 5, unit: 'min', source: PRACTICE, reason: t('Holding time of a proof load.') },
  beadMm2: {
    value: 6,
    unit: 'mm²',
    source: PRACTICE,
    reason: t('Cross-section of the bead of tack adhesive and powder along a break.'),
  },
  wetMm: {
    value: 0.3,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Thickness of the wetting coat that is brushed into the profile.'),
  },
} as const satisfies TradeGroup;

export const leak = {
  largeShare: {
    value: 0.25,
    unit: '1',
    source: PRACTICE,
    reason: t('A larger opening of the bore needs an engineer’s approval.'),
  },
  replaceShare: {
    value: 0.5,
    unit: '1',
    source: PRACTICE,
    reason: t('With a larger opening the wrap would have to replace the pipe.'),
  },
  plugTimes: {
    value: 3,
    unit: '1',
    source: PRACTICE,
    reason: t('A plug has several times the volume of the hole.'),
  },
  extentMm: {
    value: 100,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Least extent of a low-pressure wrap beyond the leak on both sides.'),
  },
  soakMl: {
    value: 3000,
    unit: 'ml',
    source: PRACTICE,
    reason: t('Clean water in which a wrap is soaked.'),
  },
  pressMin: {
    value: 6,
    unit: 'min',
    source: PRACTICE,
    reason: t('Press and twist the wrap until it stops foaming.'),
  },
} as const satisfies TradeGroup;

export const wrap = {
  carbonMpa: {
    value: 40_000,
    unit: 'MPa',
    source: PRACTICE,
    reason: t('A stiffer laminate is carbon, which causes galvanic corrosion on wet steel.'),
  },
  primeMm: {
    value: 0.25,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Resin that is brushed into the profile before the first ply.'),
  },
  compactShare: {
    value: 0.5,
    unit: '1',
    source: PRACTICE,
    reason: t('Time to roll and wet out a ply, as a share of the time to lay it.'),
  },
  glassPlyMm: {
    value: 0.45,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Ply of a glass tape whose card gives none.'),
  },
  glassResinShare: {
    value: 0.55,
    unit: '1',
    source: PRACTICE,
    reason: t('Share of resin in a glass tape whose card gives none.'),
  },
  glassWidthMm: {
    value: 150,
    unit: 'mm',
    source: PRACTICE,
    reason: t('Width of a glass tape whose card gives none.'),
  },
  allowableMpa: {
    value: 118,
    unit: 'MPa',
    source: t('ASME B31.3, usual line pipe'),
    reason: t(
      'Allowable stress of line-pipe steel. Where pressure decides, the engineer’s value governs.',
    ),
  },
  steelModulusMpa: {
    value: 205_000,
    unit: 'MPa',
    source: t('ASME B31.3, usual line pipe'),
    reason: t('Stiffness of line-pipe steel.'),
  },
  steelExpansionPerC: {
    value: 1.2e-5,
    unit: '1/K',
    source: t('ASME B31.3, usual line pipe'),
    reason: t('Thermal expansion of line-pipe steel.'),
  },
  plainLayers: {
    value: 6,
    unit: '1',
    source: PRACTICE,
    reason: t('Layers of a plain low-pressure wrap whose card names no minimum.'),
  },
  halfLapPct: {
    value: 50,
    unit: '%',
    source: PRACTICE,
    reason: t('Overlap of one turn with the next where the card gives none.'),
  },
  elbowFactor: {
    value: 1.2,
    unit: '1',
    source: t('ISO 24817'),
    reason: t('More layers on an elbow than on a straight pipe.'),
  },
  teeFactor: {
    value: 2,
    unit: '1',
    source: t('ISO 24817'),
    reason: t('More layers on a tee than on a straight pipe.'),
  },
  leastDesignBar: {
    value: 0.1,
    unit: 'bar',
    source: PRACTICE,
    reason: t('The method needs a pressure: an open line is designed for this.'),
  },
} as const satisfies TradeGroup;
