import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { type Figure, figureOf } from '../../work/figure';
import { paints, type Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ work, tops, fill, main, wetUm }: Rounds): Figure[] => {
  const paths = work.bodies.flatMap((b) => b.body.paths);
  const painted = tops.length > 0 ? tops : fill;
  const ml = painted.reduce((s, r) => s + r.mixMl, 0);
  const lines = painted.flatMap((r) => r.working?.() ?? []);
  const dry = tops[0] ? work.trade.panel.topUm / tops.length : main.buildMm * 1000;
  return [
    figureOf({
      id: 'wet',
      label: t('Wet film a coat'),
      value: wetUm,
      quantity: 'thinFilm',
      working: [
        line({
          symbol: 'DFT',
          label: t('dry film a coat'),
          expression: t('as planned'),
          value: dry,
          unit: 'µm',
        }),
        line({
          symbol: 'WFT',
          label: t('wet film a coat'),
          expression: t('DFT/volume solids'),
          value: wetUm,
          unit: 'µm',
          source: `card ${(tops[0] ?? main).card.code}`,
        }),
      ],
      paths,
    }),
    figureOf({
      id: 'topcoatL',
      label: paints(work) ? t('Paint') : t('Topcoat'),
      value: ml,
      quantity: 'volume',
      working: [
        ...lines,
        line({
          symbol: 'V',
          label: t('in all coats'),
          expression: t('with what stays on the tools'),
          value: ml,
          unit: 'ml',
        }),
      ],
      paths,
    }),
  ];
};
