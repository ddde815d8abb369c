import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { cardFile, CardFile } from '../src/cards';
import { planFile, PlanFile, readPlanFile } from '../src/planFile';
import { card } from '../../core/test/fixtures';
import { planOf } from './view';

test.each([
  ['cards', CardFile],
  ['plan', PlanFile],
] as const)(
  'docs/formats/%s.schema.json is what is read by (bin/docs writes it)',
  (name, schema) => {
    const file = join(__dirname, `../../../docs/formats/${name}.schema.json`);
    const published = JSON.parse(readFileSync(file, 'utf8')) as unknown;
    expect(published).toEqual(JSON.parse(JSON.stringify(z.toJSONSchema(schema, { io: 'input' }))));
  },
);

test('a card file is read back as written', () => {
  const file = cardFile([card]);
  expect(CardFile.parse(JSON.parse(JSON.stringify(file)))).toEqual(file);
  expect(CardFile.safeParse({ ...file, format: 'something-else' }).success).toBe(false);
});

describe('a plan file', () => {
  const file = planFile(planOf());
  const text = () => JSON.parse(JSON.stringify(file)) as Record<string, unknown>;

  test('is read back as written, with its working', () => {
    expect(readPlanFile(text())).toEqual({ ok: true, file });
  });

  test.each<[string, unknown, RegExp]>([
    ['of the first version', { ...file, version: 1 }, /version 1.*reads version 2.*Plan it again/],
    ['of a version to come', { ...file, version: 3 }, /version 3.*reads version 2.*newer/],
    ['of another kind', { format: 'notes', version: 2 }, /not a plan file/],
    ['that is no object', 'plan', /not a plan file/],
    [
      'with a plan that is not whole',
      { ...file, plan: { ...file.plan, steps: 'none' } },
      /plan\.steps/,
    ],
    [
      'with a step that no list knows',
      {
        ...file,
        plan: {
          ...file.plan,
          steps: file.plan.steps.map((s, i) => (i === 0 ? { ...s, name: 'incantation' } : s)),
        },
      },
      /does not know: incantation\./,
    ],
    [
      'with a figure that no list knows',
      {
        ...file,
        plan: {
          ...file.plan,
          figures: { ...file.plan.figures, luck: { ...file.plan.figures.total, id: 'luck' } },
        },
      },
      /does not know: luck\./,
    ],
  ])('%s is rejected with the reason', (_, given, why) => {
    const read = readPlanFile(given);
    expect(read.ok ? '' : read.say).toMatch(why);
  });
});
