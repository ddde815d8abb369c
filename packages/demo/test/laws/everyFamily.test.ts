import { families } from '@kelmot/core';
import { existsSync } from 'node:fs';
import { join } from 'node:path';

test.each(families().map((f) => f.id))('%s has its own test of the laws', (family) => {
  expect(existsSync(join(__dirname, `${family}.test.ts`))).toBe(true);
});
