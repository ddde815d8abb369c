import { t } from '../text/text';
import { formatFigure, line } from '../calc/calc';
import type { Job } from '../job/job';
import { MILESTONE_NAMES } from '../materials/milestones';
import { endingIn, figureOf, type Figure } from '../work/figure';
import { grossWorking, momentsOf, neededOn, timeTo, type Round } from '../work/round';
import type { Work } from '../work/work';
import type { Schedule } from '../schedule/scheduleJob';
import { roundFigures } from './figuresOfRound';

const READINGS = ['readings.airC', 'readings.rhPct', 'readings.surfaceC'];
const TEMP = ['readings.surfaceC'];

const pathsOf = ({ bodies }: Work): string[] => [
  ...bodies.flatMap((b) => b.body.paths),
  'surface.slope',
];

const areaFigure = ({ bodies, areaMm2 }: Work, paths: string[]): Figure =>
  figureOf(
    'area',
    t('Bonded area'),
    areaMm2,
    'area',
    [
      ...bodies.flatMap((b) => b.volumes.flatMap((v) => v.working.filter((w) => w.symbol === 'A'))),
      line(
        'ΣA',
        t('bonded area in all'),
        bodies.map((b) => formatFigure(b.areaMm2)).join(' + ') || '0',
        areaMm2,
        'mm²',
      ),
    ],
    paths,
  );

function coatFigures({ card, survey, buildMm, coats, coatMm }: Work, paths: string[]): Figure[] {
  const max = card.layer.maxMm[survey.surface.slope];
  const source = `card ${card.code}`;
  const build = line(
    'h',
    t('thickest build'),
    t('damage depth, as it is opened and with what is left on'),
    buildMm,
    'mm',
    t('survey, card'),
  );
  const perCoat = line(
    'hc',
    t('most in one coat, {slope}', { slope: survey.surface.slope }),
    formatFigure(max),
    max,
    'mm',
    source,
  );
  const number = line(
    'n',
    t('coats'),
    t('{build}/{max}, rounded up, at least {leastCoats}', {
      build: formatFigure(buildMm),
      max: formatFigure(max),
      leastCoats: card.layer.leastCoats,
    }),
    coats,
  );
  const solids = card.layer.volumeSolidsPct / 100;
  const wetUm = (coatMm * 1000) / solids;
  return [
    figureOf('coats', t('Coats'), coats, 'count', [build, perCoat, number], paths),
    figureOf(
      'coat',
      t('Each coat'),
      coatMm,
      'length',
      [
        build,
        number,
        line('h₁', t('each coat'), `${formatFigure(buildMm)}/${coats}`, coatMm, 'mm'),
      ],
      paths,
    ),
    figureOf(
      'wetFilm',
      t('Wet film a coat'),
      wetUm,
      'thinFilm',
      [
        line('h₁', t('each coat, dry'), t('from above'), coatMm, 'mm'),
        line('WFT', t('wet film'), `h₁·1000/${formatFigure(solids)}`, wetUm, 'µm', source),
      ],
      paths,
    ),
  ];
}

function profileFigures({ card, profileUm }: Work): Figure[] {
  if (!profileUm) return [];
  const { min, max } = profileUm;
  const found = line(
    'Rz',
    t('profile, peak to valley'),
    `${min} to ${max}`,
    min,
    'µm',
    `card ${card.code}`,
  );
  return [figureOf('profile', t('Least profile'), min, 'thinFilm', [found], ['parent.material'])];
}

function layers(work: Work): Figure[] {
  const { card, site } = work;
  const paths = pathsOf(work);
  const edge = card.layer.minEdgeMm;
  return [
    areaFigure(work, paths),
    ...coatFigures(work, paths),
    figureOf('minEdge', t('Least edge depth'), edge, 'length', [
      line('e', t('least edge depth'), t('as on the card'), edge, 'mm', `card ${card.code}`),
    ]),
    figureOf('extent', t('Prep past the damage'), site.extentMm, 'length', [
      line('x', t('prepared past the damage'), t('site setting'), site.extentMm, 'mm', site.name),
    ]),
    ...profileFigures(work),
  ];
}

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
    figureOf(
      'total',
      t('To mix'),
      total,
      'volume',
      [
        ...lines,
        line(
          'ΣV',
          t('to mix in all'),
          own.map((r) => formatFigure(r.mixMl)).join(' + '),
          total,
          'ml',
        ),
      ],
      paths,
    ),
    figureOf(
      'batches',
      t('Batches'),
      batches,
      'count',
      [
        ...first.batching.working(),
        line('N', t('batches in all'), own.map((r) => r.batches.length).join(' + '), batches),
      ],
      [...paths, ...TEMP],
    ),
  ];
}

function cures(rounds: readonly Round[], laid: Schedule, main: Round): Figure[] {
  return rounds.flatMap((round) => {
    const at = laid.mixedAt.get(round.id)?.last ?? 0;
    // The working life is a separate figure, at mixing temperature.
    const moments = momentsOf(round, at).filter((x) => x.id !== 'life');
    return moments.flatMap(({ id, minutes, working }) => [
      figureOf(`cure.${round.id}.${id}`, MILESTONE_NAMES[id], minutes, 'time', working, TEMP),
      ...(round === main
        ? [figureOf(`cure.${id}`, MILESTONE_NAMES[id], minutes, 'time', working, TEMP)]
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
    line(
      'tm',
      t('last mix of it'),
      t('the schedule: every step, batch and wait before it'),
      last,
      'min',
      'schedule',
    ),
    line(
      'tc',
      t('cure to {milestone}', { milestone: MILESTONE_NAMES[needed] }),
      t('at {temp} °C, from that mix', { temp: formatFigure(work.tempC) }),
      cure?.ok ? cure.minutes : 0,
      'min',
      `card ${main.card.code}`,
    ),
    line(
      'te',
      t('end of the last step'),
      t('the schedule'),
      laid.slots.at(-1)?.to ?? 0,
      'min',
      'schedule',
    ),
    line(
      't',
      t('ready'),
      t('the later of all that the service loads and the last step'),
      laid.readyMin,
      'min',
    ),
  ];
  const cost = (laid.readyMin / 60) * asset.costPerHour;
  return [
    figureOf('ready', t('Back in service in'), laid.readyMin, 'time', working, [
      ...TEMP,
      'window.downMin',
    ]),
    figureOf(
      'downtime',
      t('Downtime'),
      cost,
      'money',
      [
        ...working,
        line(
          '€',
          t('downtime'),
          t('{ready}/60·{costPerHour} an hour', {
            ready: formatFigure(laid.readyMin),
            costPerHour: formatFigure(asset.costPerHour),
          }),
          cost,
          work.site.currency,
          'asset',
        ),
      ],
      ['window.downMin'],
    ),
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
    figureOf('dewPoint', t('Dew point'), gate.dewPointC, 'temperature', gate.working, READINGS),
    figureOf(
      'margin',
      t('Above dew point'),
      gate.marginC,
      'temperatureStep',
      endingIn(gate.working, 'ΔT'),
      READINGS,
    ),
    ...(hard
      ? [
          figureOf(
            'hardness',
            t('Least hardness'),
            hard.least,
            hard.scale === 'A' ? 'hardnessA' : 'hardness',
            [
              line(
                'H',
                t('least hardness, Shore {scale}', { scale: hard.scale }),
                t('as on the card'),
                hard.least,
                `Shore ${hard.scale}`,
                `card ${card.code}`,
              ),
            ],
          ),
        ]
      : []),
    ...draft.figures(),
  ];
  return Object.fromEntries(all.map((f) => [f.id, f]));
}
