import { fig, line, type WorkingLine } from '../calc/calc';
import { MILESTONE_NAMES } from '../materials/card';
import type { Figure } from './figure';
import { timeline } from './timeline';
import { buildMinutes, milestonesOf, type WorkUp } from './workUp';

const READINGS = ['readings.airC', 'readings.rhPct', 'readings.surfaceC'];
const TEMP = ['readings.surfaceC'];

/** The same lines, with those of one symbol last: a sum ends in the figure it explains. */
const endingIn = (lines: WorkingLine[], symbol: string): WorkingLine[] => [
  ...lines.filter((w) => w.symbol !== symbol),
  ...lines.filter((w) => w.symbol === symbol),
];

function figure(
  id: string,
  label: string,
  value: number,
  quantity: Figure['quantity'],
  working: WorkingLine[],
  paths: string[] = [],
): Figure {
  return { id, label, value, quantity, working, paths };
}

/** Volume over all damages: each one's own sum, then the total. */
function volumes({ bodies, grossMl, areaMm2 }: WorkUp): Figure[] {
  const paths = bodies.flatMap((b) => b.body.paths);
  const each = bodies.flatMap((b, i) =>
    b.volume.working.map((w) => (bodies.length > 1 ? { ...w, label: `${i + 1}: ${w.label}` } : w)),
  );
  const sum = (of: (b: (typeof bodies)[number]) => number) =>
    bodies.map((b) => fig(of(b))).join(' + ');
  return [
    figure(
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
    figure(
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
    figure('coats', 'Coats', coats, 'count', [build, perCoat, number], paths),
    figure(
      'coat',
      'Each coat',
      coatMm,
      'length',
      [build, number, line('h₁', 'each coat', `${fig(buildMm)}/${coats}`, coatMm, 'mm')],
      paths,
    ),
    figure('minEdge', 'Least edge depth', card.layer.minEdgeMm, 'length', [
      line(
        'e',
        'least edge depth',
        'as on the card',
        card.layer.minEdgeMm,
        'mm',
        `card ${card.code}`,
      ),
    ]),
    figure('extent', 'Prep past the damage', site.extentMm, 'length', [
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
      figure('profile', 'Least profile', profileUm.min, 'thinFilm', [card0], ['parent.material']),
    );
  }
  return figures;
}

function mixing(work: WorkUp): Figure[] {
  const { batch, batches, split, packs, coats } = work;
  const figures: Figure[] = [];
  if (batch.ok && split) {
    const own = [
      ...batch.working,
      line('N', 'batches, all coats', `${batch.batches}·${coats}`, batches),
    ];
    const paths = [...TEMP, ...work.bodies.flatMap((b) => b.body.paths)];
    figures.push(
      figure('batches', 'Batches', batches, 'count', own, paths),
      figure('batch', 'Each batch', batch.batchMl, 'volume', endingIn(own, 'Vb'), paths),
      figure(
        'batchMass',
        'Each batch',
        split.aG + split.bG,
        'mass',
        [
          ...endingIn(split.working, 'mA'),
          line('m', 'batch', `${fig(split.aG)} + ${fig(split.bG)}`, split.aG + split.bG, 'g'),
        ],
        paths,
      ),
      figure('life', 'Working life', batch.batchLifeMin, 'time', endingIn(own, 'L'), paths),
      figure('place', 'To place a batch', batch.minutesToPlace, 'time', endingIn(own, 'tp'), paths),
      figure('aG', 'Base', split.aG, 'mass', endingIn(split.working, 'mA'), paths),
      figure('bG', 'Hardener', split.bG, 'mass', endingIn(split.working, 'mB'), paths),
      figure('aMl', 'Base', split.aMl, 'volume', endingIn(split.working, 'VA'), paths),
      figure('bMl', 'Hardener', split.bMl, 'volume', endingIn(split.working, 'VB'), paths),
    );
  }
  if (packs.ok) {
    figures.push(
      figure(
        'packs',
        'Packs to draw',
        packs.picks.reduce((n, p) => n + p.count, 0),
        'count',
        packs.working,
      ),
      figure('packCost', 'Material', packs.totalPrice, 'money', packs.working),
      figure('leftover', 'Left over', packs.leftoverMl, 'volume', packs.working),
    );
  }
  return figures;
}

function times(work: WorkUp): Figure[] {
  const figures = milestonesOf(work).flatMap(({ id, time }) =>
    time.ok
      ? [figure(`cure.${id}`, MILESTONE_NAMES[id], time.minutes, 'time', time.working, TEMP)]
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
        buildMinutes(work) ?? 0,
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
      figure('ready', 'Back in service in', plan.readyMin, 'time', working, [
        ...TEMP,
        'window.downMin',
      ]),
    );
    const cost = (plan.readyMin / 60) * work.survey.asset.costPerHour;
    figures.push(
      figure(
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
    figure('hardness', 'Least hardness', hardness.least, 'hardness', [
      line('H', `least hardness, ${unit}`, 'as on the card', hardness.least, unit, `card ${code}`),
    ]),
  ];
}

/** Every figure the screens may show for a job, by id, each with its own working. */
export function figuresOf(work: WorkUp): Record<string, Figure> {
  const { gate, card } = work;
  const all = [
    ...volumes(work),
    ...layers(work),
    ...mixing(work),
    ...times(work),
    figure('dewPoint', 'Dew point', gate.dewPointC, 'temperature', gate.working, READINGS),
    figure(
      'margin',
      'Above dew point',
      gate.marginC,
      'temperature',
      endingIn(gate.working, 'ΔT'),
      READINGS,
    ),
    ...hardnessOf(card),
  ];
  return Object.fromEntries(all.map((f) => [f.id, f]));
}
