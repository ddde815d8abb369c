import { byJest } from './mutants.mjs';

/** Core and contract, by the tests of the packages that run in plain node. */
export default {
  ...byJest('bench/lib/mutants.plain.jest.cjs'),
  concurrency: 2,
  timeoutMS: 20_000,
  dryRunTimeoutMinutes: 30,
};
