// Sends the bench's first requests while the application is still loading. `src/store/ahead.ts` takes the answers.
globalThis.askedAhead = new Map(
  ['me', 'site', 'repairs?status=open&q=&limit=100', 'repairs?status=closed&q=&limit=100'].map(
    (path) => [`${location.origin}/api/${path}`, fetch(`/api/${path}`).catch(() => null)],
  ),
);
