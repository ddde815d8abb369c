import { common } from './mutants.mjs';

const TESTS = ['stale', 'atOnce', 'commands', 'record', 'jobs', 'sites', 'people'];

/** The server's services, with the tests that use them; each uses the database of `bench/mutants`. */
export default {
  ...common,
  testRunner: 'command',
  commandRunner: {
    command: `node --import tsx --test --test-concurrency=2 ${TESTS.map((t) => `apps/server/test/${t}.test.ts`).join(' ')}`,
  },
  coverageAnalysis: 'off',
  concurrency: 1,
  timeoutMS: 120_000,
};
