import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { PROOF_SHARE } from '../../inspect/shares';
import { BOND_SHARE, bondHolds } from '../../work/bond';
import { type Figure, figureOf } from '../../work/figure';
import { envelope, type Rounds, type W } from './rounds';

function bond({ survey, demand, card }: W): Figure[] {
  const shear = card.service.lapShearMPa;
  if (!demand.load || !shear) return [];
  const { newtons, areaMm2 } = demand.load;
  const holds = bondHolds(areaMm2, shear);
  return [
    figureOf(
      'bond',
      t('Bond over load'),
      holds / newtons,
      'count',
      [
        line(
          'A',
          t('bonded area each side'),
          t('lap of three walls, by the survey'),
          areaMm2,
          'mm²',
        ),
        line('τ', t('lap shear strength'), t('as on the card'), shear, 'MPa', `card ${card.code}`),
        line('R', t('holds'), `A·τ·${BOND_SHARE}`, holds, 'N'),
        line('F', t('load'), t('survey'), newtons, 'N'),
        line('R/F', t('times the load'), 'R/F', holds / newtons),
      ],
      ['load.loadN', 'damages.0.lengthMm', 'damages.0.wallMm'],
    ),
    figureOf(
      'proof',
      t('Proof load'),
      newtons * PROOF_SHARE,
      'force',
      [
        line('F', t('load'), t('survey'), survey.load.loadN ?? 0, 'N'),
        line('P', t('proof load'), `F·${PROOF_SHARE}`, newtons * PROOF_SHARE, 'N'),
      ],
      ['load.loadN'],
    ),
  ];
}

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ work }: Rounds): Figure[] => {
  const { stations: places, working } = envelope(work);
  const least = Math.min(...places.map((s) => s.buildMm));
  return [
    figureOf(
      'envelope',
      t('Build allowed'),
      least,
      'length',
      [
        ...working,
        line('', t('least of them'), places.map((s) => s.buildMm).join(', '), least, 'mm'),
      ],
      ['load.clearanceMm', 'damages.0.buildMm'],
    ),
    ...bond(work),
  ];
};
