/** Mutation testing of what `bench/mutants` names: see there. */
export default {
  testRunner: 'jest',
  plugins: ['@stryker-mutator/jest-runner'],
  jest: { configFile: 'bench/lib/mutants.jest.cjs', enableFindRelatedTests: true },
  coverageAnalysis: 'perTest',
  incremental: false,
  ignoreStatic: true,
  inPlace: false,
  symlinkNodeModules: true,
  concurrency: 2,
  timeoutMS: 20_000,
  tempDirName: '.mutants',
  cleanTempDir: 'always',
  reporters: ['clear-text'],
  clearTextReporter: { allowColor: false, allowEmojis: false, reportTests: false },
  ignorePatterns: ['apps/client/dist', 'apps/client/ios', 'apps/client/android', 'docs', '.expo'],
};
