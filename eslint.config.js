const { defineConfig, globalIgnores } = require('eslint/config');
const expo = require('eslint-config-expo/flat');
const prettier = require('eslint-config-prettier');
const i18next = require('eslint-plugin-i18next');

/** Who may import whom: imports go one way, from client and server to contract to core. */
/** `patterns` are groups, or a regular expression if some of a group are allowed. */
const forbid = (files, patterns, message) => ({
  files,
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: patterns.map((p) =>
          p instanceof RegExp ? { regex: p.source, message } : { group: [p], message },
        ),
      },
    ],
  },
});

const PURE = ['react*', 'expo*', 'hono*', '@hono/*', 'drizzle*', '@kelmot/*', 'pg'];
/** Folders of core from the lowest up: each may import those before it, so that no two import each other. */
const CORE_ORDER = [
  ['text'],
  ['calc'],
  ['units'],
  ['message'],
  ['trade'],
  ['ambient', 'cure', 'mix', 'geometry', 'wrap', 'cracks', 'film', 'inspect', 'instruments'],
  ['calculations'],
  ['materials'],
  ['site'],
  ['survey'],
  ['work'],
  ['schedule'],
  ['section'],
  ['methods'],
  ['family'],
  ['families'],
  ['form'],
  ['rules'],
  ['job'],
  ['match'],
  ['plan'],
  ['run'],
  ['tool'],
];
const coreOrder = CORE_ORDER.flatMap((level, i) =>
  level.map((folder) => ({
    files: [`packages/core/src/${folder}/**`],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: PURE, message: 'Core is pure.' },
            ...CORE_ORDER.slice(i + 1)
              .flat()
              .map((above) => ({
                group: [`**/${above}/*`],
                message: `${folder} stands below ${above}: move what both need down.`,
              })),
          ],
        },
      ],
    },
  })),
);

/**
 * What a person reads goes through the catalogue, `t('…')`, also in templates. Not read by people: ids and enums (lower
 * case, no space), class names, paths of drawings, colours, fonts, keys, media types, errors for developers.
 */
const READ_BY_PEOPLE = {
  mode: 'all',
  'should-validate-template': true,
  'jsx-attributes': {
    exclude: ['className', 'd', 'fontFamily', 'testID', 'style', 'role', 'fill'],
  },
  'object-properties': { exclude: ['fontFamily', 'letter'] },
  callees: {
    exclude: [
      't',
      'm',
      'Error',
      'require',
      'useKey',
      'chosenFile',
      'createAction',
      'newDraft',
      'querySelector',
      'querySelectorAll',
      'closest',
      'includes',
      'startsWith',
      'endsWith',
    ],
  },
  words: {
    exclude: [
      '^[^A-Za-z]*$',
      '^[a-z0-9_/.:;#?=&()-]*$',
      '^(text|font|bg|border)-\\S+( (text|tracking)-\\S+)*$',
      '^([MLHVCZAQmlhvczaq][0-9 .,-]*)+$',
      '^#[0-9A-F]{6}$',
      '^(Barlow|MartianMono)',
      '^(UTC|GET|POST|A|B|aG|bG|aMl|bMl|batchMass)$',
      '^(px "|", sans-serif|;base64,)$',
    ],
  },
};

/** Elsewhere at least every sentence does: core is full of symbols, ids and formulas that are no words. */
const SENTENCES = {
  mode: 'all',
  'should-validate-template': true,
  'object-properties': { exclude: ['description'] },
  callees: { exclude: ['t', 'm', 'sentences', 'Error', 'endsWith', 'lockById'] },
  words: { exclude: ['^(?!.*[A-Za-z]{3,}[,;:.]? [a-z]{2,}).*$', '^select pg_.*'] },
};

module.exports = defineConfig([
  globalIgnores([
    '**/dist/',
    '.mutants/',
    '**/node_modules/',
    '**/.expo/',
    'apps/server/drizzle/',
    '**/nativewind-env.d.ts',
  ]),
  expo,
  prettier,
  {
    settings: {
      'import/resolver': {
        typescript: {
          project: [
            'packages/tsconfig.json',
            'apps/tsconfig.json',
            'apps/client/tsconfig.json',
            'tsconfig.json',
          ],
          noWarnOnMultipleProjects: true,
        },
      },
    },
    // TypeScript knows and checks what a module exports.
    rules: { 'import/no-named-as-default-member': 'off', 'import/namespace': 'off' },
  },
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: __dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': [
        'error',
        {
          allowForKnownSafeCalls: [
            {
              from: 'package',
              name: ['test', 'describe', 'it', 'before', 'after'],
              package: 'node:test',
            },
          ],
        },
      ],
      '@typescript-eslint/no-explicit-any': 'error',
      // A schema and its inferred type share one name.
      '@typescript-eslint/no-redeclare': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
    },
  },
  {
    files: ['packages/core/src/**', 'apps/client/src/**', 'apps/client/app/**'],
    rules: { 'max-lines-per-function': ['error', { max: 80, skipComments: true }] },
  },
  {
    // More than three arguments are named: one object. The demo's rows of data stay short.
    files: [
      'packages/{core,contract,papers}/src/**',
      'apps/{client,server}/src/**',
      'apps/client/app/**',
    ],
    rules: { 'max-params': ['error', 3] },
  },
  {
    files: ['apps/client/src/**', 'apps/client/app/**'],
    ignores: ['**/*.test.*', '**/test/**', '**/*.cjs'],
    plugins: { i18next },
    rules: { 'i18next/no-literal-string': ['error', READ_BY_PEOPLE] },
  },
  {
    files: ['packages/{core,contract,papers}/src/**', 'apps/server/src/{services,http}/**'],
    ignores: ['packages/core/src/calculations/cli.ts', 'apps/server/src/services/live.ts'],
    plugins: { i18next },
    rules: { 'i18next/no-literal-string': ['error', SENTENCES] },
  },
  forbid(
    ['packages/core/src/**'],
    PURE,
    'Core is pure: no interface, no server, no other package of ours.',
  ),
  ...coreOrder,
  {
    files: ['packages/core/src/**'],
    ignores: ['packages/core/src/calculations/cli.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'process',
        'window',
        'document',
        'fetch',
        'performance',
        'setTimeout',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Core has no clock: pass the moment in.' },
        { object: 'Math', property: 'random', message: 'Core has no randomness: pass a seed in.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Core has no clock.',
        },
      ],
    },
  },
  forbid(
    ['packages/contract/src/**'],
    [
      'react*',
      'expo*',
      'hono*',
      '@hono/*',
      'drizzle*',
      '@kelmot/demo*',
      '@kelmot/server*',
      '@kelmot/client*',
    ],
    'Contract knows only core.',
  ),
  forbid(
    ['packages/demo/src/**'],
    ['react*', 'expo*', 'hono*', '@hono/*', 'drizzle*', '@kelmot/server*', '@kelmot/client*'],
    'Demo knows only contract and core.',
  ),
  forbid(
    ['packages/papers/src/**'],
    [
      'react*',
      'expo*',
      'hono*',
      '@hono/*',
      'drizzle*',
      '@kelmot/demo*',
      '@kelmot/server*',
      '@kelmot/client*',
    ],
    'Papers know only contract and core.',
  ),
  forbid(
    ['apps/client/app/**', 'apps/client/src/**'],
    // Simulated instruments run on the device, like real ones.
    [/^@kelmot\/demo(?!\/instruments\/)/, '@kelmot/server*', 'hono*', 'drizzle*', 'pg'],
    'The client reaches the server over HTTP only.',
  ),
  forbid(
    ['apps/server/src/**'],
    ['@kelmot/client*', '@kelmot/demo*', 'react*', 'expo*'],
    'The server knows no interface and no demo.',
  ),
  {
    files: ['**/*.config.{js,cjs}', '**/*.cjs', '**/jest.*.{js,cjs}', 'bin/**'],
    languageOptions: {
      globals: {
        __dirname: 'readonly',
        require: 'readonly',
        module: 'writable',
        process: 'readonly',
        console: 'readonly',
      },
    },
  },
  {
    files: ['**/__tests__/**', '**/*.test.{ts,tsx}', '**/jest.setup.ts'],
    languageOptions: {
      globals: {
        jest: 'readonly',
        test: 'readonly',
        expect: 'readonly',
        afterEach: 'readonly',
        beforeEach: 'readonly',
        describe: 'readonly',
      },
    },
  },
]);
