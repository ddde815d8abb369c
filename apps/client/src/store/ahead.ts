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

/** Rejects once a question is given up, as a fetch of it would: it is not waited for longer than any other. */
const given = (signal: AbortSignal): Promise<never> =>
  new Promise((_, reject) => {
    const giveUp = () => reject(signal.reason as Error);
    if (signal.aborted) giveUp();
    else signal.addEventListener('abort', giveUp, { once: true });
  });

/**
 * Fetches; what the page has asked ahead is taken instead, once, where it is an answer: one that failed or was refused is
 * asked again, as somebody may have come in since.
 */
export async function fetchAhead(request: Request): Promise<Response> {
  const ahead = request.method === 'GET' ? globalThis.askedAhead?.get(request.url) : undefined;
  globalThis.askedAhead?.delete(request.url);
  if (!ahead || performance.now() >= FRESH_MS) return fetch(request);
  const answer = await Promise.race([ahead, given(request.signal)]);
  return answer?.ok ? answer : fetch(request);
}
