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
    figureOf({
      id: 'ports',
      label: t('Ports'),
      value: ports,
      quantity: 'count',
      working: end('n', t('ports'), ports),
      paths,
    }),
    figureOf({
      id: 'spacing',
      label: t('Apart'),
      value: spacing,
      quantity: 'length',
      working: end('s', t('apart'), spacing, 'mm'),
      paths,
    }),
    figureOf({
      id: 'resin',
      label: t('Resin in the wall'),
      value: resinMl,
      quantity: 'volume',
      working: end('V', t('resin'), resinMl, 'ml'),
      paths,
    }),
    figureOf({
      id: 'portMinutes',
      label: t('At the ports'),
      value: atPorts,
      quantity: 'time',
      working: end('t', t('at the ports'), atPorts, 'min'),
      paths,
    }),
  ];
};
