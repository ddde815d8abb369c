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
      working: end({ symbol: 'n', label: t('ports'), value: ports }),
      paths,
    }),
    figureOf({
      id: 'spacing',
      label: t('Apart'),
      value: spacing,
      quantity: 'length',
      working: end({ symbol: 's', label: t('apart'), value: spacing, unit: 'mm' }),
      paths,
    }),
    figureOf({
      id: 'resin',
      label: t('Resin in the wall'),
      value: resinMl,
      quantity: 'volume',
      working: end({ symbol: 'V', label: t('resin'), value: resinMl, unit: 'ml' }),
      paths,
    }),
    figureOf({
      id: 'portMinutes',
      label: t('At the ports'),
      value: atPorts,
      quantity: 'time',
      working: end({ symbol: 't', label: t('at the ports'), value: atPorts, unit: 'min' }),
      paths,
    }),
  ];
};
