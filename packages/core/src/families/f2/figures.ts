import { t } from '../../text/text';
import { holidayVolts, pressureFigures } from '../../methods/accept';
import { endingIn, type Figure, figureOf } from '../../work/figure';
import { isLining, type Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ work }: Rounds): Figure[] => {
  const { volts, working } = holidayVolts(work.buildMm);
  return [
    ...pressureFigures(work),
    ...(isLining(work) && volts !== null
      ? [
          figureOf({
            id: 'holiday',
            label: t('Holiday test, volts'),
            value: volts,
            quantity: 'count',
            working: endingIn(working, 'V'),
          }),
        ]
      : []),
  ];
};
