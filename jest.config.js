const node = require('./jest.node.cjs');

module.exports = {
  projects: [
    node('core', `${__dirname}/packages/core`),
    node('contract', `${__dirname}/packages/contract`),
    node('demo', `${__dirname}/packages/demo`),
    node('papers', `${__dirname}/packages/papers`),
    '<rootDir>/apps/client/jest.config.js',
  ],
};
