import { t } from '../text/text';
import { touchedFor as touched } from '../work/batching';
import { formatFigure, line, type WorkingLine } from '../calc/calc';
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
  const total = figureOf({
    id: `${prefix}total`,
    label: t('To mix'),
    value: round.mixMl,
    quantity: 'volume',
    working: [
      ...grossWorking(round),
      line({
        symbol: 'ΣV',
        label: t('in whole batches'),
        expression: t('{batches} of them', { batches: round.batches.length }),
        value: round.mixMl,
        unit: 'ml',
      }),
    ],
    paths: [...round.paths],
  });
  if (!first) return [total];
  const own = [
    ...round.batching.working(),
    line({
      symbol: 'tu',
      label: t('touched for'),
      expression: t('all that is done with a batch'),
      value: touchedFor(round),
      unit: 'min',
      source: t('method, pace'),
    }),
  ];
  const end = closing(own);
  const figures = [
    total,
    figureOf({
      id: `${prefix}batches`,
      label: t('Batches'),
      value: round.batches.length,
      quantity: 'count',
      working: end({ symbol: 'n', label: t('batches'), value: round.batches.length }),
      paths,
    }),
    figureOf({
      id: `${prefix}batch`,
      label: t('Each batch'),
      value: first.ml,
      quantity: 'volume',
      working: end({ symbol: 'Vb', label: t('a batch'), value: first.ml, unit: 'ml' }),
      paths,
    }),
    figureOf({
      id: `${prefix}life`,
      label: t('Working life'),
      value: first.lifeMin,
      quantity: 'time',
      working: end({
        symbol: 'L',
        label: t('working life of a batch'),
        value: first.lifeMin,
        unit: 'min',
      }),
      paths,
    }),
    figureOf({
      id: `${prefix}place`,
      label: t('To place a batch'),
      value: touchedFor(round),
      quantity: 'time',
      working: own,
      paths,
    }),
  ];
  return [...figures, ...partFigures(round, slope, prefix)];
}

/** A batch and the masses of its parts. */
function partLines(
  batch: Round['batches'][number],
  weigh: NonNullable<ReturnType<typeof weighing>>,
  code: string,
): WorkingLine[] {
  const { a, b, by } = weigh.ratio;
  return [
    line({
      symbol: 'Vb',
      label: t('batch'),
      expression: t('from above'),
      value: batch.ml,
      unit: 'ml',
    }),
    line({
      symbol: 'a:b',
      label: t('{nameA} to {nameB}', {
        nameA: weigh.nameA.toLowerCase(),
        nameB: weigh.nameB.toLowerCase(),
      }),
      expression: `by ${by}`,
      value: `${formatFigure(a)} : ${formatFigure(b)}`,
      unit: '',
      source: `card ${code}`,
    }),
    line({
      symbol: 'mA',
      label: weigh.nameA.toLowerCase(),
      expression: t('by the batch and the ratio'),
      value: batch.aG ?? 0,
      unit: 'g',
    }),
    line({
      symbol: 'mB',
      label: weigh.nameB.toLowerCase(),
      expression: t('by the batch and the ratio'),
      value: batch.bG ?? 0,
      unit: 'g',
    }),
  ];
}

/** Mass and volume of both parts of the first batch; empty if the material is not weighed. */
function partFigures(round: Round, slope: Slope, prefix: string): Figure[] {
  const [first] = round.batches;
  const weigh = weighing(round.card.mix, round.consistency, slope);
  if (!first || !weigh || first.aG === null || first.bG === null) return [];
  const paths = [...round.paths, ...TEMP];
  const common = partLines(first, weigh, round.card.code);
  const volume = (of: 'A' | 'B', massG: number): Figure => {
    const [label, density] =
      of === 'A' ? [weigh.nameA, weigh.densityA] : [weigh.nameB, weigh.densityB];
    return figureOf({
      id: `${prefix}${of.toLowerCase()}Ml`,
      label,
      value: massG / density,
      quantity: 'volume',
      working: [
        ...endingIn(common, `m${of}`),
        line({
          symbol: `V${of}`,
          label: label.toLowerCase(),
          expression: `m${of}/${formatFigure(density)}`,
          value: massG / density,
          unit: 'ml',
        }),
      ],
      paths,
    });
  };
  const mass = first.aG + first.bG;
  return [
    figureOf({
      id: `${prefix}batchMass`,
      label: t('Each batch'),
      value: mass,
      quantity: 'mass',
      working: [
        ...common,
        line({ symbol: 'm', label: t('batch'), expression: 'mA + mB', value: mass, unit: 'g' }),
      ],
      paths,
    }),
    figureOf({
      id: `${prefix}aG`,
      label: weigh.nameA,
      value: first.aG,
      quantity: 'mass',
      working: endingIn(common, 'mA'),
      paths,
    }),
    figureOf({
      id: `${prefix}bG`,
      label: weigh.nameB,
      value: first.bG,
      quantity: 'mass',
      working: endingIn(common, 'mB'),
      paths,
    }),
    volume('A', first.aG),
    volume('B', first.bG),
  ];
}

/** Minutes to place the first batch of a round, with everything that is done with it. */
const touchedFor = ({ batches, batching, touches, placedMl }: Round): number =>
  batches[0]
    ? touched({ touches, ml: batches[0].placedMl, totalMl: placedMl, pace: batching.paceMlPerMin })
    : 0;
