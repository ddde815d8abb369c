import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { wetUmOf } from '../../methods/film';
import { waterMl } from '../../methods/mix';
import { type Figure, figureOf } from '../../work/figure';
import { bags } from './coats';
import type { Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ work, coatRounds, seals }: Rounds): Figure[] => {
  const made = bags(work, coatRounds);
  const paths = work.bodies.flatMap((b) => b.body.paths);
  const [seal] = seals;
  const water = waterMl(coatRounds);
  return [
    ...(made
      ? [
          figureOf({
            id: 'bags',
            label: t('Bags'),
            value: made.bags,
            quantity: 'count',
            working: [
              ...made.working,
              line({
                symbol: 'n',
                label: t('bags in all'),
                expression: t('from above'),
                value: made.bags,
              }),
            ],
            paths,
          }),
          figureOf({
            id: 'water',
            label: t('Water'),
            value: water,
            quantity: 'volume',
            working: [
              ...made.working,
              line({
                symbol: 'Vw',
                label: t('water'),
                expression: t('batch by batch'),
                value: water,
                unit: 'ml',
              }),
            ],
            paths,
          }),
        ]
      : []),
    ...(seal
      ? [
          figureOf({
            id: 'sealWet',
            label: t('Sealer, wet film'),
            value: wetUmOf(seal),
            quantity: 'thinFilm',
            working: [
              line({
                symbol: 'WFT',
                label: t('wet film a coat'),
                expression: t('as on the card'),
                value: wetUmOf(seal),
                unit: 'µm',
                source: `card ${seal.card.code}`,
              }),
            ],
          }),
        ]
      : []),
  ];
};
