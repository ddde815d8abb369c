import { t } from '../text/text';
import { answerOf, formatFigure, type Calc, type WorkingLine } from '../calc/calc';
import { calcTitle } from './edit';

/** A text in a table cell: its bars would end the cell. */
const cell = (text: string): string => text.replace(/\|/g, '\\|');

const row = (line: WorkingLine): string => {
  const value = typeof line.value === 'number' ? formatFigure(line.value) : line.value;
  const cells = [line.symbol, line.label, line.expression, value, line.unit, line.source];
  return `| ${cells.map(cell).join(' | ')} |`;
};

function entry(calc: Calc): string {
  const answer = answerOf(calc.run(calc.example));
  return [
    `## ${calcTitle(calc.name)}`,
    '',
    `\`${calc.name}\`: ${calc.purpose}`,
    '',
    ...calc.formula.map((f) => `- ${f}`),
    '',
    `Source: ${calc.source}`,
    '',
    t('Limits of use: {limits}', { limits: calc.limits }),
    '',
    t('Worked example:'),
    '',
    '```json',
    JSON.stringify(calc.example),
    '```',
    '',
    '| symbol | what | sum | value | unit | source |',
    '| --- | --- | --- | --- | --- | --- |',
    ...answer.working.map(row),
    '',
  ].join('\n');
}

/** Makes docs/formulas.md from the calculations' own data: formula, symbols, units, source, limits, an example each. */
export function formulasPage(calcs: readonly Calc[]): string {
  return [
    '# Formulas',
    '',
    t(
      'Made by `bin/docs` from the code; do not edit. Every calculation is one pure function of `packages/core`, reached',
    ),
    t(
      'from a shell by `bin/calc NAME`, in the application under Know-how, Quick tools, and in every figure’s Working.',
    ),
    t(
      'Temperatures are in °C, kelvin = °C + 273.15, R = 8.314462618 J/(mol·K), 1 bar = 0.1 MPa. Random draws come from the',
    ),
    t('seeded generator mulberry32.'),
    '',
    ...calcs.map(entry),
  ].join('\n');
}
