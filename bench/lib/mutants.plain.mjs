import { fileURLToPath } from 'node:url';
import { common } from './mutants.mjs';

const root = fileURLToPath(new URL('../..', import.meta.url));

/** Core and contract, by the tests of the packages that are plain computation. */
export default {
  ...common,
  // The packages find each other by the links in here: they have to be those of the copy that is broken.
  symlinkNodeModules: false,
  buildCommand: `cp -al ${root}node_modules node_modules`,
  plugins: [fileURLToPath(new URL('mutants.runner.mjs', import.meta.url))],
  ignorers: ['prose'],
  testRunner: 'in-one-process',
  testRunnerNodeArgs: ['--import', 'tsx'],
  coverageAnalysis: 'perTest',
  // What is worked out as a module is read is reached by no test in particular: all would have to be asked.
  ignoreStatic: true,
  // Each is broken in a process of its own.
  maxTestRunnerReuse: 1,
  concurrency: 2,
  timeoutMS: 30_000,
  dryRunTimeoutMinutes: 30,
};
