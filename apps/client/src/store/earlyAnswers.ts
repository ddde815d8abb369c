/** Answers to the early requests are used for this time after the page opened, ms. */
const FRESH_MS = 20_000;

declare global {
  // The requests of `public/ahead.js`, by address.
  var askedAhead: Map<string, Promise<Response | null>> | undefined;
}

/** Drops the early answers: the next person may be another. */
export function dropEarlyAnswers(): void {
  globalThis.askedAhead = undefined;
}

/** Rejects when a request is aborted, as a fetch would. */
const given = (signal: AbortSignal): Promise<never> =>
  new Promise((_, reject) => {
    const giveUp = () => reject(signal.reason as Error);
    if (signal.aborted) giveUp();
    else signal.addEventListener('abort', giveUp, { once: true });
  });

/**
 * Fetches. An early answer is used instead, once, if it succeeded; a failed one is fetched again, because somebody may
 * have signed in since.
 */
export async function fetchWithEarlyAnswers(request: Request): Promise<Response> {
  const ahead = request.method === 'GET' ? globalThis.askedAhead?.get(request.url) : undefined;
  globalThis.askedAhead?.delete(request.url);
  if (!ahead || performance.now() >= FRESH_MS) return fetch(request);
  const answer = await Promise.race([ahead, given(request.signal)]);
  return answer?.ok ? answer : fetch(request);
}
