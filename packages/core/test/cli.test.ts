import { execFileSync, spawnSync } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { calcs } from '../src/calculations/registry';

const ROOT = join(__dirname, '../../..');
const CALC = join(ROOT, 'bin/calc');

const run = (args: string[], input = '') => {
  const { status, stdout, stderr } = spawnSync(CALC, args, { input, encoding: 'utf8', cwd: ROOT });
  return { status, stdout, stderr };
};
interface Bad {
  error: string;
  issues: { path: string; message: string }[];
}

test('one calculation: one JSON object, exit 0, fields unrounded, working ending in the first result', () => {
  const { status, stdout, stderr } = run(['dew-point'], '{"airC":20,"rhPct":50}');
  const answer = JSON.parse(stdout) as {
    ok: boolean;
    dewPointC: number;
    working: { value: number; source: string }[];
  };
  expect({ status, stderr }).toEqual({ status: 0, stderr: '' });
  expect(answer.ok).toBe(true);
  expect(answer.dewPointC).toBeCloseTo(9.2552, 4);
  expect(answer.working.at(-1)?.value).toBe(answer.dewPointC);
});

test('a refusal of well-formed input is exit 0 with the reason', () => {
  const { status, stdout } = run(
    ['cure-time'],
    '{"points":[{"tempC":20,"minutes":60}],"tempC":90}',
  );
  expect(status).toBe(0);
  expect(JSON.parse(stdout)).toEqual({
    ok: false,
    why: expect.stringMatching(/90 °C is outside 0 to 40 °C/),
  });
});

test.each([
  ['out of range', 'dew-point', '{"airC":20,"rhPct":500}', 'rhPct', 'must be 100 or less'],
  ['a missing field', 'dew-point', '{"airC":20}', 'rhPct', 'is missing; give a number'],
  [
    'an unknown field',
    'dew-point',
    '{"airC":20,"rhPct":50,"x":1}',
    'x',
    'unknown field; remove it',
  ],
  ['a wrong type', 'dew-point', '{"airC":"mild","rhPct":50}', 'airC', 'must be a number'],
  [
    'an empty list',
    'hardness',
    '{"readings":[],"target":80}',
    'readings',
    'needs at least 1 entry',
  ],
  [
    'a shape that is none',
    'shape-volume',
    '{"shape":{"kind":"blob"}}',
    'shape.kind',
    'unknown kind',
  ],
  [
    'a shaft worn over its size',
    'shape-volume',
    '{"shape":{"kind":"band","finishedDiameterMm":50,"wornDiameterMm":60,"lengthMm":5}}',
    'shape.finishedDiameterMm',
    'must be over wornDiameterMm',
  ],
  [
    'two totals',
    'mix-split',
    '{"ratio":{"a":2,"b":1,"by":"mass"},"densityA":1,"densityB":1,"total":{"ml":1,"g":1}}',
    'total',
    '',
  ],
  [
    'warmer but slower',
    'cure-time',
    '{"points":[{"tempC":20,"minutes":60},{"tempC":30,"minutes":90}],"tempC":25}',
    'points.1.minutes',
    'must be under 60',
  ],
  [
    'a temperature twice',
    'cure-time',
    '{"points":[{"tempC":20,"minutes":60},{"tempC":20,"minutes":50}],"tempC":20}',
    'points.1.tempC',
    'stands twice',
  ],
  [
    'a kit id twice',
    'kit-pick',
    '{"neededMl":1,"kits":[{"id":"a","ml":1,"price":1},{"id":"a","ml":2,"price":1}]}',
    'kits.1.id',
    'stands twice',
  ],
])(
  '%s is exit 2, nothing on standard output, the field and what is allowed on standard error',
  (_, name, input, path, message) => {
    const { status, stdout, stderr } = run([name], input);
    const bad = JSON.parse(stderr) as Bad;
    expect({ status, stdout }).toEqual({ status: 2, stdout: '' });
    expect(bad.issues.some((i) => i.path.startsWith(path) && i.message.includes(message))).toBe(
      true,
    );
  },
);

test('input that is not JSON, and an unknown calculation, are exit 2', () => {
  expect(run(['dew-point'], 'warm')).toMatchObject({ status: 2, stdout: '' });
  const { status, stderr } = run(['weather']);
  expect(status).toBe(2);
  expect((JSON.parse(stderr) as Bad).issues[0]?.message).toMatch(/dew-point, ambient-gate/);
});

test('--list names every calculation with its purpose, and each has worked cases', () => {
  const lines = run(['--list']).stdout.trim().split('\n');
  expect(lines.map((l) => l.split(/\s/)[0])).toEqual(calcs.map((c) => c.name));
  for (const l of lines) expect(l).toMatch(/^\S+ {2}.+\.$/);
  const files = readdirSync(join(__dirname, 'reference'));
  for (const c of calcs) expect(files).toContain(`${c.name}.json`);
});

test('--schema prints JSON Schema of the input', () => {
  const schema = JSON.parse(run(['ambient-gate', '--schema']).stdout) as {
    required: string[];
    additionalProperties: boolean;
    properties: object;
  };
  expect(schema.required).toEqual(['airC', 'rhPct', 'surfaceC']);
  expect(schema.additionalProperties).toBe(false);
  expect(Object.keys(schema.properties)).toContain('minAboveDewC');
});

test('--batch answers each line in order, a bad one with its error', () => {
  const lines = [
    '{"calc":"dew-point","input":{"airC":20,"rhPct":50}}',
    'nonsense',
    '{"calc":"dew-point","input":{"airC":99,"rhPct":50}}',
    '{"calc":"none","input":{}}',
    '{"calc":"film","input":{"areaM2":1,"dftUm":500,"volumeSolidsPct":100}}',
  ];
  const out = execFileSync(CALC, ['--batch'], {
    input: lines.join('\n'),
    encoding: 'utf8',
    cwd: ROOT,
  })
    .trim()
    .split('\n');
  const answers = out.map((l) => JSON.parse(l) as { ok?: boolean; error?: string });
  expect(answers.map((a) => a.ok ?? 'error')).toEqual([true, 'error', 'error', 'error', true]);
});
