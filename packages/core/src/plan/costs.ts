import { z } from 'zod';
import { formatFigure, line, type WorkingLine } from '../calc/calc';
import { figureOf, type Figure } from '../work/figure';
import type { Supply } from '../work/supplies';
import type { Work } from '../work/work';

/** The next best card for the same job, for the comparison of costs. */
export const NextOption = z.strictObject({
  code: z.string(),
  name: z.string(),
  total: z.number(),
  readyMin: z.number(),
  lifeDays: z.number(),
});
export type NextOption = z.infer<typeof NextOption>;

/** The same with the parts of its total: packs, people and conditions, stop. */
export interface Next extends NextOption {
  material: number;
  work: number;
  downtime: number;
}

/** The next option’s figures, beside this one’s. Money in the site’s currency. */
export function nextFigures(next: Next | null, unit: string): Figure[] {
  if (!next) return [];
  const source = `card ${next.code}`;
  return [
    figureOf('next.total', `${next.code}, the job`, next.total, 'money', [
      line('€m', 'material', 'cheapest packs', next.material, unit, source),
      line(
        '€w',
        'people, heater, what must be met',
        'its own schedule, the site’s rates',
        next.work,
        unit,
        'site',
      ),
      line(
        '€d',
        'downtime',
        `${formatFigure(next.readyMin)}/60 at the asset’s rate`,
        next.downtime,
        unit,
        'asset',
      ),
      line('€', 'in all', '€m + €w + €d', next.total, unit),
    ]),
    figureOf('next.ready', `${next.code}, back in service in`, next.readyMin, 'time', [
      line('t', 'ready', 'its own schedule', next.readyMin, 'min', source),
    ]),
    figureOf('next.life', `${next.code}, expected life`, next.lifeDays * 1440, 'time', [
      line('L', 'expected life', 'as on the card', next.lifeDays, 'd', source),
      line('t', 'the same', 'L·1440', next.lifeDays * 1440, 'min'),
    ]),
  ];
}

export interface Spent {
  supplies: readonly Supply[];
  /** Minutes of people, from the schedule. */
  labourMin: number;
  readyMin: number;
  /** Minutes that a heater runs; 0 if none. */
  heatMin: number;
}

/** One line for each supply that has a price. */
const boughtLines = (supplies: readonly Supply[], unit: string): WorkingLine[] =>
  supplies
    .filter((s) => s.price !== null)
    .map((s) =>
      line(
        '',
        s.name,
        s.picks.map((p) => `${p.count} × ${p.label}`).join(', '),
        s.price ?? 0,
        unit,
        s.code ?? '',
      ),
    );

/** The cost of the job (material, people, heat, stop), and of the alternatives. Money in the site’s currency. */
export function costFigures(
  work: Work,
  { supplies, labourMin, readyMin, heatMin }: Spent,
): Figure[] {
  const { site, survey } = work;
  const unit = site.currency;
  const material = supplies.reduce((s, x) => s + (x.price ?? 0), 0);
  const hours = labourMin / 60;
  const labour = hours * site.labourPerHour;
  const heat = (heatMin / 60) * site.heaterPerHour;
  const downtime = (readyMin / 60) * survey.asset.costPerHour;
  const total = material + labour + heat + downtime;
  const labourLines = [
    line(
      'h',
      'hours of people',
      'every step of the schedule by its people',
      hours,
      'h',
      'schedule',
    ),
    line('€l', 'labour', `h·${formatFigure(site.labourPerHour)} an hour`, labour, unit, site.name),
  ];
  const heatLines =
    heat > 0
      ? [
          line(
            '€h',
            'heater',
            `${formatFigure(heatMin)}/60·${formatFigure(site.heaterPerHour)} an hour`,
            heat,
            unit,
            site.name,
          ),
        ]
      : [];
  return [
    figureOf('cost.material', 'Material in all', material, 'money', [
      ...boughtLines(supplies, unit),
      line('€m', 'material', 'sum', material, unit),
    ]),
    figureOf('cost.labour', 'Labour', labour, 'money', labourLines),
    ...(heat > 0 ? [figureOf('cost.heat', 'Heater', heat, 'money', heatLines)] : []),
    figureOf(
      'cost.total',
      'The job',
      total,
      'money',
      [
        line('€m', 'material', 'sum of the packs', material, unit),
        ...labourLines,
        ...heatLines,
        line(
          '€d',
          'downtime',
          `${formatFigure(readyMin)}/60·${formatFigure(survey.asset.costPerHour)} an hour`,
          downtime,
          unit,
          'asset',
        ),
        line('€', 'the job', heat > 0 ? '€m + €l + €h + €d' : '€m + €l + €d', total, unit),
      ],
      ['window.downMin'],
    ),
    ...nothing(work),
    ...other(work, 'quote', 'A contractor', survey.past.quoteCost, survey.past.quoteMin),
    ...other(work, 'part', 'A new part', survey.past.partCost, survey.past.partMin),
  ];
}

/** The alternatives: a contractor, or a new part: price, and the stop until it is done. */
function other(
  work: Work,
  id: 'quote' | 'part',
  name: string,
  price: number | null,
  min: number | null,
): Figure[] {
  if (price === null && min === null) return [];
  const { survey, site } = work;
  const downtime = ((min ?? 0) / 60) * survey.asset.costPerHour;
  const total = (price ?? 0) + downtime;
  const paths = [`past.${id}Cost`, `past.${id}Min`];
  return [
    figureOf(
      `${id}.cost`,
      `${name}, price and downtime`,
      total,
      'money',
      [
        line('€p', 'price', 'survey', price ?? 0, site.currency, 'survey'),
        line(
          '€d',
          'downtime',
          `${formatFigure(min ?? 0)}/60·${formatFigure(survey.asset.costPerHour)} an hour`,
          downtime,
          site.currency,
          'asset',
        ),
        line('€', 'in all', '€p + €d', total, site.currency),
      ],
      paths,
    ),
    ...(min === null
      ? []
      : [
          figureOf(
            `${id}.ready`,
            `${name}, done in`,
            min,
            'time',
            [line('t', 'done in', 'survey', min, 'min', 'survey')],
            paths,
          ),
        ]),
  ];
}

/** Doing nothing: when growing damage stops the plant, and the cost of that stop. */
function nothing({ survey, site }: Work): Figure[] {
  const { grows, nowMm, mmPerWeek, stopsAtMm, stopMin } = survey.past;
  if (
    grows !== 'yes' ||
    nowMm === null ||
    mmPerWeek === null ||
    stopsAtMm === null ||
    stopMin === null
  )
    return [];
  const weeks = Math.max(0, (stopsAtMm - nowMm) / mmPerWeek);
  const cost = (stopMin / 60) * survey.asset.costPerHour;
  const paths = ['past.nowMm', 'past.mmPerWeek', 'past.stopsAtMm', 'past.stopMin'];
  const grown = line(
    'tw',
    'until it stops by itself',
    `(${formatFigure(stopsAtMm)} − ${formatFigure(nowMm)})/${formatFigure(mmPerWeek)}`,
    weeks,
    'weeks',
    'survey',
  );
  return [
    figureOf(
      'nothing.until',
      'Without repair, it stops in',
      weeks * 7 * 1440,
      'time',
      [grown, line('t', 'the same', 'tw·7·1440', weeks * 7 * 1440, 'min')],
      paths,
    ),
    figureOf(
      'nothing.cost',
      'Cost of that stop',
      cost,
      'money',
      [
        grown,
        line(
          '€',
          'an unplanned stop',
          `${formatFigure(stopMin)}/60·${formatFigure(survey.asset.costPerHour)}`,
          cost,
          site.currency,
          'survey, asset',
        ),
      ],
      paths,
    ),
  ];
}
