import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { type Figure, figureOf } from '../../work/figure';
import type { SectionRounds } from './sectionRounds';

/** Calculated values that the steps and the papers of the repair show. */
export const sectionFigures = ({ survey }: SectionRounds): Figure[] => {
  const longest = Math.max(...survey.damages.map((d) => d.lengthMm));
  return [
    figureOf(
      'opening',
      t('Opening, at least'),
      longest,
      'length',
      [
        line(
          'L',
          t('longest injury'),
          t('as measured; the opening is measured again'),
          longest,
          'mm',
          'survey',
        ),
      ],
      ['damages.0.lengthMm'],
    ),
  ];
};
