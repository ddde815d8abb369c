import { calcs } from '@kelmot/core/calculations/registry';
import { makePlan, type Survey, type SystemCard } from '@kelmot/core';
import { demoSurvey, openRepairs, siteSettings, systemCards } from '@kelmot/demo';
import { perSecond, rate, table, times } from './lib/measure';
import { makeSheet } from './lib/sheet';
import { planSheet, sheets } from './lib/sheets';

/**
 * Operations per second of each calculation on its documented example, with parsing and working, and of a whole plan;
 * as ratios to a spreadsheet engine that computes the same formulas, where a sheet can.
 */
function main(): void {
  const rows = calcs.map((calc) => {
    const ours = perSecond(() => calc.run(calc.example));
    const sheet = sheets[calc.name];
    if (!sheet) return [calc.name, rate(ours), '', 'no sheet does this'];
    const work = makeSheet(sheet);
    check(calc.name, calc.run(calc.example), work());
    const theirs = perSecond(work);
    return [calc.name, rate(ours), rate(theirs), times(ours / theirs)];
  });
  const { survey, card } = onePocket();
  const plan = perSecond(() =>
    makePlan(survey, card, { site: siteSettings, madeAt: '2031-01-01T00:00:00.000Z' }),
  );
  const sheet = perSecond(makeSheet(planSheet));
  rows.push(['whole plan, all rules and steps', rate(plan), rate(sheet), times(plan / sheet)]);
  process.stdout.write(
    `${table(['calculation', 'core, 1/s', 'spreadsheet, 1/s', 'core over sheet'], rows)}\n`,
  );
  process.stdout.write(
    '\nCore parses the input and writes the working; the sheet only computes. Its plan has the sums alone: no rules, batches, packs or steps.\n',
  );
}

/** Stops if the sheet computes another first result: then the comparison is meaningless. */
function check(name: string, answer: object, sheet: unknown): void {
  const first = Object.entries(answer).find(([key]) => key !== 'ok')?.[1] as unknown;
  if (
    typeof first !== 'number' ||
    typeof sheet !== 'number' ||
    Math.abs(sheet - first) > 1e-9 * Math.abs(first)
  )
    throw new Error(`${name}: the sheet says ${String(sheet)}, core ${String(first)}`);
}

/** The first demo repair, an eroded pump pocket, with its card. */
function onePocket(): { survey: Survey; card: SystemCard } {
  const [repair] = openRepairs;
  const card = systemCards.find((c) => c.code === repair?.cardCode);
  if (!repair || !card) throw new Error('the demo has lost its first repair');
  const survey = demoSurvey(repair.tag, null, '2031-01-01T00:00:00.000Z', repair.survey);
  return { survey, card };
}

main();
