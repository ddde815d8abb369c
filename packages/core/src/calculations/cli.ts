import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { call, type BadInput } from './call';
import { calcByName, calcs } from './registry';

const USAGE =
  'bin/calc NAME < input.json | bin/calc --list | bin/calc NAME --schema | bin/calc --batch < lines';

/** Writes the error object and exits with the status for bad input. */
function stop(bad: BadInput): never {
  process.stderr.write(JSON.stringify(bad) + '\n');
  process.exit(2);
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    return stop({
      error: 'input is not JSON',
      issues: [{ path: '', message: (error as Error).message }],
    });
  }
}

const BatchLine = z.strictObject({ calc: z.string(), input: z.unknown() });

function batchAnswer(text: string): object {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    return { error: 'line is not JSON', issues: [{ path: '', message: (error as Error).message }] };
  }
  const parsed = BatchLine.safeParse(raw);
  if (!parsed.success) {
    return {
      error: 'a line is {"calc": NAME, "input": {...}}',
      issues: [{ path: '', message: parsed.error.message }],
    };
  }
  const result = call(parsed.data.calc, parsed.data.input);
  return result.status === 'answer' ? result.answer : result.bad;
}

function main(args: string[]): void {
  const [name, flag] = args;
  const print = (text: string) => process.stdout.write(text + '\n');
  if (name === '--list') {
    calcs.forEach((c) => print(`${c.name}  ${c.purpose}`));
    return;
  }
  if (name === '--batch') {
    const lines = readFileSync(0, 'utf8')
      .split('\n')
      .filter((l) => l.trim() !== '');
    lines.forEach((l) => print(JSON.stringify(batchAnswer(l))));
    return;
  }
  const calc = name ? calcByName.get(name) : undefined;
  if (!name || (!calc && name.startsWith('-'))) stop({ error: USAGE, issues: [] });
  if (flag === '--schema' && calc) {
    print(JSON.stringify(z.toJSONSchema(calc.input, { io: 'input' }), null, 2));
    return;
  }
  const result = call(
    name,
    calc && flag === undefined ? parseJson(readFileSync(0, 'utf8')) : undefined,
  );
  if (result.status === 'bad') stop(result.bad);
  print(JSON.stringify(result.answer));
}

main(process.argv.slice(2));
