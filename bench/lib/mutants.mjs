/** Mutation testing, as `bench/mutants` asks for it: what is the same for every group of files. */
export const common = {
  incremental: false,
  inPlace: false,
  symlinkNodeModules: true,
  tempDirName: '.mutants',
  cleanTempDir: 'always',
  reporters: ['clear-text'],
  clearTextReporter: { allowColor: false, allowEmojis: false, reportTests: false },
  ignorePatterns: [
    'apps/client/dist',
    'apps/client/ios',
    'apps/client/android',
    'docs/screenshots',
    '.expo',
  ],
};

/** A group whose tests Jest runs: only those that reach what is broken. */
export const byJest = (configFile) => ({
  ...common,
  testRunner: 'jest',
  plugins: ['@stryker-mutator/jest-runner'],
  jest: { configFile, enableFindRelatedTests: true },
  coverageAnalysis: 'perTest',
  ignoreStatic: true,
});
