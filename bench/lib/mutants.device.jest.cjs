const path = require('node:path');
const root = path.resolve(__dirname, '../../apps/client');
const { displayName: _displayName, ...client } = require(`${root}/jest.config.js`);

/** The client as its own tests run it, for what is kept and sent on the device; slow screen tests are left out. */
module.exports = {
  ...client,
  rootDir: root,
  testMatch: ['outbox', 'sender', 'persister', 'drafts'].map(
    (name) => `<rootDir>/__tests__/${name}.test.ts`,
  ),
};
