module.exports = {
  displayName: 'client',
  preset: 'jest-expo',
  rootDir: __dirname,
  resolver: 'react-native-worklets/jest/resolver',
  testMatch: ['<rootDir>/__tests__/**/*.test.ts?(x)'],
  setupFiles: ['react-native-gesture-handler/jestSetup.js'],
  setupFilesAfterEnv: ['<rootDir>/jest.setup.ts'],
  moduleNameMapper: {
    '^@/beyond/all$': '<rootDir>/jest.beyond.ts',
    '^@/(.*)$': '<rootDir>/src/$1',
    '\\.css$': '<rootDir>/jest.css-stub.js',
  },
  transform: {
    '\\.[jt]sx?$': [
      'babel-jest',
      {
        configFile: false,
        caller: { name: 'metro', bundler: 'metro', platform: 'ios' },
        presets: ['babel-preset-expo'],
        // A test knows no bundle to fetch a part from.
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
