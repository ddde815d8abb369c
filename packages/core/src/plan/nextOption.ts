import { z } from 'zod';
import { formatFigure, line } from '../calc/calc';
import { t } from '../text/text';
import { figureOf, type Figure } from '../work/figure';

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

/** The next option’s total with its parts. */
function nextTotal(next: Next, unit: string): Figure {
  const source = `card ${next.code}`;
  return figureOf({
    id: 'next.total',
    label: t('{code}, the job', { code: next.code }),
    value: next.total,
    quantity: 'money',
    working: [
      line({
        symbol: '€m',
        label: t('material'),
        expression: t('cheapest packs'),
        value: next.material,
        unit,
        source,
      }),
      line({
        symbol: '€w',
        label: t('people, heater, what must be met'),
        expression: t('its own schedule, the site’s rates'),
        value: next.work,
        unit,
        source: 'site',
      }),
      line({
        symbol: '€d',
        label: t('downtime'),
        expression: t('{ready}/60 at the asset’s rate', { ready: formatFigure(next.readyMin) }),
        value: next.downtime,
        unit,
        source: 'asset',
      }),
      line({
        symbol: '€',
        label: t('in all'),
        expression: '€m + €w + €d',
        value: next.total,
        unit,
      }),
    ],
  });
}

/** The next option’s figures, beside this one’s. Money in the site’s currency. */
export function nextFigures(next: Next | null, unit: string): Figure[] {
  if (!next) return [];
  const source = `card ${next.code}`;
  return [
    nextTotal(next, unit),
    figureOf({
      id: 'next.ready',
      label: t('{code}, back in service in', { code: next.code }),
      value: next.readyMin,
      quantity: 'time',
      working: [
        line({
          symbol: 't',
          label: t('ready'),
          expression: t('its own schedule'),
          value: next.readyMin,
          unit: 'min',
          source,
        }),
      ],
    }),
    figureOf({
      id: 'next.life',
      label: t('{code}, expected life', { code: next.code }),
      value: next.lifeDays * 1440,
      quantity: 'time',
      working: [
        line({
          symbol: 'L',
          label: t('expected life'),
          expression: t('as on the card'),
          value: next.lifeDays,
          unit: 'd',
          source,
        }),
        line({
          symbol: 't',
          label: t('the same'),
          expression: 'L·1440',
          value: next.lifeDays * 1440,
          unit: 'min',
        }),
      ],
    }),
  ];
}
