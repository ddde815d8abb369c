import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { cardFile, CardFile } from '../src/cards';
import { planFile, PlanFile } from '../src/planFile';
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

test('a file of cards is read back as it was written', () => {
  const file = cardFile([card]);
  expect(CardFile.parse(JSON.parse(JSON.stringify(file)))).toEqual(file);
  expect(CardFile.safeParse({ ...file, format: 'something-else' }).success).toBe(false);
});

test('a plan is read back as it was written, its working with it; an older one takes what it lacks as usual', () => {
  const file = planFile(planOf());
  const text = JSON.parse(JSON.stringify(file)) as { plan: Record<string, unknown> };
  expect(PlanFile.parse(text)).toEqual(file);
  for (const key of [
    'supplies',
    'heat',
    'windows',
    'raise',
    'next',
    'removal',
    'gear',
    'approvers',
  ])
    delete text.plan[key];
  expect(PlanFile.parse(text).plan).toMatchObject({ supplies: [], windows: null, next: null });
  expect(PlanFile.safeParse({ ...file, plan: { ...file.plan, steps: 'none' } }).success).toBe(
    false,
  );
});
