import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { closing, type Figure, figureOf } from '../../work/figure';
import { pins, type Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ work, lamp, passes, each, seconds }: Rounds): Figure[] => {
  const paths = ['damages.0.depthMm', 'board.lampWcm2'];
  const count = figureOf({
    id: 'pins',
    label: t('Holes to form'),
    value: pins(work),
    quantity: 'count',
    working: [
      line({
        symbol: 'n',
        label: t('holes'),
        expression: t('survey'),
        value: pins(work),
        unit: '',
        source: 'survey',
      }),
    ],
    paths: ['damages.0.pins'],
  });
  if (!lamp) return [count];
  const end = closing(lamp.flatMap((l) => l.working));
  return [
    count,
    figureOf({
      id: 'passes',
      label: t('Passes'),
      value: passes,
      quantity: 'count',
      working: end({ symbol: 'n', label: t('passes'), value: passes }),
      paths,
    }),
    figureOf({
      id: 'passSeconds',
      label: t('Lamp a pass'),
      value: each / 60,
      quantity: 'time',
      working: end({ symbol: 't', label: t('lamp a pass'), value: each / 60, unit: 'min' }),
      paths,
    }),
    figureOf({
      id: 'lampSeconds',
      label: t('Lamp in all'),
      value: seconds / 60,
      quantity: 'time',
      working: end({ symbol: 'T', label: t('lamp in all'), value: seconds / 60, unit: 'min' }),
      paths,
    }),
  ];
};
