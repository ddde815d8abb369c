const node = require('./jest.node.cjs');

module.exports = {
  // A test waits for the right result on any machine: this limit only ends one that hangs.
  testTimeout: 120_000,
  projects: [
    node('core', `${__dirname}/packages/core`),
    node('contract', `${__dirname}/packages/contract`),
    node('demo', `${__dirname}/packages/demo`),
    node('papers', `${__dirname}/packages/papers`),
    '<rootDir>/apps/client/jest.config.js',
  ],
};
