import type { Me, RepairView } from '@kelmot/contract';
import { IDA, planOf, viewOf } from '../../../packages/contract/test/view';
import { forgetWho } from '@/store/answers';
import { api, type ApiError } from '@/store/api';
import { makeStore, type AppStore } from '@/store/store';
import { answers } from './memoryDisk';

jest.mock('@/offline/disk', () => ({ ...jest.requireActual<object>('./memoryDisk') }));

const view = viewOf(planOf());
const TOMAS: Me = { ...IDA, id: 'tomas', name: 'Tomas' };
/** The fake server's answer for each path; null: no signal. */
let says: Record<string, unknown> | null = {};
const fetched = async (request: Request): Promise<Response> => {
  const path = new URL(request.url).pathname.slice('/api/'.length);
  if (!says) throw new TypeError('Failed to fetch');
  const body = says[path];
  return new Response(JSON.stringify(body ?? { type: 'about:blank', title: 'No', status: 404 }), {
    status: body === undefined ? 404 : 200,
    headers: { 'content-type': 'application/json' },
  });
};
/** Waits until answers are read, kept and shown. */
const settle = async () => {
  for (let turn = 0; turn < 10; turn += 1) await new Promise((resolve) => setTimeout(resolve));
};

/** Opens the device: a new store with the kept data, and asks who is signed in. */
async function opened(): Promise<AppStore> {
  const store = makeStore();
  void store.dispatch(api.endpoints.me.initiate());
  await settle();
  return store;
}
const ask = async (store: AppStore, id: string) => {
  void store.dispatch(api.endpoints.repair.initiate(id));
  await settle();
  return api.endpoints.repair.select(id)(store.getState());
};

beforeEach(() => {
  answers.clear();
  globalThis.fetch = fetched as typeof fetch;
  says = { me: IDA, [`repairs/${view.id}`]: view };
});

test('what was loaded once is available without signal, with a notice that there is none', async () => {
  await ask(await opened(), view.id);
  says = null;
  const later = await opened();
  const { data, error } = await ask(later, view.id);
  expect(data).toEqual(view);
  expect((error as ApiError).kind).toBe('offline');
  expect(later.getState().view.signal).toBe(false);
  expect(api.endpoints.me.select()(later.getState()).data).toEqual(IDA);
});

test("a kept answer shows at once, and the server's answer replaces it", async () => {
  await ask(await opened(), view.id);
  const newer: RepairView = { ...view, version: 9, assetName: 'Another name' };
  let answer: ((r: Response) => void) | undefined;
  globalThis.fetch = ((request: Request) =>
    request.url.includes('repairs')
      ? new Promise<Response>((resolve) => (answer = resolve))
      : fetched(request)) as typeof fetch;
  const store = await opened();
  expect((await ask(store, view.id)).data).toEqual(view);
  answer?.(
    new Response(JSON.stringify(newer), { headers: { 'content-type': 'application/json' } }),
  );
  await settle();
  expect(api.endpoints.repair.select(view.id)(store.getState()).data).toEqual(newer);
  says = null;
  globalThis.fetch = fetched as typeof fetch;
  expect((await ask(await opened(), view.id)).data).toEqual(newer);
});

test('a rejection that comes before storage answers is not hidden by the kept answer', async () => {
  await opened();
  says = {};
  const disk = jest.requireMock<{ readAnswer: (key: string) => Promise<unknown> }>(
    '@/offline/disk',
  );
  const read = disk.readAnswer;
  const slow = jest.spyOn(disk, 'readAnswer').mockImplementation(async (key) => {
    await settle();
    return read(key);
  });
  const store = makeStore();
  void store.dispatch(api.endpoints.me.initiate());
  await settle();
  await settle();
  await settle();
  slow.mockRestore();
  const { data, error } = api.endpoints.me.select()(store.getState());
  expect(data).toEqual(IDA);
  expect((error as ApiError | undefined)?.kind).toBe('problem');
});

test('what was never loaded is missing without signal, and nothing is made up', async () => {
  const { data, error } = await ask(await opened(), 'another');
  expect([data, (error as ApiError).kind]).toEqual([undefined, 'problem']);
  says = null;
  expect((await ask(await opened(), 'another')).data).toBeUndefined();
});

test("one person on a device never sees another person's answers", async () => {
  await ask(await opened(), view.id);
  says = { me: TOMAS };
  await opened();
  says = null;
  const store = await opened();
  expect(api.endpoints.me.select()(store.getState()).data).toEqual(TOMAS);
  expect((await ask(store, view.id)).data).toBeUndefined();
});

test('a person who signed out is forgotten: without signal nobody is signed in', async () => {
  await ask(await opened(), view.id);
  await forgetWho();
  says = null;
  const store = await opened();
  expect(api.endpoints.me.select()(store.getState()).data).toBeUndefined();
  expect((await ask(store, view.id)).data).toBeUndefined();
});

test('a kept answer of an earlier version without newer fields is ignored', async () => {
  await ask(await opened(), view.id);
  for (const [key, kept] of answers)
    if (key !== 'me') answers.set(key, { ...kept, data: { id: view.id } });
  says = null;
  const { data, error } = await ask(await opened(), view.id);
  expect([data, (error as ApiError).kind]).toEqual([undefined, 'offline']);
});

test('a page from a gateway is not an answer of the server: it counts as no signal', async () => {
  globalThis.fetch = (async () =>
    new Response('<html>Welcome to the guest network</html>', {
      headers: { 'content-type': 'application/json' },
    })) as typeof fetch;
  const store = await opened();
  const { error } = api.endpoints.me.select()(store.getState());
  expect([(error as ApiError).kind, store.getState().view.signal]).toEqual(['offline', false]);
  globalThis.fetch = fetched as typeof fetch;
  await ask(store, view.id);
  expect(store.getState().view.signal).toBe(true);
});

test('the people with codes belong to the device, no matter who is signed in, also without signal', async () => {
  const { username: _, ...tomas } = TOMAS;
  says = { ...says, 'auth/here': [tomas] };
  const store = await opened();
  void store.dispatch(api.endpoints.here.initiate());
  await settle();
  await forgetWho();
  says = null;
  const later = makeStore();
  void later.dispatch(api.endpoints.here.initiate());
  await settle();
  expect(api.endpoints.here.select()(later.getState()).data).toEqual([tomas]);
});
