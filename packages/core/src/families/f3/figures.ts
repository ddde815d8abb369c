import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { bondHolds } from '../../work/bond';
import { type Figure, figureOf } from '../../work/figure';
import { envelope, type Rounds, type W } from './rounds';

function bond({ survey, demand, card, trade }: W): Figure[] {
  const shear = card.service.lapShearMPa;
  if (!demand.load || !shear) return [];
  const { newtons, areaMm2 } = demand.load;
  const holds = bondHolds(areaMm2, shear, trade);
  return [
    figureOf({
      id: 'bond',
      label: t('Bond over load'),
      value: holds / newtons,
      quantity: 'count',
      working: [
        line({
          symbol: 'A',
          label: t('bonded area each side'),
          expression: t('lap of three walls, by the survey'),
          value: areaMm2,
          unit: 'mm²',
        }),
        line({
          symbol: 'τ',
          label: t('lap shear strength'),
          expression: t('as on the card'),
          value: shear,
          unit: 'MPa',
          source: `card ${card.code}`,
        }),
        line({
          symbol: 'R',
          label: t('holds'),
          expression: `A·τ·${trade.strength.bondShare}`,
          value: holds,
          unit: 'N',
        }),
        line({ symbol: 'F', label: t('load'), expression: t('survey'), value: newtons, unit: 'N' }),
        line({
          symbol: 'R/F',
          label: t('times the load'),
          expression: 'R/F',
          value: holds / newtons,
        }),
      ],
      paths: ['load.loadN', 'damages.0.lengthMm', 'damages.0.wallMm'],
    }),
    figureOf({
      id: 'proof',
      label: t('Proof load'),
      value: newtons * trade.strength.proofTimes,
      quantity: 'force',
      working: [
        line({
          symbol: 'F',
          label: t('load'),
          expression: t('survey'),
          value: survey.load.loadN ?? 0,
          unit: 'N',
        }),
        line({
          symbol: 'P',
          label: t('proof load'),
          expression: `F·${trade.strength.proofTimes}`,
          value: newtons * trade.strength.proofTimes,
          unit: 'N',
        }),
      ],
      paths: ['load.loadN'],
    }),
  ];
}

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ work }: Rounds): Figure[] => {
  const { stations: places, working } = envelope(work);
  const least = Math.min(...places.map((s) => s.buildMm));
  return [
    figureOf({
      id: 'envelope',
      label: t('Build allowed'),
      value: least,
      quantity: 'length',
      working: [
        ...working,
        line({
          symbol: '',
          label: t('least of them'),
          expression: places.map((s) => s.buildMm).join(', '),
          value: least,
          unit: 'mm',
        }),
      ],
      paths: ['load.clearanceMm', 'damages.0.buildMm'],
    }),
    ...bond(work),
  ];
};
