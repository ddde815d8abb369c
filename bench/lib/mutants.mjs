/** Settings of mutation testing that all groups of files share. */
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

/** A group with Jest tests: only those that reach the broken line. */
export const byJest = (configFile) => ({
  ...common,
  testRunner: 'jest',
  plugins: ['@stryker-mutator/jest-runner'],
  jest: { configFile, enableFindRelatedTests: true },
  coverageAnalysis: 'perTest',
  ignoreStatic: true,
});
