import { t } from '../text/text';
import { PRACTICE, type TradeGroup } from './constant';

export const pace = {
  humidPct: {
    value: 75,
    unit: '%',
    source: PRACTICE,
    reason: t('Above this humidity a flash-off gets double time.'),
  },
  unknownDryMin: {
    value: 15,
    unit: 'min',
    source: PRACTICE,
    reason: t('Planned drying time if no card of an aid is available: its maker’s sheet decides.'),
  },
  handTimes: {
    value: 2.5,
    unit: '1',
    source: PRACTICE,
    reason: t('A hand tool takes this many times longer than a power tool.'),
  },
  nonsparkTimes: {
    value: 1.4,
    unit: '1',
    source: PRACTICE,
    reason: t('A non-sparking tool takes this many times longer than a power tool.'),
  },
  abradeShare: {
    value: 0.4,
    unit: '1',
    source: PRACTICE,
    reason: t(
      'Abrading a coat that has become shiny takes this share of the time for grading bare metal.',
    ),
  },
  moreHands: {
    value: 0.7,
    unit: '1',
    source: PRACTICE,
    reason: t('What one more person adds to the rate: less than the first.'),
  },
} as const satisfies TradeGroup;

export const film = {
  usualWetUm: {
    value: 200,
    unit: 'µm',
    source: PRACTICE,
    reason: t('Wet film of a card that gives none.'),
  },
  combMm: {
    value: 2,
    unit: 'mm',
    source: PRACTICE,
    reason: t('The deepest tooth of a wet-film comb.'),
  },
} as const satisfies TradeGroup;

export const strength = {
  thinShare: {
    value: 0.5,
    unit: '1',
    source: PRACTICE,
    reason: t('With less of the sound wall left, an engineer judges the pressure boundary.'),
  },
  thinMm: {
    value: 3,
    unit: 'mm',
    source: PRACTICE,
    reason: t('With less wall left, an engineer judges the pressure boundary.'),
  },
  bondShare: {
    value: 0.25,
    unit: '1',
    source: PRACTICE,
    reason: t('Working share of the lap shear strength: a quarter, for bonds made on site.'),
  },
  leastThicknessShare: {
    value: 0.8,
    unit: '1',
    source: PRACTICE,
    reason: t('Least measured thickness as a share of the planned one.'),
  },
  proofTimes: {
    value: 1.25,
    unit: '1',
    source: PRACTICE,
    reason: t('Proof load as a multiple of the service load.'),
  },
  gasBar: {
    value: 0.5,
    unit: 'bar',
    source: PRACTICE,
    reason: t('Above this pressure gas stores more energy than liquid.'),
  },
  chlorideCracksC: {
    value: 60,
    unit: '°C',
    source: PRACTICE,
    reason: t('Chlorides pit stainless steel at any temperature; above this they also crack it.'),
  },
  hotWashC: {
    value: 70,
    unit: '°C',
    source: PRACTICE,
    reason: t('Assumed temperature of a hot wash.'),
  },
} as const satisfies TradeGroup;

export const cure = {
  overnightMin: {
    value: 720,
    unit: 'min',
    source: PRACTICE,
    reason: t('“Overnight” between coats.'),
  },
  heaterC: { value: 15, unit: 'K', source: PRACTICE, reason: t('Degrees that a heater can add.') },
  heldSdC: {
    value: 0.5,
    unit: 'K',
    source: PRACTICE,
    reason: t('Spread of a heater with thermostat.'),
  },
  earlyShare: {
    value: 0.5,
    unit: '1',
    source: PRACTICE,
    reason: t('Share of the usual time to the next look if the card is only fair.'),
  },
} as const satisfies TradeGroup;

const LOOK = t('Days from the return to service to the next look.');
export const look = {
  F1Lasting: { value: 180, unit: 'd', source: PRACTICE, reason: LOOK },
  F1Stopgap: { value: 14, unit: 'd', source: PRACTICE, reason: LOOK },
  F2Lasting: { value: 90, unit: 'd', source: PRACTICE, reason: LOOK },
  F2Stopgap: { value: 7, unit: 'd', source: PRACTICE, reason: LOOK },
  F3Lasting: { value: 60, unit: 'd', source: PRACTICE, reason: LOOK },
  F3Stopgap: { value: 7, unit: 'd', source: PRACTICE, reason: LOOK },
  F4Lasting: { value: 90, unit: 'd', source: PRACTICE, reason: LOOK },
  F4Stopgap: { value: 7, unit: 'd', source: PRACTICE, reason: LOOK },
  F5Lasting: { value: 180, unit: 'd', source: PRACTICE, reason: LOOK },
  F5Stopgap: { value: 14, unit: 'd', source: PRACTICE, reason: LOOK },
  F6Lasting: { value: 30, unit: 'd', source: PRACTICE, reason: LOOK },
  F6Stopgap: { value: 3, unit: 'd', source: PRACTICE, reason: LOOK },
  F7Lasting: { value: 30, unit: 'd', source: PRACTICE, reason: LOOK },
  F7Stopgap: { value: 3, unit: 'd', source: PRACTICE, reason: LOOK },
  F8Lasting: { value: 180, unit: 'd', source: PRACTICE, reason: LOOK },
  F8Stopgap: { value: 30, unit: 'd', source: PRACTICE, reason: LOOK },
  F9Lasting: { value: 180, unit: 'd', source: PRACTICE, reason: LOOK },
  F9Stopgap: { value: 30, unit: 'd', source: PRACTICE, reason: LOOK },
  F10Lasting: { value: 180, unit: 'd', source: PRACTICE, reason: LOOK },
  F10Stopgap: { value: 30, unit: 'd', source: PRACTICE, reason: LOOK },
  F11Lasting: { value: 180, unit: 'd', source: PRACTICE, reason: LOOK },
  F11Stopgap: { value: 30, unit: 'd', source: PRACTICE, reason: LOOK },
  F12Lasting: { value: 120, unit: 'd', source: PRACTICE, reason: LOOK },
  F12Stopgap: { value: 7, unit: 'd', source: PRACTICE, reason: LOOK },
  F13Lasting: { value: 120, unit: 'd', source: PRACTICE, reason: LOOK },
  F13Stopgap: { value: 14, unit: 'd', source: PRACTICE, reason: LOOK },
  F14Lasting: { value: 180, unit: 'd', source: PRACTICE, reason: LOOK },
  F14Stopgap: { value: 30, unit: 'd', source: PRACTICE, reason: LOOK },
  F15Lasting: { value: 180, unit: 'd', source: PRACTICE, reason: LOOK },
  F15Stopgap: { value: 30, unit: 'd', source: PRACTICE, reason: LOOK },
  F16Lasting: { value: 180, unit: 'd', source: PRACTICE, reason: LOOK },
  F16Stopgap: { value: 30, unit: 'd', source: PRACTICE, reason: LOOK },
} as const satisfies TradeGroup;

const SET_UP = t('Set up to prepare a surface of this kind.');
const WIPED = t('Area of this kind that one person wipes in a minute.');
const GRADED = t('Area of this kind that one person brings to its grade in a minute.');
export const prepRate = {
  metalSetUpMin: { value: 15, unit: 'min', source: PRACTICE, reason: SET_UP },
  metalWipeCm2Min: { value: 60, unit: 'cm²/min', source: PRACTICE, reason: WIPED },
  metalGradeCm2Min: { value: 20, unit: 'cm²/min', source: PRACTICE, reason: GRADED },
  concreteSetUpMin: { value: 15, unit: 'min', source: PRACTICE, reason: SET_UP },
  concreteWipeCm2Min: { value: 400, unit: 'cm²/min', source: PRACTICE, reason: WIPED },
  concreteGradeCm2Min: { value: 250, unit: 'cm²/min', source: PRACTICE, reason: GRADED },
  rubberSetUpMin: { value: 8, unit: 'min', source: PRACTICE, reason: SET_UP },
  rubberWipeCm2Min: { value: 80, unit: 'cm²/min', source: PRACTICE, reason: WIPED },
  rubberGradeCm2Min: { value: 40, unit: 'cm²/min', source: PRACTICE, reason: GRADED },
  plasticSetUpMin: { value: 8, unit: 'min', source: PRACTICE, reason: SET_UP },
  plasticWipeCm2Min: { value: 60, unit: 'cm²/min', source: PRACTICE, reason: WIPED },
  plasticGradeCm2Min: { value: 40, unit: 'cm²/min', source: PRACTICE, reason: GRADED },
  filmSetUpMin: { value: 8, unit: 'min', source: PRACTICE, reason: SET_UP },
  filmWipeCm2Min: { value: 80, unit: 'cm²/min', source: PRACTICE, reason: WIPED },
  filmGradeCm2Min: { value: 60, unit: 'cm²/min', source: PRACTICE, reason: GRADED },
  laminateSetUpMin: { value: 10, unit: 'min', source: PRACTICE, reason: SET_UP },
  laminateWipeCm2Min: { value: 10, unit: 'cm²/min', source: PRACTICE, reason: WIPED },
  laminateGradeCm2Min: { value: 0.5, unit: 'cm²/min', source: PRACTICE, reason: GRADED },
} as const satisfies TradeGroup;
