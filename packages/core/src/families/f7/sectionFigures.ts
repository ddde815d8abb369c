import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { type Figure, figureOf } from '../../work/figure';
import type { SectionRounds } from './sectionRounds';

/** Calculated values that the steps and the papers of the repair show. */
export const sectionFigures = ({ survey }: SectionRounds): Figure[] => {
  const longest = Math.max(...survey.damages.map((d) => d.lengthMm));
  return [
    figureOf({
      id: 'opening',
      label: t('Opening, at least'),
      value: longest,
      quantity: 'length',
      working: [
        line({
          symbol: 'L',
          label: t('longest injury'),
          expression: t('as measured; the opening is measured again'),
          value: longest,
          unit: 'mm',
          source: 'survey',
        }),
      ],
      paths: ['damages.0.lengthMm'],
    }),
  ];
};
