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
    figureOf({
      id: 'strips',
      label: t('Strips'),
      value: strips,
      quantity: 'count',
      working: end({ symbol: 'n', label: t('strips'), value: strips }),
      paths,
    }),
    figureOf({
      id: 'stripWidth',
      label: t('Strip width'),
      value: first?.stripWidthMm ?? 0,
      quantity: 'length',
      working: end({
        symbol: 'w',
        label: t('strip width'),
        value: first?.stripWidthMm ?? 0,
        unit: 'mm',
      }),
      paths,
    }),
    figureOf({
      id: 'marginGot',
      label: t('Margin'),
      value: first?.marginGotMm ?? 0,
      quantity: 'length',
      working: end({ symbol: 'm', label: t('margin'), value: first?.marginGotMm ?? 0, unit: 'mm' }),
      paths,
    }),
    figureOf({
      id: 'drops',
      label: t('Drops'),
      value: drops,
      quantity: 'count',
      working: end({ symbol: 'd', label: t('drops'), value: drops }),
      paths,
    }),
  ];
};
