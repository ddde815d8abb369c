import { fileURLToPath } from 'node:url';
import { common } from './mutants.mjs';

const root = fileURLToPath(new URL('../..', import.meta.url));

/** Core and contract, with the tests of the pure packages. */
export default {
  ...common,
  // The packages find each other by these links: they must be those of the broken copy.
  symlinkNodeModules: false,
  buildCommand: `cp -al ${root}node_modules node_modules`,
  plugins: [fileURLToPath(new URL('mutants.runner.mjs', import.meta.url))],
  ignorers: ['prose'],
  testRunner: 'in-one-process',
  testRunnerNodeArgs: ['--import', 'tsx'],
  coverageAnalysis: 'perTest',
  // What runs when a module loads is covered by no test in particular: all would have to run.
  ignoreStatic: true,
  // One process for each mutant.
  maxTestRunnerReuse: 1,
  concurrency: 2,
  timeoutMS: 30_000,
  dryRunTimeoutMinutes: 30,
};
