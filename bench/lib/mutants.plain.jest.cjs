const path = require('node:path');
const root = path.resolve(__dirname, '../..');
const node = require(`${root}/jest.node.cjs`)('mutants', root);

/** The packages that run in plain node, read from the copy that is broken: the client has no mutants of its own yet. */
module.exports = {
  ...node,
  displayName: undefined,
  testMatch: ['core', 'contract', 'demo'].map(
    (name) => `<rootDir>/packages/${name}/test/**/*.test.ts`,
  ),
  moduleNameMapper: {
    ...node.moduleNameMapper,
    '^@kelmot/(core|contract|demo)$': '<rootDir>/packages/$1/src/index.ts',
    '^@kelmot/(core|contract|demo)/(.*)$': '<rootDir>/packages/$1/src/$2.ts',
  },
};
