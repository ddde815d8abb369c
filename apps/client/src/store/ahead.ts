/** So long after the page was opened what it asked ahead is still how it is, ms. */
const FRESH_MS = 20_000;

declare global {
  // What `public/ahead.js` asked, by its address.
  var askedAhead: Map<string, Promise<Response | null>> | undefined;
}

/** Drops what was asked ahead: whoever comes next may be another. */
export function dropAhead(): void {
  globalThis.askedAhead = undefined;
}

/**
 * Fetches; what the page has asked ahead is taken instead, once, where it is an answer: one that failed or was refused is
 * asked again, as somebody may have come in since.
 */
export async function fetchAhead(request: Request): Promise<Response> {
  const ahead = request.method === 'GET' ? globalThis.askedAhead?.get(request.url) : undefined;
  globalThis.askedAhead?.delete(request.url);
  const answer = performance.now() < FRESH_MS ? await ahead : null;
  return answer?.ok ? answer : fetch(request);
}
