import { t } from '../../text/text';
import { closing, type Figure, figureOf } from '../../work/figure';
import type { InjectedRounds } from './injectedRounds';

/** Calculated values that the steps and the papers of the repair show. */
export const injectedFigures = ({
  all,
  work,
  ports,
  spacing,
  resinMl,
  atPorts,
}: InjectedRounds): Figure[] => {
  const end = closing(all.flatMap((i) => i.working));
  const paths = work.bodies.flatMap((b) => b.body.paths);
  return [
    figureOf('ports', t('Ports'), ports, 'count', end('n', t('ports'), ports), paths),
    figureOf('spacing', t('Apart'), spacing, 'length', end('s', t('apart'), spacing, 'mm'), paths),
    figureOf(
      'resin',
      t('Resin in the wall'),
      resinMl,
      'volume',
      end('V', t('resin'), resinMl, 'ml'),
      paths,
    ),
    figureOf(
      'portMinutes',
      t('At the ports'),
      atPorts,
      'time',
      end('t', t('at the ports'), atPorts, 'min'),
      paths,
    ),
  ];
};
