const { cacheDirectory, transform, testClock } = require('../../testing/jest.cjs');

module.exports = {
  displayName: 'client',
  preset: 'jest-expo',
  rootDir: __dirname,
  cacheDirectory,
  resolver: 'react-native-worklets/jest/resolver',
  testMatch: ['<rootDir>/__tests__/**/*.test.ts?(x)'],
  ...testClock,
  setupFiles: ['react-native-gesture-handler/jestSetup.js', ...testClock.setupFiles],
  setupFilesAfterEnv: ['<rootDir>/jest.setup.ts'],
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    '\\.css$': '<rootDir>/jest.css-stub.js',
  },
  transform: {
    // Our own files; React Native's files contain Flow types, which only Babel reads.
    [`^(?!.*/node_modules/).*${Object.keys(transform)[0]}`]: Object.values(transform)[0],
    '\\.[jt]sx?$': [
      'babel-jest',
      {
        configFile: false,
        caller: { name: 'metro', bundler: 'metro', platform: 'ios' },
        presets: ['babel-preset-expo'],
        // Jest has no bundle to load a chunk from.
        plugins: ['dynamic-import-node'],
      },
    ],
  },
  transformIgnorePatterns: [
    '/node_modules/(?!(.pnpm|react-native|@react-native|@react-native-community|expo|@expo|@expo-google-fonts|react-navigation|@react-navigation|standard-navigation|nativewind|react-native-css-interop|@reduxjs/toolkit|react-redux|immer|uuid|idb))',
    '/node_modules/react-native-reanimated/plugin/',
    '/node_modules/@react-native/babel-preset/',
  ],
};
