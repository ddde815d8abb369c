import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, refuse, worked, type Answer } from '../calc/calc';
import { named } from '../calc/field';
import { atLeastZero, ceil, floor, positive } from '../calc/number';

export const TyreCoverInput = z.strictObject({
  crackLengthMm: positive().meta(named(t('Crack length'), 'mm')),
  crackWidthMm: atLeastZero().meta(named(t('Crack width'), 'mm')),
  marginMm: atLeastZero().meta(named(t('Margin each side'), 'mm')),
  sheetLengthMm: positive().meta(named(t('Sheet length'), 'mm')),
  sheetWidthMm: positive().meta(named(t('Sheet width'), 'mm')),
  dropPitchMm: positive().meta(named(t('A drop every'), 'mm')),
});
export type TyreCoverInput = z.output<typeof TyreCoverInput>;
export interface TyreCover {
  stripWidthMm: number;
  stripsPerSheet: number;
  strips: number;
  sheets: number;
  marginGotMm: number;
  drops: number;
}

/**
 * Strips of cover sheet laid end to end over a sidewall crack with a margin all round, and drops of adhesive at a
 * pitch. All mm. Refuses a crack that, with its margins, is wider than the sheet.
 */
export function tyreCover(input: TyreCoverInput): Answer<TyreCover> {
  const { crackLengthMm, crackWidthMm, marginMm, sheetLengthMm, sheetWidthMm, dropPitchMm } = input;
  const needMm = crackWidthMm + 2 * marginMm;
  const coverMm = crackLengthMm + 2 * marginMm;
  if (needMm > sheetWidthMm)
    return refuse(
      t(
        'The crack and its margins are {need} mm wide; the sheet is {sheetWidth} mm. Take a wider sheet.',
        { need: formatFigure(needMm), sheetWidth: formatFigure(sheetWidthMm) },
      ),
    );
  const stripsPerSheet = needMm > 0 ? floor(sheetWidthMm / needMm) : 1;
  const strips = Math.max(1, ceil(coverMm / sheetLengthMm));
  const sheets = ceil(strips / stripsPerSheet);
  const stripWidthMm = sheetWidthMm / Math.min(stripsPerSheet, strips);
  const marginGotMm = (stripWidthMm - crackWidthMm) / 2;
  const drops = ceil(coverMm / dropPitchMm) * ceil(stripWidthMm / dropPitchMm);
  const working = [
    line({
      symbol: 'b',
      label: t('width needed'),
      expression: `${formatFigure(crackWidthMm)} + 2·${formatFigure(marginMm)}`,
      value: needMm,
      unit: 'mm',
      source: t('card margin'),
    }),
    line({
      symbol: 'ns',
      label: t('strips a sheet gives'),
      expression: t('{sheetWidth}/{need}, rounded down', {
        sheetWidth: formatFigure(sheetWidthMm),
        need: formatFigure(needMm),
      }),
      value: stripsPerSheet,
    }),
    line({
      symbol: 'n',
      label: t('strips end to end'),
      expression: t('({crackLength} + 2·{margin})/{sheetLength}, rounded up', {
        crackLength: formatFigure(crackLengthMm),
        margin: formatFigure(marginMm),
        sheetLength: formatFigure(sheetLengthMm),
      }),
      value: strips,
    }),
    line({
      symbol: 'N',
      label: t('sheets'),
      expression: t('{strips}/{stripsPerSheet}, rounded up', { strips, stripsPerSheet }),
      value: sheets,
    }),
    line({
      symbol: 'm',
      label: t('margin it gets'),
      expression: `(w − ${formatFigure(crackWidthMm)})/2`,
      value: marginGotMm,
      unit: 'mm',
    }),
    line({
      symbol: 'd',
      label: t('drops of adhesive'),
      expression: `⌈${formatFigure(coverMm)}/${formatFigure(dropPitchMm)}⌉·⌈${formatFigure(stripWidthMm)}/${formatFigure(dropPitchMm)}⌉`,
      value: drops,
    }),
    line({
      symbol: 'w',
      label: t('strip width'),
      expression: `${formatFigure(sheetWidthMm)}/min(ns, n)`,
      value: stripWidthMm,
      unit: 'mm',
    }),
  ];
  return worked({ stripWidthMm, stripsPerSheet, strips, sheets, marginGotMm, drops }, working);
}

export const tyreCoverCalc = defineCalc({
  name: 'tyre-cover',
  purpose: t('Strips, sheets and drops for a sidewall cover.'),
  input: TyreCoverInput,
  run: tyreCover,
  result: {
    stripWidthMm: named(t('Strip width'), 'mm'),
    stripsPerSheet: named(t('Strips a sheet')),
    strips: named(t('Strips')),
    sheets: named(t('Sheets')),
    marginGotMm: named(t('Margin got'), 'mm'),
    drops: named(t('Drops')),
  },
  formula: [
    t('strips = (crack + 2·margin)/sheet length, rounded up'),
    t('sheets = strips/⌊sheet width/(crack width + 2·margin)⌋, rounded up'),
    t('drops = ⌈length/pitch⌉·⌈strip width/pitch⌉'),
  ],
  source: t('Layout on the sheet.'),
  limits: t(
    'Covers on off-road sidewalls only. Cord showing, or an injury near bead or shoulder: a licensed tyre shop.',
  ),
  example: {
    crackLengthMm: 256,
    crackWidthMm: 3,
    marginMm: 11,
    sheetLengthMm: 110,
    sheetWidthMm: 117,
    dropPitchMm: 19,
  },
});
