/**
 * Compiles TypeScript programs of Node into one folder of modules that share what they have in common: Node then starts
 * them at once, where a loader would read hundreds of files again in each process.
 * usage: node bin/lib/compile.mjs NAME SOURCE...     prints the folder; a source lies there under its own path, as .mjs
 */
import { readFile, rm } from 'node:fs/promises';
import { relative, resolve } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { build } from 'esbuild';

const root = fileURLToPath(new URL('../../', import.meta.url));
const [name, ...sources] = process.argv.slice(2);
if (!name || sources.length === 0) throw new Error('usage: compile.mjs NAME SOURCE...');
// Beside the packages that only the server uses.
const folder = resolve(root, 'apps/server/node_modules/.cache/kelmot', name);

/** Files beside a source are found from the source's place, not from the compiled one. */
const ownAddress = {
  name: 'own-address',
  setup: ({ onLoad }) =>
    onLoad({ filter: /\/(apps|packages|e2e)\/.*\.ts$/ }, async ({ path }) => {
      if (path.includes('/node_modules/')) return undefined;
      const text = await readFile(path, 'utf8');
      const address = JSON.stringify(pathToFileURL(path).href);
      return { contents: text.replaceAll('import.meta.url', address), loader: 'ts' };
    }),
};
/** Our own packages are compiled in; all others are loaded from node_modules. */
const ours = {
  name: 'ours',
  setup: ({ onResolve }) =>
    onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
      kind === 'entry-point' || path.startsWith('@kelmot/') ? undefined : { external: true },
    ),
};

await rm(folder, { recursive: true, force: true });
await build({
  entryPoints: sources,
  outdir: folder,
  outbase: root,
  absWorkingDir: root,
  outExtension: { '.js': '.mjs' },
  chunkNames: 'chunks/[name]-[hash]',
  bundle: true,
  splitting: true,
  format: 'esm',
  platform: 'node',
  target: 'node20',
  sourcemap: 'linked',
  define: { 'process.env.COMPILED_INTO': JSON.stringify(folder) },
  plugins: [ownAddress, ours],
  logLevel: 'warning',
});
process.stdout.write(`${relative(process.cwd(), folder)}\n`);
