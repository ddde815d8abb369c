import { transformSync } from '@babel/core';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import * as contract from '@kelmot/contract';
import * as core from '@kelmot/core';

interface Defined {
  file: string;
  name: string;
}
const { definers, fromDefiners } = jest.requireActual<{
  definers: () => Record<string, Record<string, Defined>>;
  fromDefiners: object;
}>('../scripts/definers.cjs');
const names = definers();

/** The code after the bundler plugin. */
const bundled = (code: string) =>
  transformSync(code, {
    configFile: false,
    babelrc: false,
    parserOpts: { plugins: ['typescript'] },
    plugins: [[fromDefiners, { names }]],
  })?.code?.replace(/"[^"]*\/packages\//g, '"') ?? '';

test.each([
  ['@kelmot/core', core],
  ['@kelmot/contract', contract],
])('every name of %s comes from its defining file', (index, gathered) => {
  const values = Object.entries(gathered);
  expect(values.length).toBeGreaterThan(80);
  for (const [exported, value] of values) {
    const { file, name } = names[index]?.[exported] ?? { file: '', name: '' };
    expect([exported, jest.requireActual<Record<string, unknown>>(file)[name] === value]).toEqual([
      exported,
      true,
    ]);
  }
});

test('a name is imported from its defining file; types and other names too', () => {
  expect(
    bundled("import { nextAction, word as say, type Plan, STATIONS } from '@kelmot/core';"),
  ).toBe(
    [
      'import { nextAction } from "core/src/run/nextAction";',
      'import { word as say } from "core/src/message/word";',
      'import { type Plan } from "core/src/plan/plan";',
      'import { STATIONS } from "core/src/work/stations";',
    ].join('\n'),
  );
});

test('a name of a feature is imported from its file, without the rest of the index', () => {
  const code = bundled("import { Frame, StationFrame as Around } from '@/features/frame';");
  expect(code.replace(/"[^"]*\/features\//g, '"')).toBe(
    [
      'import { Frame } from "frame/Frame";',
      'import { StationFrame as Around } from "frame/StationFrame";',
    ].join('\n'),
  );
});

test("every export of a feature's index is found", () => {
  for (const [index, found] of Object.entries(names)) {
    if (!index.startsWith('@/features/')) continue;
    const file = join(__dirname, '../src', index.slice(2), 'index.ts');
    const exported = readFileSync(file, 'utf8').match(/\b\w+(?=,| \}|\n\})/g) ?? [];
    expect([index, Object.keys(found).sort()]).toEqual([index, [...exported].sort()]);
  }
});

test.each([
  "import type { Plan } from '@kelmot/core';",
  "import * as all from '@kelmot/core';",
  "import { call } from '@kelmot/core/calculations/call';",
  "import { useState } from 'react';",
])('what gathers nothing is unchanged: %s', (code) => {
  expect(bundled(code)).toBe(code);
});
