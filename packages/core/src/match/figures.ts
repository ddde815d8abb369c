import { line, type WorkingLine } from '../calc/calc';
import { word } from '../message/word';
import type { UnitSystem } from '../units/quantities';
import { figureOf, type Figure } from '../work/figure';
import type { CardMatch, Judged } from './match';

/** Which figure of the plan carries the sum of a rule; the others compare a reading with the card. */
const SUMS: Record<string, string> = {
  window: 'ready',
  thickness: 'coats',
  batches: 'batches',
  ambient: 'margin',
};

/** The figures of a match, each with its working: those of the plan it would make, and one a rule that measures. */
export function matchFigures(
  { work, card, judged, lifeDays }: CardMatch,
  plan: Record<string, Figure>,
  units: UnitSystem = 'metric',
): Record<string, Figure> {
  const figures: Record<string, Figure> = {
    life: figureOf('life', 'Expected life', lifeDays * 1440, 'time', [
      line(
        'L',
        `expected life, ${work.survey.intent}`,
        'as on the card',
        lifeDays,
        'd',
        `card ${card.code}`,
      ),
    ]),
  };
  const named: [string, string][] = [
    ['ready', 'ready'],
    ['material', 'packCost'],
    ['downtime', 'downtime'],
  ];
  for (const [id, of] of named) if (plan[of]) figures[id] = plan[of];
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
      sense === 'max' ? 'most' : 'least',
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
      sum ? 'from above' : 'survey',
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
