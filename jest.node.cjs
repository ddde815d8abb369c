/** Jest project of a package that runs in plain node: the same Babel as the app, no React Native preset. */
module.exports = (displayName, rootDir) => ({
  displayName,
  testEnvironment: 'node',
  rootDir,
  testMatch: ['<rootDir>/test/**/*.test.ts'],
  // A table of units that tests compare ours with; it ships as modules only.
  moduleNameMapper: { '^convert$': `${__dirname}/node_modules/convert/dist/index.cjs` },
  transform: {
    '\\.[jt]sx?$': [
      'babel-jest',
      {
        configFile: false,
        babelrc: false,
        presets: ['babel-preset-expo'],
        caller: { name: 'metro', platform: 'web' },
      },
    ],
  },
});
