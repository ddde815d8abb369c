import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { ceil, count, floor, positive } from '../calc/number';

export const WrapLayInput = z.strictObject({
  outsideDiameterMm: positive().meta(named(t('Outside diameter'), 'mm')),
  axialLengthMm: positive().meta(named(t('Axial length'), 'mm')),
  tapeWidthMm: positive().meta(named(t('Tape width'), 'mm')),
  overlapPct: z
    .number()
    .min(0)
    .lt(100)
    .max(99.9999)
    .meta(named(t('Overlap'), '%')),
  layers: count()
    .max(1000)
    .meta(named(t('Layers'))),
  plyMm: positive().meta(named(t('Ply'), 'mm')),
  rollLengthM: positive().meta(named(t('Roll length'), 'm')),
});
export type WrapLayInput = z.output<typeof WrapLayInput>;
export interface WrapLay {
  passes: number;
  turnsPerPass: number;
  metres: number;
  rolls: number;
  thicknessMm: number;
}

/**
 * Tape for a spiral wrap with a square turn at each end: passes, turns, metres and rolls. mm in; overlap in percent of
 * the tape's width. A pass is sure of ⌊1/(1 − overlap)⌋ layers everywhere. Never refuses.
 */
export function wrapLay(input: WrapLayInput): Worked<WrapLay> {
  const { outsideDiameterMm, axialLengthMm, tapeWidthMm, overlapPct, layers, plyMm, rollLengthM } =
    input;
  const open = 1 - overlapPct / 100;
  const sure = floor(1 / open);
  const passes = ceil(layers / sure);
  const advanceMm = tapeWidthMm * open;
  const helical = Math.max(0, (axialLengthMm - tapeWidthMm) / advanceMm);
  const turnsPerPass = helical + 2;
  const meanMm = outsideDiameterMm + layers * plyMm;
  const roundMm = Math.PI * meanMm;
  const metres = (passes * (helical * Math.hypot(roundMm, advanceMm) + 2 * roundMm)) / 1000;
  const rolls = ceil(metres / rollLengthM);
  const thicknessMm = layers * plyMm;
  const working = () => [
    line({
      symbol: 'ls',
      label: t('layers a pass is sure of'),
      expression: t('1/(1 − {overlap} %), rounded down', { overlap: formatFigure(overlapPct) }),
      value: sure,
    }),
    line({
      symbol: 'a',
      label: t('advance a turn'),
      expression: `${formatFigure(tapeWidthMm)}·(1 − ${formatFigure(overlapPct)} %)`,
      value: advanceMm,
      unit: 'mm',
    }),
    line({
      symbol: 'nt',
      label: t('turns a pass'),
      expression: `(${formatFigure(axialLengthMm)} − ${formatFigure(tapeWidthMm)})/a + 2 square`,
      value: turnsPerPass,
    }),
    line({
      symbol: 't',
      label: t('thickness'),
      expression: `${layers}·${formatFigure(plyMm)}`,
      value: thicknessMm,
      unit: 'mm',
      source: 'card',
    }),
    line({
      symbol: 'Dm',
      label: t('mean diameter'),
      expression: `${formatFigure(outsideDiameterMm)} + ${layers}·${formatFigure(plyMm)}`,
      value: meanMm,
      unit: 'mm',
    }),
    line({
      symbol: 'l',
      label: t('tape'),
      expression: 'np·((nt − 2)·√((π·Dm)² + a²) + 2·π·Dm)/1000',
      value: metres,
      unit: 'm',
    }),
    line({
      symbol: 'nr',
      label: t('rolls'),
      expression: t('{metres}/{rollLengthM}, rounded up', {
        metres: formatFigure(metres),
        rollLengthM: formatFigure(rollLengthM),
      }),
      value: rolls,
      unit: '',
      source: 'card',
    }),
    line({
      symbol: 'np',
      label: t('passes'),
      expression: t('{layers}/{sure}, rounded up', { layers, sure }),
      value: passes,
    }),
  ];
  return worked({ passes, turnsPerPass, metres, rolls, thicknessMm }, working);
}

export const wrapLayCalc = defineCalc({
  name: 'wrap-lay',
  purpose: t('Passes, turns, metres and rolls of tape for a wrap.'),
  input: WrapLayInput,
  run: wrapLay,
  result: {
    passes: named(t('Passes')),
    turnsPerPass: named(t('Turns a pass')),
    metres: named(t('Tape'), 'm'),
    rolls: named(t('Rolls')),
    thicknessMm: named(t('Thickness'), 'mm'),
  },
  formula: [
    t('passes = layers/⌊1/(1 − o)⌋, rounded up'),
    'a = width·(1 − o); turns = (L − width)/a + 2',
    'metres = passes·((turns − 2)·√((π·Dm)² + a²) + 2·π·Dm)/1000',
  ],
  source: t('Spiral of a tape on a cylinder, a square turn at each end.'),
  limits: t('Straight pipe. Bends and tees take more tape; cut and lay them dry first.'),
  example: {
    outsideDiameterMm: 219.1,
    axialLengthMm: 200,
    tapeWidthMm: 100,
    overlapPct: 50,
    layers: 8,
    plyMm: 0.42,
    rollLengthM: 4,
  },
});
