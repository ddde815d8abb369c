const { cacheDirectory, transform, testClock } = require('./testing/jest.cjs');

/** Jest project of a package that runs in plain Node. */
module.exports = (displayName, rootDir) => ({
  displayName,
  testEnvironment: 'node',
  cacheDirectory,
  rootDir,
  testMatch: ['<rootDir>/test/**/*.test.ts'],
  // A table of units that tests compare with ours; it ships as ES modules only.
  moduleNameMapper: { '^convert$': `${__dirname}/node_modules/convert/dist/index.cjs` },
  transform,
  ...testClock,
});
