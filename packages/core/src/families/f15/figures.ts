import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { closing, type Figure, figureOf } from '../../work/figure';
import { pins, type Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ work, lamp, passes, each, seconds }: Rounds): Figure[] => {
  const paths = ['damages.0.depthMm', 'board.lampWcm2'];
  const count = figureOf(
    'pins',
    t('Holes to form'),
    pins(work),
    'count',
    [line('n', t('holes'), t('survey'), pins(work), '', 'survey')],
    ['damages.0.pins'],
  );
  if (!lamp) return [count];
  const end = closing(lamp.flatMap((l) => l.working));
  return [
    count,
    figureOf('passes', t('Passes'), passes, 'count', end('n', t('passes'), passes), paths),
    figureOf(
      'passSeconds',
      t('Lamp a pass'),
      each / 60,
      'time',
      end('t', t('lamp a pass'), each / 60, 'min'),
      paths,
    ),
    figureOf(
      'lampSeconds',
      t('Lamp in all'),
      seconds / 60,
      'time',
      end('T', t('lamp in all'), seconds / 60, 'min'),
      paths,
    ),
  ];
};
