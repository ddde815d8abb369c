/**
 * Random lines of the code under PATH, by a seed, as FILE:LINE-LINE: a sample, where breaking every line is too much.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const [path, wanted, seed] = [process.argv[2], Number(process.argv[3]), Number(process.argv[4])];

/** Park and Miller's generator: the same seed gives the same lines. */
let state = (seed % 2147483646) + 1;
const draw = (below) => {
  state = (state * 48271) % 2147483647;
  return state % below;
};

const nothingToBreak = /^\s*($|\/\/|\/?\*|import |export \*|[\])}>;,]*$)/;
const lines = readdirSync(path, { recursive: true })
  .filter((name) => name.endsWith('.ts'))
  .sort()
  .flatMap((name) =>
    readFileSync(join(path, name), 'utf8')
      .split('\n')
      .flatMap((text, at) =>
        nothingToBreak.test(text) ? [] : [`${join(path, name)}:${at + 1}-${at + 1}`],
      ),
  );
for (let drawn = 0; drawn < wanted && lines.length > 0; drawn++)
  console.log(...lines.splice(draw(lines.length), 1));
