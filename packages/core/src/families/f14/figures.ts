import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { type Figure, figureOf } from '../../work/figure';
import { paints, type Rounds, TOP_UM } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ work, tops, fill, main, wetUm }: Rounds): Figure[] => {
  const paths = work.bodies.flatMap((b) => b.body.paths);
  const painted = tops.length > 0 ? tops : fill;
  const ml = painted.reduce((s, r) => s + r.mixMl, 0);
  const lines = painted.flatMap((r) => r.working?.() ?? []);
  const dry = tops[0] ? TOP_UM / tops.length : main.buildMm * 1000;
  return [
    figureOf(
      'wet',
      t('Wet film a coat'),
      wetUm,
      'thinFilm',
      [
        line('DFT', t('dry film a coat'), t('as planned'), dry, 'µm'),
        line(
          'WFT',
          t('wet film a coat'),
          t('DFT/volume solids'),
          wetUm,
          'µm',
          `card ${(tops[0] ?? main).card.code}`,
        ),
      ],
      paths,
    ),
    figureOf(
      'topcoatL',
      paints(work) ? t('Paint') : t('Topcoat'),
      ml,
      'volume',
      [...lines, line('V', t('in all coats'), t('with what stays on the tools'), ml, 'ml')],
      paths,
    ),
  ];
};
