import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

describe('the catalogue of texts', () => {
  const script = resolve(__dirname, '../../../bin/lib/texts.mjs');
  let folder = '';
  const source = (code: string) => {
    writeFileSync(join(folder, 'packages/core/src/a.ts'), code);
    execFileSync('git', ['add', '.'], { cwd: folder });
  };
  /** Exit code and output of the script in a small repository. */
  const run = (...args: string[]): [number, string] => {
    try {
      return [0, execFileSync('node', [script, ...args], { cwd: folder, encoding: 'utf8' })];
    } catch (error) {
      const { status, stdout } = error as { status: number; stdout: string };
      return [status, stdout];
    }
  };
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'kelmot-texts-'));
    for (const path of ['packages/core/src', 'texts'])
      mkdirSync(join(folder, path), { recursive: true });
    execFileSync('git', ['init', '-q'], { cwd: folder });
  });
  afterEach(() => rmSync(folder, { recursive: true, force: true }));

  test('holds each text once, with an id that stays, and passes its own check', () => {
    source(`t('Depth'); m(x ? 'One' : 'Two'); t('Depth');`);
    expect(run()).toEqual([0, '']);
    const kept = JSON.parse(readFileSync(join(folder, 'texts/en.json'), 'utf8')) as object;
    expect(Object.values(kept)).toEqual(['Depth', 'One', 'Two']);
    source(`m('Two'); t('Depth'); m('One'); t('Extra');`);
    run();
    const later = JSON.parse(readFileSync(join(folder, 'texts/en.json'), 'utf8')) as object;
    expect(later).toMatchObject(kept);
    expect(run('--check')).toEqual([0, '']);
  });

  test('refuses what is missing, unused, no literal or no ICU text, and values that do not fit', () => {
    source(`t('Depth');`);
    run();
    source(`t('Width');
      t(name);
      m('Two {n, plural}');
      t('{a} of {b}', { a });
      t('{a} alone', { a, b });
      m('{n, plural, other {{of}}}', { n });`);
    const [status, output] = run('--check');
    expect(status).toBe(1);
    for (const said of [
      /missing in .*“Width”/,
      /unused in .*“Depth”/,
      /a\.ts:2: t\(\) needs a literal/,
      /“Two {n, plural}” is not ICU MessageFormat/,
      /“{a} of {b}” needs b/,
      /“{a} alone” does not use b/,
      /“{n, plural, other {{of}}}” needs of/,
    ])
      expect(output).toMatch(said);
  });
});
