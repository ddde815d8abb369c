import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { IDA, planOf, viewOf } from '../../../packages/contract/test/view';
import { fetchWithEarlyAnswers } from '@/store/earlyAnswers';
import { api } from '@/store/api';
import { preloadBench } from '@/store/preloadBench';
import { left } from '@/store/settings';
import { makeStore } from '@/store/store';
import { answers } from './memoryDisk';

jest.mock('@/offline/disk', () => jest.requireActual<object>('./memoryDisk'));

const ORIGIN = 'http://127.0.0.1';
const ME = `${ORIGIN}/api/me`;
const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/json' },
  });
const asked: string[] = [];
/** The answer that the fake server gives now. */
let now: () => Response = () => json('now');

beforeEach(() => {
  asked.length = 0;
  now = () => json('now');
  globalThis.fetch = (async (request: Request | string) => {
    asked.push(typeof request === 'string' ? ORIGIN + request : request.url);
    return now();
  }) as typeof fetch;
  globalThis.askedAhead = undefined;
  answers.clear();
  jest.spyOn(performance, 'now').mockReturnValue(1500);
});
afterEach(() => jest.restoreAllMocks());

const ahead = (answer: Response | null, url = ME) =>
  (globalThis.askedAhead = new Map([[url, Promise.resolve(answer)]]));
const read = async (request: Request) => (await fetchWithEarlyAnswers(request)).json();

test('an early answer is used once, and then asked for again', async () => {
  ahead(json('ahead'));
  expect(await read(new Request(ME))).toBe('ahead');
  expect(asked).toEqual([]);
  expect(await read(new Request(ME))).toBe('now');
  expect(asked).toEqual([ME]);
});

test.each([
  ['refused, as nobody had come in yet', json({}, 401)],
  ['lost', null],
])('an early answer that was %s is asked for again', async (_, answer) => {
  ahead(answer);
  expect(await read(new Request(ME))).toBe('now');
});

test('a command never gets an early answer', async () => {
  ahead(json('ahead'));
  expect(await read(new Request(ME, { method: 'POST' }))).toBe('now');
});

test('an early request is not awaited longer than any other', async () => {
  globalThis.askedAhead = new Map([[ME, new Promise<never>(() => undefined)]]);
  const over = new AbortController();
  const waiting = fetchWithEarlyAnswers(new Request(ME, { signal: over.signal }));
  over.abort(new Error('too long'));
  await expect(waiting).rejects.toThrow('too long');
  expect(asked).toEqual([]);
});

test('a rejection with an unreadable state is still a rejection', async () => {
  const problem = { type: 'about:blank', title: 'Changed in between', status: 409 };
  now = () => json({ ...problem, current: { of: 'another version' } }, 409);
  const { error } = await makeStore().dispatch(api.endpoints.site.initiate());
  expect(error).toEqual({ kind: 'problem', problem });
});

test('an old early answer is asked for again', async () => {
  ahead(json('ahead'));
  jest.spyOn(performance, 'now').mockReturnValue(20_001);
  expect(await read(new Request(ME))).toBe('now');
});

/** Runs the script that the page runs before the application is loaded. */
function runPage(): Map<string, unknown> {
  const script = readFileSync(join(__dirname, '../public/ahead.js'), 'utf8');
  new Function('location', 'fetch', script)({ origin: ORIGIN }, globalThis.fetch);
  return globalThis.askedAhead ?? new Map();
}
const page = { rows: [], next: null };

test("the page's early requests are the application's first requests", async () => {
  const view = viewOf(planOf());
  const says: Record<string, unknown> = {
    me: IDA,
    repairs: page,
    site: { id: view.id, settings: view.plan?.body.site },
  };
  const byPage = [...runPage().keys()];
  asked.length = 0;
  globalThis.askedAhead = undefined;
  globalThis.fetch = (async ({ url }: Request) => {
    asked.push(url);
    return json(says[new URL(url).pathname.split('/')[2] ?? '']);
  }) as typeof fetch;
  const store = makeStore();
  await preloadBench(store);
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect(asked.sort()).toEqual(byPage.sort());
  const { data } = api.endpoints.repairs.select({ status: 'open', q: '' })(store.getState());
  expect(data?.pages).toEqual([page]);
});

test('a person who is not signed in loads nothing more, and one who signs out loads nothing', async () => {
  const url = `${ORIGIN}/api/site`;
  ahead(json('of who was here'), url);
  now = () => json({ type: 'about:blank', title: 'Sign in', status: 401 }, 401);
  const store = makeStore();
  await preloadBench(store);
  expect(asked).toEqual([ME]);
  expect(globalThis.askedAhead).toBeUndefined();
  store.dispatch(left(true));
  ahead(json(IDA));
  await preloadBench(store);
  expect(asked).toEqual([ME]);
  // The answer for a person who signed out is not used for the next person.
  expect(await read(new Request(ME))).not.toBe(IDA);
  expect(asked).toEqual([ME, ME]);
});
