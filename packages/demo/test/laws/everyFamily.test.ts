import { families } from '@kelmot/core';
import { existsSync } from 'node:fs';
import { join } from 'node:path';

test.each(families().map((f) => f.id))('%s has a test of the laws of its own', (family) => {
  expect(existsSync(join(__dirname, `${family}.test.ts`))).toBe(true);
});
