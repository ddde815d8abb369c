import { t } from '../text/text';
import { touchedFor as touched } from '../work/batching';
import { formatFigure, line } from '../calc/calc';
import { closing, endingIn, figureOf, type Figure } from '../work/figure';
import { grossWorking, type Round } from '../work/round';
import { weighing } from '../work/weighing';
import type { Work } from '../work/work';

type Slope = Work['survey']['surface']['slope'];

const TEMP = ['readings.surfaceC'];

/** Amount, batches, working life and parts of one round, with its own prefix. */
export function roundFigures(round: Round, slope: Slope, prefix: string): Figure[] {
  const [first] = round.batches;
  const paths = [...round.paths, ...TEMP];
  const total = figureOf(
    `${prefix}total`,
    t('To mix'),
    round.mixMl,
    'volume',
    [
      ...grossWorking(round),
      line(
        'ΣV',
        t('in whole batches'),
        t('{batches} of them', { batches: round.batches.length }),
        round.mixMl,
        'ml',
      ),
    ],
    [...round.paths],
  );
  if (!first) return [total];
  const own = [
    ...round.batching.working(),
    line(
      'tu',
      t('touched for'),
      t('all that is done with a batch'),
      touchedFor(round),
      'min',
      t('method, pace'),
    ),
  ];
  const end = closing(own);
  const figures = [
    total,
    figureOf(
      `${prefix}batches`,
      t('Batches'),
      round.batches.length,
      'count',
      end('n', t('batches'), round.batches.length),
      paths,
    ),
    figureOf(
      `${prefix}batch`,
      t('Each batch'),
      first.ml,
      'volume',
      end('Vb', t('a batch'), first.ml, 'ml'),
      paths,
    ),
    figureOf(
      `${prefix}life`,
      t('Working life'),
      first.lifeMin,
      'time',
      end('L', t('working life of a batch'), first.lifeMin, 'min'),
      paths,
    ),
    figureOf(`${prefix}place`, t('To place a batch'), touchedFor(round), 'time', own, paths),
  ];
  return [...figures, ...partFigures(round, slope, prefix)];
}

/** Mass and volume of both parts of the first batch; empty if the material is not weighed. */
function partFigures(round: Round, slope: Slope, prefix: string): Figure[] {
  const [first] = round.batches;
  const weigh = weighing(round.card.mix, round.consistency, slope);
  if (!first || !weigh || first.aG === null || first.bG === null) return [];
  const paths = [...round.paths, ...TEMP];
  const { a, b, by } = weigh.ratio;
  const common = [
    line('Vb', t('batch'), t('from above'), first.ml, 'ml'),
    line(
      'a:b',
      t('{nameA} to {nameB}', {
        nameA: weigh.nameA.toLowerCase(),
        nameB: weigh.nameB.toLowerCase(),
      }),
      `by ${by}`,
      `${formatFigure(a)} : ${formatFigure(b)}`,
      '',
      `card ${round.card.code}`,
    ),
    line('mA', weigh.nameA.toLowerCase(), t('by the batch and the ratio'), first.aG, 'g'),
    line('mB', weigh.nameB.toLowerCase(), t('by the batch and the ratio'), first.bG, 'g'),
  ];
  const mass = first.aG + first.bG;
  const [aMl, bMl] = [first.aG / weigh.densityA, first.bG / weigh.densityB];
  return [
    figureOf(
      `${prefix}batchMass`,
      t('Each batch'),
      mass,
      'mass',
      [...common, line('m', t('batch'), 'mA + mB', mass, 'g')],
      paths,
    ),
    figureOf(`${prefix}aG`, weigh.nameA, first.aG, 'mass', endingIn(common, 'mA'), paths),
    figureOf(`${prefix}bG`, weigh.nameB, first.bG, 'mass', endingIn(common, 'mB'), paths),
    figureOf(
      `${prefix}aMl`,
      weigh.nameA,
      aMl,
      'volume',
      [
        ...endingIn(common, 'mA'),
        line('VA', weigh.nameA.toLowerCase(), `mA/${formatFigure(weigh.densityA)}`, aMl, 'ml'),
      ],
      paths,
    ),
    figureOf(
      `${prefix}bMl`,
      weigh.nameB,
      bMl,
      'volume',
      [
        ...endingIn(common, 'mB'),
        line('VB', weigh.nameB.toLowerCase(), `mB/${formatFigure(weigh.densityB)}`, bMl, 'ml'),
      ],
      paths,
    ),
  ];
}

/** Minutes to place the first batch of a round, with everything that is done with it. */
const touchedFor = ({ batches, batching, touches, placedMl }: Round): number =>
  batches[0] ? touched(touches, batches[0].placedMl, placedMl, batching.paceMlPerMin) : 0;
