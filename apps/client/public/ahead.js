// Asks what the bench asks first, while the application itself is still on its way: `src/store/ahead.ts` takes it.
globalThis.askedAhead = new Map(
  ['me', 'site', 'repairs?status=open&q=&limit=100', 'repairs?status=closed&q=&limit=100'].map(
    (path) => [`${location.origin}/api/${path}`, fetch(`/api/${path}`).catch(() => null)],
  ),
);
