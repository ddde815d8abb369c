import { formatFigure, line, type WorkingLine } from '../calc/calc';
import { t } from '../text/text';
import { figureOf, type Figure } from '../work/figure';
import type { Supply } from '../work/supplies';
import type { Work } from '../work/work';
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
      line({
        symbol: '',
        label: s.name,
        expression: s.picks.map((p) => `${p.count} × ${p.label}`).join(', '),
        value: s.price ?? 0,
        unit,
        source: s.code ?? '',
      }),
    );

const heaterLine = (site: Work['site'], heatMin: number, cost: number) =>
  line({
    symbol: '€h',
    label: t('heater'),
    expression: t('{minutes}/60·{perHour} an hour', {
      minutes: formatFigure(heatMin),
      perHour: formatFigure(site.heaterPerHour),
    }),
    value: cost,
    unit: site.currency,
    source: site.name,
  });

const downtimeCost = ({ survey }: Work, readyMin: number): number =>
  (readyMin / 60) * survey.asset.costPerHour;

/** The cost of the job with its parts. */
function totalFigure(
  work: Work,
  parts: {
    material: number;
    labourLines: WorkingLine[];
    heatLines: WorkingLine[];
    readyMin: number;
    total: number;
  },
): Figure {
  const { survey } = work;
  const { material, labourLines, heatLines, readyMin, total } = parts;
  const unit = work.site.currency;
  return figureOf({
    id: 'cost.total',
    label: t('The job'),
    value: total,
    quantity: 'money',
    working: [
      line({
        symbol: '€m',
        label: t('material'),
        expression: t('sum of the packs'),
        value: material,
        unit,
      }),
      ...labourLines,
      ...heatLines,
      line({
        symbol: '€d',
        label: t('downtime'),
        expression: t('{ready}/60·{costPerHour} an hour', {
          ready: formatFigure(readyMin),
          costPerHour: formatFigure(survey.asset.costPerHour),
        }),
        value: downtimeCost(work, readyMin),
        unit,
        source: 'asset',
      }),
      line({
        symbol: '€',
        label: t('the job'),
        expression: heatLines.length > 0 ? '€m + €l + €h + €d' : '€m + €l + €d',
        value: total,
        unit,
      }),
    ],
    paths: ['window.downMin'],
  });
}

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
  const total = material + labour + heat + downtimeCost(work, readyMin);
  const labourLines = [
    line({
      symbol: 'h',
      label: t('hours of people'),
      expression: t('every step of the schedule by its people'),
      value: hours,
      unit: 'h',
      source: 'schedule',
    }),
    line({
      symbol: '€l',
      label: t('labour'),
      expression: t('h·{labourPerHour} an hour', {
        labourPerHour: formatFigure(site.labourPerHour),
      }),
      value: labour,
      unit,
      source: site.name,
    }),
  ];
  const heatLines = heat > 0 ? [heaterLine(site, heatMin, heat)] : [];
  return [
    figureOf({
      id: 'cost.material',
      label: t('Material in all'),
      value: material,
      quantity: 'money',
      working: [
        ...boughtLines(supplies, unit),
        line({ symbol: '€m', label: t('material'), expression: 'sum', value: material, unit }),
      ],
    }),
    figureOf({
      id: 'cost.labour',
      label: t('Labour'),
      value: labour,
      quantity: 'money',
      working: labourLines,
    }),
    ...(heat > 0
      ? [
          figureOf({
            id: 'cost.heat',
            label: t('Heater'),
            value: heat,
            quantity: 'money',
            working: heatLines,
          }),
        ]
      : []),
    totalFigure(work, { material, labourLines, heatLines, readyMin, total }),
    ...nothing(work),
    ...other(work, 'quote', {
      name: t('A contractor'),
      price: survey.past.quoteCost,
      min: survey.past.quoteMin,
    }),
    ...other(work, 'part', {
      name: t('A new part'),
      price: survey.past.partCost,
      min: survey.past.partMin,
    }),
  ];
}

/** The alternatives: a contractor, or a new part: price, and the stop until it is done. */
function other(
  work: Work,
  id: 'quote' | 'part',
  { name, price, min }: { name: string; price: number | null; min: number | null },
): Figure[] {
  if (price === null && min === null) return [];
  const { survey, site } = work;
  const downtime = ((min ?? 0) / 60) * survey.asset.costPerHour;
  const total = (price ?? 0) + downtime;
  const paths = [`past.${id}Cost`, `past.${id}Min`];
  return [
    figureOf({
      id: `${id}.cost`,
      label: t('{name}, price and downtime', { name }),
      value: total,
      quantity: 'money',
      working: [
        line({
          symbol: '€p',
          label: t('price'),
          expression: t('survey'),
          value: price ?? 0,
          unit: site.currency,
          source: 'survey',
        }),
        line({
          symbol: '€d',
          label: t('downtime'),
          expression: t('{min}/60·{costPerHour} an hour', {
            min: formatFigure(min ?? 0),
            costPerHour: formatFigure(survey.asset.costPerHour),
          }),
          value: downtime,
          unit: site.currency,
          source: 'asset',
        }),
        line({
          symbol: '€',
          label: t('in all'),
          expression: '€p + €d',
          value: total,
          unit: site.currency,
        }),
      ],
      paths,
    }),
    ...(min === null
      ? []
      : [
          figureOf({
            id: `${id}.ready`,
            label: t('{name}, done in', { name }),
            value: min,
            quantity: 'time',
            working: [
              line({
                symbol: 't',
                label: t('done in'),
                expression: t('survey'),
                value: min,
                unit: 'min',
                source: 'survey',
              }),
            ],
            paths,
          }),
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
  const grown = line({
    symbol: 'tw',
    label: t('until it stops by itself'),
    expression: `(${formatFigure(stopsAtMm)} − ${formatFigure(nowMm)})/${formatFigure(mmPerWeek)}`,
    value: weeks,
    unit: 'weeks',
    source: 'survey',
  });
  return [
    figureOf({
      id: 'nothing.until',
      label: t('Without repair, it stops in'),
      value: weeks * 7 * 1440,
      quantity: 'time',
      working: [
        grown,
        line({
          symbol: 't',
          label: t('the same'),
          expression: 'tw·7·1440',
          value: weeks * 7 * 1440,
          unit: 'min',
        }),
      ],
      paths,
    }),
    figureOf({
      id: 'nothing.cost',
      label: t('Cost of that stop'),
      value: cost,
      quantity: 'money',
      working: [
        grown,
        line({
          symbol: '€',
          label: t('an unplanned stop'),
          expression: `${formatFigure(stopMin)}/60·${formatFigure(survey.asset.costPerHour)}`,
          value: cost,
          unit: site.currency,
          source: t('survey, asset'),
        }),
      ],
      paths,
    }),
  ];
}
