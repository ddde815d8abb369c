const node = require('./jest.node.cjs');

module.exports = {
  projects: [
    node('core', `${__dirname}/packages/core`),
    node('contract', `${__dirname}/packages/contract`),
    node('demo', `${__dirname}/packages/demo`),
    '<rootDir>/apps/client/jest.config.js',
  ],
};
