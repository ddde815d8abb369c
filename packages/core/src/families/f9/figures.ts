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
          figureOf(
            'bags',
            t('Bags'),
            made.bags,
            'count',
            [...made.working, line('n', t('bags in all'), t('from above'), made.bags)],
            paths,
          ),
          figureOf(
            'water',
            t('Water'),
            water,
            'volume',
            [...made.working, line('Vw', t('water'), t('batch by batch'), water, 'ml')],
            paths,
          ),
        ]
      : []),
    ...(seal
      ? [
          figureOf('sealWet', t('Sealer, wet film'), wetUmOf(seal), 'thinFilm', [
            line(
              'WFT',
              t('wet film a coat'),
              t('as on the card'),
              wetUmOf(seal),
              'µm',
              `card ${seal.card.code}`,
            ),
          ]),
        ]
      : []),
  ];
};
