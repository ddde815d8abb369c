import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { calcs } from '../src/calculations/registry';
import { formulasPage } from '../src/tool/formulas';

test('docs/formulas.md matches the code (bin/docs writes it)', () => {
  expect(readFileSync(join(__dirname, '../../../docs/formulas.md'), 'utf8')).toBe(
    formulasPage(calcs),
  );
});

test('every calculation names its formulas, source and limits', () => {
  for (const calc of calcs) {
    expect(calc.formula.length).toBeGreaterThan(0);
    expect(calc.source).toMatch(/\.$/);
    expect(calc.limits).toMatch(/\.$/);
  }
});
