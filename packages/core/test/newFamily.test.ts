import { execFileSync } from 'node:child_process';
import {
  cpSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const ROOT = resolve(__dirname, '../../..');
const COPY = mkdtempSync(join(tmpdir(), 'kelmot-family-'));

/** Changes a file of the copy. */
function edit(path: string, change: (text: string) => string): void {
  const file = join(COPY, path);
  const before = readFileSync(file, 'utf8');
  const after = change(before);
  expect(after).not.toBe(before);
  writeFileSync(file, after);
}

afterAll(() => rmSync(COPY, { recursive: true, force: true }));

test('a family that is added to a copy by the guide passes the type check and core’s tests', () => {
  mkdirSync(join(COPY, 'packages'), { recursive: true });
  for (const path of ['packages/core', 'testing', 'docs', 'jest.node.cjs', 'tsconfig.base.json'])
    cpSync(join(ROOT, path), join(COPY, path), {
      recursive: true,
      filter: (from) => !/newFamily\.test|\/docs\/screenshots/.test(from),
    });
  symlinkSync(join(ROOT, 'node_modules'), join(COPY, 'node_modules'));

  cpSync(
    join(COPY, 'packages/core/src/families/template'),
    join(COPY, 'packages/core/src/families/f17'),
    { recursive: true },
  );
  edit('packages/core/src/families/f17/survey.ts', (text) => text.replaceAll('F90', 'F17'));
  edit('packages/core/src/families/f17/index.ts', (text) =>
    text.replace('const template', 'const f17'),
  );
  edit('packages/core/src/families/registry.ts', (text) =>
    text
      .replace(
        "import { f16 } from './f16';",
        "import { f16 } from './f16';\nimport { f17 } from './f17';",
      )
      .replace('f16] as const', 'f16, f17] as const'),
  );
  writeFileSync(
    join(COPY, 'jest.config.js'),
    `module.exports = { testTimeout: 120_000, projects: [require('./jest.node.cjs')('core', __dirname + '/packages/core')] };`,
  );

  writeFileSync(
    join(COPY, 'tsconfig.json'),
    JSON.stringify({
      extends: './tsconfig.base.json',
      compilerOptions: { lib: ['ES2023', 'DOM'], types: ['node'] },
      include: ['packages/core/src'],
    }),
  );

  const run = (file: string, ...args: string[]) =>
    execFileSync(process.execPath, [join(ROOT, 'node_modules', file), ...args], {
      cwd: COPY,
      env: { ...process.env, JEST_WORKER_ID: undefined, NODE_OPTIONS: '' },
      encoding: 'utf8',
      stdio: 'pipe',
    });
  run('typescript/bin/tsc', '-p', '.');
  // The commands in bin/ start the clone's core, not the copy's.
  run('jest/bin/jest.js', '--ci', '--maxWorkers=1', '--testPathIgnorePatterns', 'cli.test');
}, 600_000);
