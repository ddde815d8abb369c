import { t } from '../text/text';
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
    figureOf('next.total', t('{code}, the job', { code: next.code }), next.total, 'money', [
      line('€m', t('material'), t('cheapest packs'), next.material, unit, source),
      line(
        '€w',
        t('people, heater, what must be met'),
        t('its own schedule, the site’s rates'),
        next.work,
        unit,
        'site',
      ),
      line(
        '€d',
        t('downtime'),
        t('{ready}/60 at the asset’s rate', { ready: formatFigure(next.readyMin) }),
        next.downtime,
        unit,
        'asset',
      ),
      line('€', t('in all'), '€m + €w + €d', next.total, unit),
    ]),
    figureOf(
      'next.ready',
      t('{code}, back in service in', { code: next.code }),
      next.readyMin,
      'time',
      [line('t', t('ready'), t('its own schedule'), next.readyMin, 'min', source)],
    ),
    figureOf(
      'next.life',
      t('{code}, expected life', { code: next.code }),
      next.lifeDays * 1440,
      'time',
      [
        line('L', t('expected life'), t('as on the card'), next.lifeDays, 'd', source),
        line('t', t('the same'), 'L·1440', next.lifeDays * 1440, 'min'),
      ],
    ),
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

const heaterLine = (site: Work['site'], heatMin: number, cost: number) =>
  line(
    '€h',
    t('heater'),
    t('{minutes}/60·{perHour} an hour', {
      minutes: formatFigure(heatMin),
      perHour: formatFigure(site.heaterPerHour),
    }),
    cost,
    site.currency,
    site.name,
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
      t('hours of people'),
      t('every step of the schedule by its people'),
      hours,
      'h',
      'schedule',
    ),
    line(
      '€l',
      t('labour'),
      t('h·{labourPerHour} an hour', { labourPerHour: formatFigure(site.labourPerHour) }),
      labour,
      unit,
      site.name,
    ),
  ];
  const heatLines = heat > 0 ? [heaterLine(site, heatMin, heat)] : [];
  return [
    figureOf('cost.material', t('Material in all'), material, 'money', [
      ...boughtLines(supplies, unit),
      line('€m', t('material'), 'sum', material, unit),
    ]),
    figureOf('cost.labour', t('Labour'), labour, 'money', labourLines),
    ...(heat > 0 ? [figureOf('cost.heat', t('Heater'), heat, 'money', heatLines)] : []),
    figureOf(
      'cost.total',
      t('The job'),
      total,
      'money',
      [
        line('€m', t('material'), t('sum of the packs'), material, unit),
        ...labourLines,
        ...heatLines,
        line(
          '€d',
          t('downtime'),
          t('{ready}/60·{costPerHour} an hour', {
            ready: formatFigure(readyMin),
            costPerHour: formatFigure(survey.asset.costPerHour),
          }),
          downtime,
          unit,
          'asset',
        ),
        line('€', t('the job'), heat > 0 ? '€m + €l + €h + €d' : '€m + €l + €d', total, unit),
      ],
      ['window.downMin'],
    ),
    ...nothing(work),
    ...other(work, 'quote', t('A contractor'), survey.past.quoteCost, survey.past.quoteMin),
    ...other(work, 'part', t('A new part'), survey.past.partCost, survey.past.partMin),
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
      t('{name}, price and downtime', { name }),
      total,
      'money',
      [
        line('€p', t('price'), t('survey'), price ?? 0, site.currency, 'survey'),
        line(
          '€d',
          t('downtime'),
          t('{min}/60·{costPerHour} an hour', {
            min: formatFigure(min ?? 0),
            costPerHour: formatFigure(survey.asset.costPerHour),
          }),
          downtime,
          site.currency,
          'asset',
        ),
        line('€', t('in all'), '€p + €d', total, site.currency),
      ],
      paths,
    ),
    ...(min === null
      ? []
      : [
          figureOf(
            `${id}.ready`,
            t('{name}, done in', { name }),
            min,
            'time',
            [line('t', t('done in'), t('survey'), min, 'min', 'survey')],
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
    t('until it stops by itself'),
    `(${formatFigure(stopsAtMm)} − ${formatFigure(nowMm)})/${formatFigure(mmPerWeek)}`,
    weeks,
    'weeks',
    'survey',
  );
  return [
    figureOf(
      'nothing.until',
      t('Without repair, it stops in'),
      weeks * 7 * 1440,
      'time',
      [grown, line('t', t('the same'), 'tw·7·1440', weeks * 7 * 1440, 'min')],
      paths,
    ),
    figureOf(
      'nothing.cost',
      t('Cost of that stop'),
      cost,
      'money',
      [
        grown,
        line(
          '€',
          t('an unplanned stop'),
          `${formatFigure(stopMin)}/60·${formatFigure(survey.asset.costPerHour)}`,
          cost,
          site.currency,
          t('survey, asset'),
        ),
      ],
      paths,
    ),
  ];
}
