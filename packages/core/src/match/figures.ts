import { t } from '../text/text';
import { line, type WorkingLine } from '../calc/calc';
import { word } from '../message/word';
import type { UnitSystem } from '../units/quantities';
import { figureOf, type Figure } from '../work/figure';
import type { CardMatch, Judged } from './match';
import { costPerYear, YEAR_DAYS } from './rank';

/** The figure of the plan whose working belongs to a rule; the others compare a reading with the card. */
const SUMS: Record<string, string> = {
  window: 'ready',
  thickness: 'coats',
  batches: 'batches',
  ambient: 'margin',
};

/** Time to service: the plan's own time, and before it the time for approvals. */
function readyFigure({ serviceMin, besides, work }: CardMatch, ready: Figure): Figure {
  if (serviceMin === null || besides.minutes === 0) return ready;
  return figureOf({
    id: 'ready',
    label: ready.label,
    value: serviceMin,
    quantity: 'time',
    working: [
      ...ready.working,
      line({
        symbol: 'tc',
        label: t('approval, beyond what is met by then'),
        expression: t('site'),
        value: besides.minutes,
        unit: 'min',
        source: work.site.name,
      }),
      line({
        symbol: 'ts',
        label: t('to service'),
        expression: 'ready + tc',
        value: serviceMin,
        unit: 'min',
      }),
    ],
    paths: ready.paths,
  });
}

/** The parts of the total cost. */
function totalLines({
  work,
  totalCost,
  materialCost,
  workCost,
  downtimeCost,
  besides,
}: CardMatch): WorkingLine[] {
  const { currency, name } = work.site;
  return [
    line({
      symbol: '€m',
      label: t('material'),
      expression: t('cheapest packs'),
      value: materialCost ?? 0,
      unit: currency,
      source: 'cards',
    }),
    line({
      symbol: '€w',
      label: t('people and heater'),
      expression: t('its own schedule'),
      value: workCost ?? 0,
      unit: currency,
      source: name,
    }),
    line({
      symbol: '€c',
      label: t('leave and an early look'),
      expression: t('site'),
      value: besides.cost,
      unit: currency,
      source: name,
    }),
    line({
      symbol: '€d',
      label: t('downtime'),
      expression: t('time to service at its rate'),
      value: downtimeCost ?? 0,
      unit: currency,
      source: 'asset',
    }),
    line({
      symbol: '€',
      label: t('in all'),
      expression: '€m + €w + €c + €d',
      value: totalCost ?? 0,
      unit: currency,
    }),
  ];
}

/** The total cost, and the cost per year of life. */
function moneyFigures(match: CardMatch): Record<string, Figure> {
  const { card, work, lifeDays, totalCost } = match;
  const a = costPerYear(match);
  if (totalCost === null || a === null) return {};
  const { currency } = work.site;
  const total = totalLines(match);
  const year = [
    ...total,
    line({
      symbol: 'L',
      label: t('expected life'),
      expression: t('as on the card'),
      value: lifeDays,
      unit: 'd',
      source: `card ${card.code}`,
    }),
    line({
      symbol: '€a',
      label: t('per year'),
      expression: `€·${YEAR_DAYS}/L`,
      value: a,
      unit: currency,
    }),
  ];
  return {
    cost: figureOf({
      id: 'cost',
      label: t('Cost in all'),
      value: totalCost,
      quantity: 'money',
      working: total,
    }),
    year: figureOf({
      id: 'year',
      label: t('Cost per year'),
      value: a,
      quantity: 'money',
      working: year,
    }),
  };
}

/** The figures of a match, each with its working: those of its plan, and one for each rule that measures. */
export function matchFigures(
  match: CardMatch,
  plan: Record<string, Figure>,
  units: UnitSystem = 'metric',
): Record<string, Figure> {
  const { work, card, judged, lifeDays } = match;
  const { intent } = work.survey;
  const source = `card ${card.code}`;
  const life = line({
    symbol: 'L',
    label: t('expected life, {intent}', { intent }),
    expression: t('as on the card'),
    value: lifeDays,
    unit: 'd',
    source,
  });
  const figures: Record<string, Figure> = {
    life: figureOf({
      id: 'life',
      label: t('Expected life'),
      value: lifeDays * 1440,
      quantity: 'time',
      working: [life],
    }),
    ...moneyFigures(match),
    ...(plan.ready ? { ready: readyFigure(match, plan.ready) } : {}),
  };
  for (const j of judged) {
    const figure = ruleFigure(j, { plan, code: card.code, units });
    if (figure) figures[`rule.${j.rule.id}`] = figure;
  }
  return Object.fromEntries(
    Object.entries(figures).map(([key, f]) => [key, { ...f, id: `${card.code}.${key}` }]),
  );
}

function ruleFigure(
  judged: Judged,
  { plan, code, units }: { plan: Record<string, Figure>; code: string; units: UnitSystem },
): Figure | null {
  const { against, rule, because } = judged;
  if (!against) return null;
  const { value, limit, quantity, sense } = against;
  const sum = plan[SUMS[rule.id] ?? ''];
  const compared: WorkingLine[] = [
    line({
      symbol: '',
      label: sense === 'max' ? t('most') : t('least'),
      expression: rule.question,
      value: limit,
      unit: '',
      source: rule.id === 'window' ? 'survey' : `card ${code}`,
    }),
    line({
      symbol: '',
      label: rule.name.toLowerCase(),
      expression: word(because, units),
      value,
      unit: '',
      source: sum ? t('from above') : 'survey',
    }),
  ];
  return figureOf({
    id: rule.id,
    label: rule.name,
    value,
    quantity,
    working: [...(sum?.working ?? []), ...compared],
    paths: sum?.paths ?? [],
  });
}
