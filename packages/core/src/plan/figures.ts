import { fig, line } from '../calc/calc';
import { holidayVoltage } from '../inspect/holidayVoltage';
import { MILESTONE_NAMES } from '../materials/card';
import { endingIn, figureOf, type Figure } from './figure';
import { timeline } from './timeline';
import { weighing } from './weighing';
import { batchParts, consistencyOf, milestonesOf, type WorkUp } from './workUp';

const READINGS = ['readings.airC', 'readings.rhPct', 'readings.surfaceC'];
const TEMP = ['readings.surfaceC'];

/** Volume over all damages: each one's own sum, then the total. */
function volumes({ bodies, grossMl, areaMm2 }: WorkUp): Figure[] {
  const paths = bodies.flatMap((b) => b.body.paths);
  const each = bodies.flatMap((b, i) =>
    b.volume.working.map((w) => (bodies.length > 1 ? { ...w, label: `${i + 1}: ${w.label}` } : w)),
  );
  const sum = (of: (b: (typeof bodies)[number]) => number) =>
    bodies.map((b) => fig(of(b))).join(' + ');
  return [
    figureOf(
      'total',
      'To mix',
      grossMl,
      'volume',
      [
        ...endingIn(each, 'Vm'),
        line(
          'ΣV',
          'to mix in all',
          sum((b) => b.volume.grossMl),
          grossMl,
          'ml',
        ),
      ],
      paths,
    ),
    figureOf(
      'area',
      'Bonded area',
      areaMm2,
      'area',
      [
        ...each.filter((w) => w.symbol === 'A'),
        line(
          'ΣA',
          'bonded area in all',
          sum((b) => b.volume.areaMm2),
          areaMm2,
          'mm²',
        ),
      ],
      paths,
    ),
  ];
}

function layers({
  card,
  site,
  survey,
  buildMm,
  coats,
  coatMm,
  bodies,
  profileUm,
}: WorkUp): Figure[] {
  const max = card.layer.maxMm[survey.surface.slope];
  const build = line(
    'h',
    'thickest build',
    'damage depth, with what is left on for machining',
    buildMm,
    'mm',
    'survey',
  );
  const paths = [...bodies.flatMap((b) => b.body.paths), 'surface.slope'];
  const perCoat = line(
    'hc',
    `most in one coat, ${survey.surface.slope}`,
    fig(max),
    max,
    'mm',
    `card ${card.code}`,
  );
  const number = line(
    'n',
    'coats',
    `${fig(buildMm)}/${fig(max)}, rounded up, at least ${card.layer.leastCoats}`,
    coats,
  );
  const figures = [
    figureOf('coats', 'Coats', coats, 'count', [build, perCoat, number], paths),
    figureOf(
      'coat',
      'Each coat',
      coatMm,
      'length',
      [build, number, line('h₁', 'each coat', `${fig(buildMm)}/${coats}`, coatMm, 'mm')],
      paths,
    ),
    figureOf('minEdge', 'Least edge depth', card.layer.minEdgeMm, 'length', [
      line(
        'e',
        'least edge depth',
        'as on the card',
        card.layer.minEdgeMm,
        'mm',
        `card ${card.code}`,
      ),
    ]),
    figureOf('extent', 'Prep past the damage', site.extentMm, 'length', [
      line('x', 'prepared past the damage', 'site setting', site.extentMm, 'mm', site.name),
    ]),
  ];
  if (profileUm) {
    const card0 = line(
      'Rz',
      'profile, peak to valley',
      `${profileUm.min} to ${profileUm.max}`,
      profileUm.min,
      'µm',
      `card ${card.code}`,
    );
    figures.push(
      figureOf('profile', 'Least profile', profileUm.min, 'thinFilm', [card0], ['parent.material']),
    );
  }
  return figures;
}

/** Batches, their size and life; and what of each goes on the scale. */
function mixing(work: WorkUp): Figure[] {
  const { batch, batches, split, coats, card } = work;
  if (!batch.ok) return [];
  const own = [
    ...batch.working,
    line('N', 'batches, all coats', `${batch.batches}·${coats}`, batches),
  ];
  const paths = [...TEMP, ...work.bodies.flatMap((b) => b.body.paths)];
  const figures = [
    figureOf('batches', 'Batches', batches, 'count', own, paths),
    figureOf('batch', 'Each batch', batch.batchMl, 'volume', endingIn(own, 'Vb'), paths),
    figureOf('life', 'Working life', batch.batchLifeMin, 'time', endingIn(own, 'L'), paths),
    figureOf('place', 'To place a batch', batch.minutesToPlace, 'time', endingIn(own, 'tp'), paths),
  ];
  const parts = batchParts(work, 1);
  const weigh = weighing(card.mix, consistencyOf(work, 1), work.survey.surface.slope);
  if (!parts || !weigh) return figures;
  const { a, b, by } = weigh.ratio;
  const lines = split?.working ?? [
    line('Vb', 'batch', 'from above', batch.batchMl, 'ml'),
    line(
      'a:b',
      `${weigh.nameA.toLowerCase()} to ${weigh.nameB.toLowerCase()}`,
      `by ${by}`,
      `${fig(a)} : ${fig(b)}`,
      '',
      `card ${card.code}`,
    ),
    line('mA', weigh.nameA.toLowerCase(), 'by the batch and the ratio', parts.aG, 'g'),
    line('mB', weigh.nameB.toLowerCase(), 'by the batch and the ratio', parts.bG, 'g'),
  ];
  const mass = parts.aG + parts.bG;
  figures.push(
    figureOf(
      'batchMass',
      'Each batch',
      mass,
      'mass',
      [
        ...endingIn(lines, 'mA'),
        line('m', 'batch', `${fig(parts.aG)} + ${fig(parts.bG)}`, mass, 'g'),
      ],
      paths,
    ),
    figureOf('aG', weigh.nameA, parts.aG, 'mass', endingIn(lines, 'mA'), paths),
    figureOf('bG', weigh.nameB, parts.bG, 'mass', endingIn(lines, 'mB'), paths),
  );
  if (split)
    figures.push(
      figureOf('aMl', weigh.nameA, split.aMl, 'volume', endingIn(split.working, 'VA'), paths),
      figureOf('bMl', weigh.nameB, split.bMl, 'volume', endingIn(split.working, 'VB'), paths),
    );
  else
    figures.push(
      figureOf(
        'bMl',
        weigh.nameB,
        parts.bG / weigh.densityB,
        'volume',
        [
          ...endingIn(lines, 'mB'),
          line(
            'VB',
            weigh.nameB.toLowerCase(),
            `mB/${fig(weigh.densityB)}`,
            parts.bG / weigh.densityB,
            'ml',
          ),
        ],
        paths,
      ),
    );
  return figures;
}

function times(work: WorkUp): Figure[] {
  const figures = milestonesOf(work).flatMap(({ id, time }) =>
    time.ok
      ? [figureOf(`cure.${id}`, MILESTONE_NAMES[id], time.minutes, 'time', time.working, TEMP)]
      : [],
  );
  const plan = timeline(work);
  if (plan) {
    const working = [
      line('tp', 'prep', 'sum of the prep steps', plan.prepMin, 'min', 'method'),
      line(
        'tb',
        'mix and build',
        work.coats === 1 ? 'one coat' : `${work.coats} coats, with the waits between them`,
        plan.buildMin,
        'min',
        'method, card',
      ),
      line(
        'tc',
        `cure to ${MILESTONE_NAMES[work.needed]}`,
        `at ${fig(work.survey.readings.surfaceC)} °C, from the last mix`,
        plan.cureMin,
        'min',
        `card ${work.card.code}`,
      ),
      line('ta', 'inspect and dress', 'sum of the accept steps', plan.acceptMin, 'min', 'method'),
      line('t', 'ready', 'tp + tb + tc + ta', plan.readyMin, 'min'),
    ];
    figures.push(
      figureOf('ready', 'Back in service in', plan.readyMin, 'time', working, [
        ...TEMP,
        'window.downMin',
      ]),
    );
    const cost = (plan.readyMin / 60) * work.survey.asset.costPerHour;
    figures.push(
      figureOf(
        'downtime',
        'Downtime',
        cost,
        'money',
        [
          ...working,
          line(
            '€',
            'downtime',
            `${fig(plan.readyMin)}/60·${fig(work.survey.asset.costPerHour)} an hour`,
            cost,
            work.site.currency,
            'asset',
          ),
        ],
        ['window.downMin'],
      ),
    );
  }
  return figures;
}

function hardnessOf({ code, service: { hardness } }: WorkUp['card']): Figure[] {
  if (!hardness) return [];
  const unit = `Shore ${hardness.scale}`;
  return [
    figureOf('hardness', 'Least hardness', hardness.least, 'hardness', [
      line('H', `least hardness, ${unit}`, 'as on the card', hardness.least, unit, `card ${code}`),
    ]),
  ];
}

/** Test voltage of a lining by its thickness. */
function holidayOf({ buildMm, card }: WorkUp): Figure[] {
  if (card.layer.leastCoats < 2 || card.packUnit !== 'ml') return [];
  const { volts, working } = holidayVoltage({ thicknessMm: buildMm });
  return volts === null
    ? []
    : [figureOf('holiday', 'Holiday test, volts', volts, 'count', working)];
}

/** Every figure the screens may show for a job, by id, each with its own working. */
export function figuresOf(work: WorkUp): Record<string, Figure> {
  const { gate, card } = work;
  const all = [
    ...volumes(work),
    ...layers(work),
    ...mixing(work),
    ...times(work),
    figureOf('dewPoint', 'Dew point', gate.dewPointC, 'temperature', gate.working, READINGS),
    figureOf(
      'margin',
      'Above dew point',
      gate.marginC,
      'temperature',
      endingIn(gate.working, 'ΔT'),
      READINGS,
    ),
    ...hardnessOf(card),
    ...holidayOf(work),
  ];
  return Object.fromEntries(all.map((f) => [f.id, f]));
}
