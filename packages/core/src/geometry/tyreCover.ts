import { z } from 'zod';
import { defineCalc, formatFigure, line, refuse, worked, type Answer } from '../calc/calc';
import { named } from '../calc/field';
import { atLeastZero, ceil, floor, positive } from '../calc/number';

export const TyreCoverInput = z.strictObject({
  crackLengthMm: positive().meta(named('Crack length', 'mm')),
  crackWidthMm: atLeastZero().meta(named('Crack width', 'mm')),
  marginMm: atLeastZero().meta(named('Margin each side', 'mm')),
  sheetLengthMm: positive().meta(named('Sheet length', 'mm')),
  sheetWidthMm: positive().meta(named('Sheet width', 'mm')),
  dropPitchMm: positive().meta(named('A drop every', 'mm')),
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
      `The crack and its margins are ${formatFigure(needMm)} mm wide; the sheet is ${formatFigure(sheetWidthMm)} mm. Take a wider sheet.`,
    );
  const stripsPerSheet = needMm > 0 ? floor(sheetWidthMm / needMm) : 1;
  const strips = Math.max(1, ceil(coverMm / sheetLengthMm));
  const sheets = ceil(strips / stripsPerSheet);
  const stripWidthMm = sheetWidthMm / Math.min(stripsPerSheet, strips);
  const marginGotMm = (stripWidthMm - crackWidthMm) / 2;
  const drops = ceil(coverMm / dropPitchMm) * ceil(stripWidthMm / dropPitchMm);
  const working = [
    line(
      'b',
      'width needed',
      `${formatFigure(crackWidthMm)} + 2·${formatFigure(marginMm)}`,
      needMm,
      'mm',
      'card margin',
    ),
    line(
      'ns',
      'strips a sheet gives',
      `${formatFigure(sheetWidthMm)}/${formatFigure(needMm)}, rounded down`,
      stripsPerSheet,
    ),
    line(
      'n',
      'strips end to end',
      `(${formatFigure(crackLengthMm)} + 2·${formatFigure(marginMm)})/${formatFigure(sheetLengthMm)}, rounded up`,
      strips,
    ),
    line('N', 'sheets', `${strips}/${stripsPerSheet}, rounded up`, sheets),
    line('m', 'margin it gets', `(w − ${formatFigure(crackWidthMm)})/2`, marginGotMm, 'mm'),
    line(
      'd',
      'drops of adhesive',
      `⌈${formatFigure(coverMm)}/${formatFigure(dropPitchMm)}⌉·⌈${formatFigure(stripWidthMm)}/${formatFigure(dropPitchMm)}⌉`,
      drops,
    ),
    line('w', 'strip width', `${formatFigure(sheetWidthMm)}/min(ns, n)`, stripWidthMm, 'mm'),
  ];
  return worked({ stripWidthMm, stripsPerSheet, strips, sheets, marginGotMm, drops }, working);
}

export const tyreCoverCalc = defineCalc({
  name: 'tyre-cover',
  purpose: 'Strips, sheets and drops for a sidewall cover.',
  input: TyreCoverInput,
  run: tyreCover,
  result: {
    stripWidthMm: named('Strip width', 'mm'),
    stripsPerSheet: named('Strips a sheet'),
    strips: named('Strips'),
    sheets: named('Sheets'),
    marginGotMm: named('Margin got', 'mm'),
    drops: named('Drops'),
  },
  formula: [
    'strips = (crack + 2·margin)/sheet length, rounded up',
    'sheets = strips/⌊sheet width/(crack width + 2·margin)⌋, rounded up',
    'drops = ⌈length/pitch⌉·⌈strip width/pitch⌉',
  ],
  source: 'Layout on the sheet.',
  limits:
    'Covers on off-road sidewalls only. Cord showing, or an injury near bead or shoulder: a licensed tyre shop.',
  example: {
    crackLengthMm: 256,
    crackWidthMm: 3,
    marginMm: 11,
    sheetLengthMm: 110,
    sheetWidthMm: 117,
    dropPitchMm: 19,
  },
});
