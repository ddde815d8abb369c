import { t } from '../text/text';
import { z } from 'zod';
import {
  defineCalc,
  formatFigure,
  line,
  refuse,
  worked,
  type Answer,
  type WorkingLine,
} from '../calc/calc';
import { named } from '../calc/field';
import { atLeastZero, ceil, positive, share, tempC } from '../calc/number';
import { CurePoints, cureTime } from '../cure/cureTime';
import { massStretch } from '../cure/workingLife';

const MOST_BATCHES = 1000;

/** The trade's usual share of a pail that is filled, and of a working life that is used. */
export const USUAL_SHARES = { vesselFill: 0.75, useFraction: 0.8 } as const;

export const BatchPlanInput = z.strictObject({
  totalMl: positive().meta(named(t('To mix'), 'ml')),
  densityGml: positive().meta(named(t('Density'), 'g/ml')),
  lifePoints: CurePoints.meta(named(t('Card’s working life'))),
  tempC: tempC().meta(named(t('Temperature'), '°C')),
  refMassG: positive().meta(named(t('Card’s reference mass'), 'g')),
  massExponent: z
    .number()
    .min(0)
    .max(1)
    .meta(named(t('Mass exponent'))),
  mixMinutes: atLeastZero().meta(named(t('Mixing'), 'min')),
  useFraction: share()
    .default(USUAL_SHARES.useFraction)
    .meta(named(t('Usable share of life'))),
  applyMlPerMin: positive().meta(named(t('Pace'), 'ml/min')),
  vesselMl: positive().meta(named(t('Pail'), 'ml')),
  vesselFill: share()
    .default(USUAL_SHARES.vesselFill)
    .meta(named(t('Fill of the pail'))),
  wholeKitMl: positive()
    .optional()
    .meta(named(t('Whole kit'), 'ml')),
});
export type BatchPlanInput = z.output<typeof BatchPlanInput>;
export type BatchLimit = 'total' | 'vessel' | 'life' | 'kit';
export interface BatchPlan {
  batches: number;
  batchMl: number;
  batchLifeMin: number;
  minutesToPlace: number;
  limit: BatchLimit;
}

/** Largest volume that can be placed in time, at most `capMl`; 0 if none. Spare time falls as volume rises. */
function largestInTime(inTime: (ml: number) => boolean, capMl: number): number {
  if (inTime(capMl)) return capMl;
  let lo = 0;
  let hi = capMl;
  for (let i = 0; i < 60 && hi - lo > hi * 1e-13; i++) {
    const mid = (lo + hi) / 2;
    if (inTime(mid)) lo = mid;
    else hi = mid;
  }
  return lo;
}

/** The lines of working of the batch plan. */
const batchLines = (
  {
    totalMl,
    wholeKitMl,
    applyMlPerMin,
    mixMinutes,
    useFraction,
    vesselMl,
    vesselFill,
  }: BatchPlanInput,
  made: BatchPlan & { vesselMaxMl: number; maxMl: number; inTimeMl: number },
): WorkingLine[] => [
  line({
    symbol: 'Vp',
    label: t('most the pail takes'),
    expression: `${formatFigure(vesselMl)}·${formatFigure(vesselFill)}`,
    value: made.vesselMaxMl,
    unit: 'ml',
    source: 'site',
  }),
  line({
    symbol: 'Vt',
    label: t('most that can be placed in time'),
    expression: `largest V with V/${formatFigure(applyMlPerMin)} + ${formatFigure(mixMinutes)} ≤ ${formatFigure(useFraction)}·life(V)`,
    value: made.inTimeMl,
    unit: 'ml',
    source: t('working life falls as the batch grows'),
  }),
  line({
    symbol: 'Vb',
    label: t('batch'),
    expression: wholeKitMl
      ? t('the whole kit')
      : t('{totalMl} in equal batches', { totalMl: formatFigure(totalMl) }),
    value: made.batchMl,
    unit: 'ml',
  }),
  line({
    symbol: 'L',
    label: t('working life of one batch'),
    expression: t('at its own mass'),
    value: made.batchLifeMin,
    unit: 'min',
    source: t('card, mass rule'),
  }),
  line({
    symbol: 'tp',
    label: t('minutes to place it'),
    expression: `${formatFigure(made.batchMl)}/${formatFigure(applyMlPerMin)}`,
    value: made.minutesToPlace,
    unit: 'min',
    source: t('site pace'),
  }),
  line({
    symbol: 'n',
    label: t('batches, limit: {limit}', { limit: made.limit }),
    expression: t('{totalMl}/{wholeKitMl}, rounded up', {
      totalMl: formatFigure(totalMl),
      wholeKitMl: formatFigure(wholeKitMl ?? made.maxMl),
    }),
    value: made.batches,
  }),
];

/**
 * Splits a total (ml) into equal batches that fit the vessel and can be placed within the usable share of their own
 * working life at today's temperature. Whole kits are never split. Refuses if not even a small batch fits, above 1000
 * batches, or outside the card's temperatures.
 */
export function batchPlan(input: BatchPlanInput): Answer<BatchPlan> {
  const { totalMl, applyMlPerMin, mixMinutes, useFraction, wholeKitMl } = input;
  const reach = cureTime({ points: input.lifePoints, tempC: input.tempC });
  if (!reach.ok) return reach;
  const vesselMaxMl = input.vesselMl * input.vesselFill;
  const lifeOf = (ml: number) =>
    reach.minutes * massStretch(ml * input.densityGml, input.refMassG, input.massExponent);
  const inTime = (ml: number) => ml / applyMlPerMin + mixMinutes <= useFraction * lifeOf(ml);
  const mostInTime = () => largestInTime(inTime, Math.max(vesselMaxMl, wholeKitMl ?? 0));
  // A job that fits one vessel and one batch needs no search; its working is made when read.
  const atOnce = wholeKitMl === undefined && totalMl <= vesselMaxMl && inTime(totalMl);
  const lifeMaxMl = atOnce ? totalMl : mostInTime();
  if (wholeKitMl !== undefined && wholeKitMl > vesselMaxMl) {
    return refuse(
      t(
        'A whole kit of {wholeKitMl} ml does not go in the vessel: it takes {vesselMaxMl} ml. Take a bigger vessel.',
        { wholeKitMl: formatFigure(wholeKitMl), vesselMaxMl: formatFigure(vesselMaxMl) },
      ),
    );
  }
  if (wholeKitMl !== undefined && wholeKitMl > lifeMaxMl) {
    return refuse(
      t(
        'A whole kit of {wholeKitMl} ml cannot be placed within its working life at {temp} °C. Cool it, or place faster.',
        { wholeKitMl: formatFigure(wholeKitMl), temp: formatFigure(input.tempC) },
      ),
    );
  }
  const maxMl = atOnce ? totalMl : Math.min(vesselMaxMl, lifeMaxMl);
  if (maxMl <= 0) {
    return refuse(
      t(
        'Mixing alone takes {mixMinutes} min; no batch can be placed within its working life at {temp} °C.',
        { mixMinutes: formatFigure(mixMinutes), temp: formatFigure(input.tempC) },
      ),
    );
  }
  const batches = Math.max(1, ceil(totalMl / (wholeKitMl ?? maxMl)));
  if (batches > MOST_BATCHES) {
    return refuse(
      t(
        'That is {batches} batches; more than {mostBatches} is not a plan. Place faster, or use a longer-lived material.',
        { batches, mostBatches: MOST_BATCHES },
      ),
    );
  }
  const batchMl = wholeKitMl ?? totalMl / batches;
  const limit: BatchLimit = wholeKitMl
    ? 'kit'
    : totalMl <= maxMl
      ? 'total'
      : lifeMaxMl < vesselMaxMl
        ? 'life'
        : 'vessel';
  const batchLifeMin = lifeOf(batchMl);
  const minutesToPlace = batchMl / applyMlPerMin;
  const working = () => [
    ...reach.working,
    ...batchLines(input, {
      ...{ batches, batchMl, batchLifeMin, minutesToPlace, limit, vesselMaxMl, maxMl },
      inTimeMl: atOnce ? mostInTime() : lifeMaxMl,
    }),
  ];
  return worked({ batches, batchMl, batchLifeMin, minutesToPlace, limit }, working);
}

export const batchPlanCalc = defineCalc({
  name: 'batch-plan',
  purpose: t('Batches sized to the pail, the pace and the working life at today’s temperature.'),
  input: BatchPlanInput,
  run: batchPlan,
  result: {
    batches: named(t('Batches')),
    batchMl: named(t('A batch'), 'ml'),
    batchLifeMin: named(t('Life of a batch'), 'min'),
    minutesToPlace: named(t('Minutes to place'), 'min'),
    limit: named(t('Limited by')),
  },
  formula: [
    t('largest V with V ≤ pail·fill and V/pace + mixing ≤ use·life(V·ρ)'),
    t('n = total/V, rounded up; equal batches'),
  ],
  source: t('The card’s life, the site’s pail and pace.'),
  limits: t('At most 1 000 batches. Whole kits are never split.'),
  example: {
    totalMl: 720,
    densityGml: 2.2,
    lifePoints: [
      { tempC: 10, minutes: 60 },
      { tempC: 20, minutes: 40 },
    ],
    tempC: 17.4,
    refMassG: 500,
    massExponent: 0.4,
    mixMinutes: 4,
    applyMlPerMin: 12,
    vesselMl: 1000,
  },
});
