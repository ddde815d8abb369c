import { formatFigure, line } from '../calc/calc';
import type { Job } from '../job/job';
import { MILESTONE_NAMES } from '../materials/milestones';
import type { Schedule } from '../schedule/scheduleJob';
import { t } from '../text/text';
import { endingIn, figureOf, type Figure } from '../work/figure';
import { grossWorking, momentsOf, neededOn, timeTo, type Round } from '../work/round';
import type { Work } from '../work/work';
import { roundFigures } from './figuresOfRound';
import { layers } from './layerFigures';

const READINGS = ['readings.airC', 'readings.rhPct', 'readings.surfaceC'];
const TEMP = ['readings.surfaceC'];

/** The figures of the chosen card over all its rounds, for lists and headings. */
function mainFigures(own: readonly Round[], slope: Work['survey']['surface']['slope']): Figure[] {
  const [first] = own;
  if (!first) return [];
  const total = own.reduce((s, r) => s + r.mixMl, 0);
  const batches = own.reduce((s, r) => s + r.batches.length, 0);
  const paths = [...first.paths];
  const lines = own.flatMap((r) => grossWorking(r));
  return [
    ...roundFigures(first, slope, ''),
    figureOf({
      id: 'total',
      label: t('To mix'),
      value: total,
      quantity: 'volume',
      working: [
        ...lines,
        line({
          symbol: 'ΣV',
          label: t('to mix in all'),
          expression: own.map((r) => formatFigure(r.mixMl)).join(' + '),
          value: total,
          unit: 'ml',
        }),
      ],
      paths,
    }),
    figureOf({
      id: 'batches',
      label: t('Batches'),
      value: batches,
      quantity: 'count',
      working: [
        ...first.batching.working(),
        line({
          symbol: 'N',
          label: t('batches in all'),
          expression: own.map((r) => r.batches.length).join(' + '),
          value: batches,
        }),
      ],
      paths: [...paths, ...TEMP],
    }),
  ];
}

function cures(rounds: readonly Round[], laid: Schedule, main: Round): Figure[] {
  return rounds.flatMap((round) => {
    const at = laid.mixedAt.get(round.id)?.last ?? 0;
    // The working life is a separate figure, at mixing temperature.
    const moments = momentsOf(round, at).filter((x) => x.id !== 'life');
    return moments.flatMap(({ id, minutes, working }) => [
      figureOf({
        id: `cure.${round.id}.${id}`,
        label: MILESTONE_NAMES[id],
        value: minutes,
        quantity: 'time',
        working,
        paths: TEMP,
      }),
      ...(round === main
        ? [
            figureOf({
              id: `cure.${id}`,
              label: MILESTONE_NAMES[id],
              value: minutes,
              quantity: 'time',
              working,
              paths: TEMP,
            }),
          ]
        : []),
    ]);
  });
}

function hours(job: Job, laid: Schedule, main: Round): Figure[] {
  const { work } = job;
  const { asset } = work.survey;
  const needed = neededOn(main.card, work.demand.needed);
  const cure = timeTo(main, needed, laid.mixedAt.get(main.id)?.last ?? 0);
  const last = laid.mixedAt.get(main.id)?.last ?? 0;
  const working = [
    line({
      symbol: 'tm',
      label: t('last mix of it'),
      expression: t('the schedule: every step, batch and wait before it'),
      value: last,
      unit: 'min',
      source: 'schedule',
    }),
    line({
      symbol: 'tc',
      label: t('cure to {milestone}', { milestone: MILESTONE_NAMES[needed] }),
      expression: t('at {temp} °C, from that mix', { temp: formatFigure(work.tempC) }),
      value: cure?.ok ? cure.minutes : 0,
      unit: 'min',
      source: `card ${main.card.code}`,
    }),
    line({
      symbol: 'te',
      label: t('end of the last step'),
      expression: t('the schedule'),
      value: laid.slots.at(-1)?.to ?? 0,
      unit: 'min',
      source: 'schedule',
    }),
    line({
      symbol: 't',
      label: t('ready'),
      expression: t('the later of all that the service loads and the last step'),
      value: laid.readyMin,
      unit: 'min',
    }),
  ];
  const cost = (laid.readyMin / 60) * asset.costPerHour;
  return [
    figureOf({
      id: 'ready',
      label: t('Back in service in'),
      value: laid.readyMin,
      quantity: 'time',
      working,
      paths: [...TEMP, 'window.downMin'],
    }),
    figureOf({
      id: 'downtime',
      label: t('Downtime'),
      value: cost,
      quantity: 'money',
      working: [
        ...working,
        line({
          symbol: '€',
          label: t('downtime'),
          expression: t('{ready}/60·{costPerHour} an hour', {
            ready: formatFigure(laid.readyMin),
            costPerHour: formatFigure(asset.costPerHour),
          }),
          value: cost,
          unit: work.site.currency,
          source: 'asset',
        }),
      ],
      paths: ['window.downMin'],
    }),
  ];
}

/** The chosen card's round that the service waits for last. */
export function mainRoundOf({ draft, work }: Job): Round {
  const own = draft.rounds.filter((r) => r.card.code === work.card.code);
  return (
    own.filter((r) => r.needed !== null).at(-1) ?? own.at(-1) ?? (draft.rounds.at(-1) as Round)
  );
}

/** Every figure of a job that screens may show, by id, with its working. */
export function figuresOf(job: Job, laid: Schedule): Record<string, Figure> {
  const { work, draft } = job;
  const { gate, card } = work;
  const main = mainRoundOf(job);
  const own = draft.rounds.filter((r) => r.card.code === card.code);
  const { slope } = work.survey.surface;
  const hard = card.service.hardness;
  const all = [
    ...layers(work),
    ...draft.rounds.flatMap((r) => roundFigures(r, slope, `round.${r.id}.`)),
    ...mainFigures(own, slope),
    ...cures(draft.rounds, laid, main),
    ...hours(job, laid, main),
    figureOf({
      id: 'dewPoint',
      label: t('Dew point'),
      value: gate.dewPointC,
      quantity: 'temperature',
      working: gate.working,
      paths: READINGS,
    }),
    figureOf({
      id: 'margin',
      label: t('Above dew point'),
      value: gate.marginC,
      quantity: 'temperatureStep',
      working: endingIn(gate.working, 'ΔT'),
      paths: READINGS,
    }),
    ...(hard
      ? [
          figureOf({
            id: 'hardness',
            label: t('Least hardness'),
            value: hard.least,
            quantity: hard.scale === 'A' ? 'hardnessA' : 'hardness',
            working: [
              line({
                symbol: 'H',
                label: t('least hardness, Shore {scale}', { scale: hard.scale }),
                expression: t('as on the card'),
                value: hard.least,
                unit: `Shore ${hard.scale}`,
                source: `card ${card.code}`,
              }),
            ],
          }),
        ]
      : []),
    ...draft.figures(),
  ];
  return Object.fromEntries(all.map((f) => [f.id, f]));
}
