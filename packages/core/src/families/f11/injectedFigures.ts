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
    figureOf('ports', 'Ports', ports, 'count', end('n', 'ports', ports), paths),
    figureOf('spacing', 'Apart', spacing, 'length', end('s', 'apart', spacing, 'mm'), paths),
    figureOf(
      'resin',
      'Resin in the wall',
      resinMl,
      'volume',
      end('V', 'resin', resinMl, 'ml'),
      paths,
    ),
    figureOf(
      'portMinutes',
      'At the ports',
      atPorts,
      'time',
      end('t', 'at the ports', atPorts, 'min'),
      paths,
    ),
  ];
};
