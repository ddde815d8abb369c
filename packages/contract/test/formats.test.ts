import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { cardFile, CardFile } from '../src/cards';
import { card } from '../../core/test/fixtures';

test('docs/formats/cards.schema.json is the schema that imports are read by (bin/docs writes it)', () => {
  const file = join(__dirname, '../../../docs/formats/cards.schema.json');
  const published = JSON.parse(readFileSync(file, 'utf8')) as unknown;
  expect(published).toEqual(JSON.parse(JSON.stringify(z.toJSONSchema(CardFile, { io: 'input' }))));
});

test('a file of cards is read back as it was written', () => {
  const file = cardFile([card]);
  expect(CardFile.parse(JSON.parse(JSON.stringify(file)))).toEqual(file);
  expect(CardFile.safeParse({ ...file, format: 'something-else' }).success).toBe(false);
});
