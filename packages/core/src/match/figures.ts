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
  return figureOf(
    'ready',
    ready.label,
    serviceMin,
    'time',
    [
      ...ready.working,
      line(
        'tc',
        t('leave, beyond what is met meanwhile'),
        t('site'),
        besides.minutes,
        'min',
        work.site.name,
      ),
      line('ts', t('to service'), 'ready + tc', serviceMin, 'min'),
    ],
    ready.paths,
  );
}

/** The total cost, and the cost per year of life. */
function moneyFigures(match: CardMatch): Record<string, Figure> {
  const { card, work, lifeDays, totalCost, materialCost, workCost, downtimeCost, besides } = match;
  const a = costPerYear(match);
  if (totalCost === null || a === null) return {};
  const { currency, name } = work.site;
  const total = [
    line('€m', t('material'), t('cheapest packs'), materialCost ?? 0, currency, 'cards'),
    line('€w', t('people and heater'), t('its own schedule'), workCost ?? 0, currency, name),
    line('€c', t('leave and an early look'), t('site'), besides.cost, currency, name),
    line(
      '€d',
      t('downtime'),
      t('time to service at its rate'),
      downtimeCost ?? 0,
      currency,
      'asset',
    ),
    line('€', t('in all'), '€m + €w + €c + €d', totalCost, currency),
  ];
  const year = [
    ...total,
    line('L', t('expected life'), t('as on the card'), lifeDays, 'd', `card ${card.code}`),
    line('€a', t('per year'), `€·${YEAR_DAYS}/L`, a, currency),
  ];
  return {
    cost: figureOf('cost', t('Cost in all'), totalCost, 'money', total),
    year: figureOf('year', t('Cost per year'), a, 'money', year),
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
  const life = line(
    'L',
    t('expected life, {intent}', { intent }),
    t('as on the card'),
    lifeDays,
    'd',
    source,
  );
  const figures: Record<string, Figure> = {
    life: figureOf('life', t('Expected life'), lifeDays * 1440, 'time', [life]),
    ...moneyFigures(match),
    ...(plan.ready ? { ready: readyFigure(match, plan.ready) } : {}),
  };
  for (const j of judged) {
    const figure = ruleFigure(j, plan, card.code, units);
    if (figure) figures[`rule.${j.rule.id}`] = figure;
  }
  return Object.fromEntries(
    Object.entries(figures).map(([key, f]) => [key, { ...f, id: `${card.code}.${key}` }]),
  );
}

function ruleFigure(
  judged: Judged,
  plan: Record<string, Figure>,
  code: string,
  units: UnitSystem,
): Figure | null {
  const { against, rule, because } = judged;
  if (!against) return null;
  const { value, limit, quantity, sense } = against;
  const sum = plan[SUMS[rule.id] ?? ''];
  const compared: WorkingLine[] = [
    line(
      '',
      sense === 'max' ? t('most') : t('least'),
      rule.question,
      limit,
      '',
      rule.id === 'window' ? 'survey' : `card ${code}`,
    ),
    line(
      '',
      rule.name.toLowerCase(),
      word(because, units),
      value,
      '',
      sum ? t('from above') : 'survey',
    ),
  ];
  return figureOf(
    rule.id,
    rule.name,
    value,
    quantity,
    [...(sum?.working ?? []), ...compared],
    sum?.paths ?? [],
  );
}
