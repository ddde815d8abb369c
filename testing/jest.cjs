/** What the Jest projects of all packages share. */
const path = require('node:path');
const { START } = require('./clock.cjs');

/** Our TypeScript, compiled by SWC: much faster than Babel, and the tests run the syntax that Node runs. */
const transform = {
  '\\.[jt]sx?$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true },
        transform: { react: { runtime: 'automatic' } },
        target: 'es2022',
      },
      module: { type: 'commonjs' },
      sourceMaps: 'inline',
    },
  ],
};

/** In the clone, so that it lasts as long as the clone. */
const cacheDirectory = path.resolve(__dirname, '../node_modules/.cache/jest');

/** Every test starts at the same moment, with fake timers or without. */
const testClock = {
  setupFiles: [require.resolve('./clock.cjs')],
  fakeTimers: { now: START },
};

module.exports = { cacheDirectory, transform, testClock };
