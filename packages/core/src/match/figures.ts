import { line, type WorkingLine } from '../calc/calc';
import type { Figure } from '../plan/figure';
import { figuresOf } from '../plan/figures';
import { suppliesOf } from '../plan/supplies';
import type { CardMatch, Judged } from './match';

/** Which figure of the plan carries the sum of a rule; the others compare a reading with the card. */
const SUMS: Record<string, string> = {
  window: 'ready',
  thickness: 'coats',
  batches: 'batches',
  ambient: 'margin',
};

/** The figures of a match, each with its working: those of the plan it would make, and one a rule that measures. */
export function matchFigures({ work, card, judged, lifeDays }: CardMatch): Record<string, Figure> {
  const plan = {
    ...figuresOf(work),
    ...Object.fromEntries(suppliesOf(work, []).figures.map((f) => [f.id, f])),
  };
  const life = lifeDays * 1440;
  const figures: Record<string, Figure> = {
    life: {
      id: 'life',
      label: 'Expected life',
      value: life,
      quantity: 'time',
      working: [
        line(
          'L',
          `expected life, ${work.survey.intent}`,
          'as on the card',
          lifeDays,
          'd',
          `card ${card.code}`,
        ),
      ],
      paths: [],
    },
  };
  const named: [string, string][] = [
    ['ready', 'ready'],
    ['material', 'packCost'],
    ['downtime', 'downtime'],
  ];
  for (const [id, of] of named) if (plan[of]) figures[id] = plan[of];
  for (const j of judged) {
    const figure = ruleFigure(j, plan, card.code);
    if (figure) figures[`rule.${j.rule.id}`] = figure;
  }
  return Object.fromEntries(
    Object.entries(figures).map(([key, f]) => [key, { ...f, id: `${card.code}.${key}` }]),
  );
}

function ruleFigure(judged: Judged, plan: Record<string, Figure>, code: string): Figure | null {
  const { against, rule, because } = judged;
  if (!against) return null;
  const { value, limit, quantity, sense } = against;
  const sum = plan[SUMS[rule.id] ?? ''];
  const compared: WorkingLine[] = [
    line(
      '',
      sense === 'max' ? 'most' : 'least',
      rule.question,
      limit,
      '',
      rule.id === 'window' ? 'survey' : `card ${code}`,
    ),
    line('', rule.name.toLowerCase(), because, value, '', sum ? 'from above' : 'survey'),
  ];
  const working = [...(sum?.working ?? []), ...compared];
  return { id: rule.id, label: rule.name, value, quantity, working, paths: sum?.paths ?? [] };
}
