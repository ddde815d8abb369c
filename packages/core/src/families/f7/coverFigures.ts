import { t } from '../../text/text';
import { closing, type Figure, figureOf } from '../../work/figure';
import type { CoverRounds } from './coverRounds';
import { coversIn } from './steps';

/** Calculated values that the steps and the papers of the repair show. */
export const coverFigures = ({ work, strips, drops }: CoverRounds): Figure[] => {
  const paths = work.bodies.flatMap((b) => b.body.paths);
  const end = closing(coversIn(work).flatMap((c) => c.working));
  const first = coversIn(work)[0];
  return [
    figureOf('strips', t('Strips'), strips, 'count', end('n', t('strips'), strips), paths),
    figureOf(
      'stripWidth',
      t('Strip width'),
      first?.stripWidthMm ?? 0,
      'length',
      end('w', t('strip width'), first?.stripWidthMm ?? 0, 'mm'),
      paths,
    ),
    figureOf(
      'marginGot',
      t('Margin'),
      first?.marginGotMm ?? 0,
      'length',
      end('m', t('margin'), first?.marginGotMm ?? 0, 'mm'),
      paths,
    ),
    figureOf('drops', t('Drops'), drops, 'count', end('d', t('drops'), drops), paths),
  ];
};
