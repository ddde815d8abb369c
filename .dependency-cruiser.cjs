/**
 * The order of our folders, checked at every build: who may import whom, and no circle of files or folders. The drawing
 * is in docs/architecture.md. Type imports count.
 */
const apart = (from, to, why) => ({
  name: `${from} knows nothing of ${to}`,
  severity: 'error',
  comment: why,
  from: { path: from },
  to: { path: to },
});

/** Folders from top to bottom: each may import those below it, never those above. */
const inOrder = (root, folders) =>
  folders.slice(1).map((folder, i) => ({
    name: `${root}/${folder} stands below ${folders[i]}`,
    severity: 'error',
    comment: 'A folder imports only those below it: move what both need down.',
    from: { path: `^${root}/${folder}(/|\\.)` },
    to: { path: folders.slice(0, i + 1).map((above) => `^${root}/${above}(/|\\.)`) },
  }));

const CLIENT = 'apps/client/src';

module.exports = {
  forbidden: [
    {
      name: 'no circle of files',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'no circle of folders',
      severity: 'error',
      scope: 'folder',
      from: {},
      to: { circular: true },
    },
    ...inOrder(CLIENT, ['screens', 'features', 'shared', 'store', 'offline']),
    apart(
      `^${CLIENT}/`,
      '^apps/client/app/',
      'Routes lead to features, and nothing leads to routes.',
    ),
    {
      name: 'a feature is used through its index',
      severity: 'error',
      from: { path: `^${CLIENT}/features/([^/]+)/` },
      to: {
        path: `^${CLIENT}/features/[^/]+/`,
        pathNot: [`^${CLIENT}/features/$1/`, '/index\\.ts$'],
      },
    },
    {
      name: 'a route uses a feature through its index',
      severity: 'error',
      from: { path: '^apps/client/app/' },
      to: { path: `^${CLIENT}/features/[^/]+/`, pathNot: '/index\\.ts$' },
    },
    ...inOrder('apps/server/src', [
      '(app|start|main)',
      'routes',
      'http',
      'services',
      'db',
      'common',
    ]),
    {
      name: 'a family knows no other',
      severity: 'error',
      from: { path: '^packages/core/src/families/(f\\d+)/' },
      to: { path: '^packages/core/src/families/', pathNot: '^packages/core/src/families/$1/' },
    },
    {
      name: 'inside a package nobody asks its own index',
      severity: 'error',
      comment:
        'The index is for other packages: through it every file would depend on every other.',
      from: { path: '^packages/([^/]+)/src/.+' },
      to: { path: '^packages/$1/src/index\\.ts$' },
    },
    apart('^packages/core/src/', '^(packages/(?!core/)|apps/)', 'Core is pure.'),
    apart(
      '^packages/contract/src/',
      '^(packages/(?!core/|contract/)|apps/)',
      'Contract imports core alone.',
    ),
    apart(
      '^packages/(demo|papers)/src/',
      '^(packages/(?!core/|contract/|demo/|papers/)|apps/)',
      'Demo and papers know contract and core.',
    ),
    apart('^packages/papers/src/', '^packages/demo/', 'Papers know no demo.'),
    apart(
      '^apps/server/src/',
      '^(apps/(client|demo)|packages/demo)/',
      'The server knows no interface and no demo.',
    ),
    // Simulated instruments run on the device, like real ones.
    apart(
      `^${CLIENT}/`,
      '^(apps/server|packages/demo/src/(?!instruments/))',
      'The client reaches the server over HTTP only.',
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(\\.worker\\.ts|\\.d\\.c?ts)$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.depcruise.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'default'],
    },
  },
};
