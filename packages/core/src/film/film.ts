import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { count, lossPct, positive } from '../calc/number';

export const FilmInput = z.strictObject({
  areaM2: positive().meta(named(t('Area'), 'm²')),
  dftUm: positive().meta(named(t('Dry film'), 'µm')),
  volumeSolidsPct: z
    .number()
    .gt(0)
    .min(1e-6)
    .max(100)
    .meta(named(t('Volume solids'), '%')),
  lossPct: lossPct()
    .default(0)
    .meta(named(t('Lost in the air'), '%')),
  coats: count()
    .max(1000)
    .default(1)
    .meta(named(t('Coats'))),
});
export type FilmInput = z.output<typeof FilmInput>;
export interface Film {
  wftUm: number;
  litres: number;
  coverageM2L: number;
}

/**
 * Wet film per coat (µm), litres for all coats, and theoretical coverage (m²/l per coat) for a total dry film of
 * `dftUm`. Volume solids and loss in percent. Never refuses.
 */
export function film(input: FilmInput): Worked<Film> {
  const { areaM2, dftUm, volumeSolidsPct, lossPct, coats } = input;
  const solids = volumeSolidsPct / 100;
  const perCoat = dftUm / coats;
  const wftUm = perCoat / solids;
  const litres = (areaM2 * (dftUm / 1000)) / solids / (1 - lossPct / 100);
  const coverageM2L = (1000 * solids) / perCoat;
  const working = [
    line({
      symbol: 'd',
      label: t('dry film per coat'),
      expression: `${formatFigure(dftUm)}/${coats}`,
      value: perCoat,
      unit: 'µm',
    }),
    line({
      symbol: 'C',
      label: t('coverage per coat, no loss'),
      expression: `1000·${formatFigure(solids)}/${formatFigure(perCoat)}`,
      value: coverageM2L,
      unit: 'm²/l',
      source: t('volume solids'),
    }),
    line({
      symbol: 'V',
      label: t('litres, all coats'),
      expression: `${formatFigure(areaM2)}·${formatFigure(dftUm)}/1000/${formatFigure(solids)}/(1 − ${formatFigure(lossPct)}/100)`,
      value: litres,
      unit: 'l',
    }),
    line({
      symbol: 'WFT',
      label: t('wet film per coat'),
      expression: `${formatFigure(perCoat)}/${formatFigure(solids)}`,
      value: wftUm,
      unit: 'µm',
      source: t('volume solids'),
    }),
  ];
  return worked({ wftUm, litres, coverageM2L }, working);
}

export const filmCalc = defineCalc({
  name: 'film',
  purpose: t('Wet film, litres and coverage for a dry film thickness.'),
  input: FilmInput,
  run: film,
  result: {
    wftUm: named(t('Wet film'), 'µm'),
    litres: named(t('Litres'), 'l'),
    coverageM2L: named(t('Coverage'), 'm²/l'),
  },
  formula: [
    'WFT = (DFT/coats)/VS',
    'coverage = 1000·VS/(DFT/coats)',
    'litres = area·DFT/1000/VS/(1 − loss)',
  ],
  source: t('Volume solids from the card.'),
  limits: t('Flat area; a profile takes more, see shape-volume.'),
  example: { areaM2: 2.4, dftUm: 500, volumeSolidsPct: 96, lossPct: 10, coats: 2 },
});
