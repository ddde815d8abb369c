import type { Command, RepairView } from '@kelmot/contract';
import { planOf, viewOf } from '../../../packages/contract/test/view';
import { outboxRead, queued, retried, thrownAway, type Outbox } from '@/store/outbox';
import { makeStore, type AppStore } from '@/store/store';

const mockDisk = new Map<string, unknown>();
jest.mock('@/offline/disk', () => ({
  keep: (key: string, value: unknown) => Promise.resolve(void mockDisk.set(key, value)),
  readKept: (key: string) => Promise.resolve(mockDisk.get(key)),
}));

const R = '01900000-0000-7000-8000-0000000000';
const [ONE, TWO] = [`${R}01`, `${R}02`];
let made = 0;
/** A tick of a repair; its note tells it apart. */
const tick = (repairId: string, note: string): Command => ({
  type: 'check.set',
  id: `${R}${String(10 + ++made)}`,
  repairId,
  at: '2026-11-24T08:00:00Z',
  stepId: 'isolate',
  batchNo: null,
  done: true,
  note,
});

/** A server that answers as it is told, and notes down what it took. */
class Far {
  readonly took: string[] = [];
  readonly asked: string[] = [];
  private answers: (() => Promise<Response>)[] = [];
  private view: RepairView = viewOf(planOf());

  /** What it answers to the next command, and so on; then it takes whatever comes. */
  next(...answers: (() => Promise<Response>)[]): void {
    this.answers.push(...answers);
  }

  fetch = async (request: Request): Promise<Response> => {
    const { pathname } = new URL(request.url);
    if (pathname !== '/api/commands') {
      const id = pathname.split('/').at(-1) ?? '';
      return pathname.startsWith('/api/repairs/') ? json({ ...this.view, id }) : json([]);
    }
    const command = (await request.json()) as Command & { note: string };
    this.asked.push(command.note);
    const answer = await this.answers.shift()?.();
    if (answer && !answer.ok) return answer;
    this.took.push(command.note);
    return answer ?? json(ack(command));
  };
}
const json = (body: unknown, status = 200): Response =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/json' },
  });
const ack = ({ id, repairId }: Command, keptWith: number | null = null) => ({
  commandId: id,
  repairId,
  version: 2,
  keptWith,
});
const refusal = (status: number) => async () =>
  json({ type: 'about:blank', title: `Refused with ${status}`, status }, status);
const noSignal = () => Promise.reject(new TypeError('Failed to fetch'));

let far: Far;
let store: AppStore;
const outbox = (): Outbox => store.getState().outbox;
const waitsFor = () =>
  outbox().queue.map((w) => ('note' in w.command ? w.command.note : w.command.type));
/** Lets everything that is under way come to rest. */
const rest = (ms = 0) => jest.advanceTimersByTimeAsync(ms);
const RETRY = 4000;

beforeEach(() => {
  jest.useFakeTimers();
  mockDisk.clear();
  far = new Far();
  globalThis.fetch = far.fetch as typeof fetch;
  store = makeStore();
});
afterEach(async () => {
  // Whatever still waits is thrown away, so that nothing goes on beside the next test.
  for (const { command } of outbox().queue) store.dispatch(thrownAway(command.id));
  await rest(2 * RETRY);
  jest.useRealTimers();
});

test('what was typed is sent in the order in which it was typed, one at a time', async () => {
  let answer: (() => void) | null = null;
  far.next(() => new Promise((resolve) => (answer = () => resolve(json(ack(tick(ONE, 'first')))))));
  for (const note of ['first', 'second', 'third']) store.dispatch(queued(tick(ONE, note)));
  await rest();
  expect(far.asked).toEqual(['first']);
  (answer as (() => void) | null)?.();
  await rest();
  expect(far.took).toEqual(['first', 'second', 'third']);
  expect(outbox()).toEqual({ queue: [], kept: [] });
});

test('without signal it waits and tries again, in the same order, with the same id', async () => {
  far.next(noSignal, noSignal);
  store.dispatch(queued(tick(ONE, 'first')));
  store.dispatch(queued(tick(ONE, 'second')));
  await rest();
  expect([far.asked, waitsFor()]).toEqual([['first'], ['first', 'second']]);
  await rest(RETRY);
  expect(far.took).toEqual([]);
  await rest(RETRY);
  expect(far.asked).toEqual(['first', 'first', 'first', 'second']);
  expect(waitsFor()).toEqual([]);
});

test.each([401, 429, 500, 503])(
  'an answer of %i is no refusal: it stays in its place and goes again later',
  async (status) => {
    far.next(refusal(status));
    store.dispatch(queued(tick(ONE, 'first')));
    store.dispatch(queued(tick(TWO, 'other')));
    await rest();
    expect(outbox().queue.map((w) => w.refused)).toEqual([null, null]);
    await rest(RETRY);
    expect(far.took).toEqual(['first', 'other']);
  },
);

test.each([403, 404, 409, 422])(
  'an answer of %i stands with its reason, and holds back its own repair alone',
  async (status) => {
    far.next(refusal(status));
    const first = tick(ONE, 'first');
    store.dispatch(queued(first));
    store.dispatch(queued(tick(ONE, 'second')));
    store.dispatch(queued(tick(TWO, 'other')));
    await rest(RETRY);
    expect(far.took).toEqual(['other']);
    expect(outbox().queue.map((w) => w.refused?.status)).toEqual([status, undefined]);
    store.dispatch(thrownAway(first.id));
    await rest();
    expect(far.took).toEqual(['other', 'second']);
  },
);

test('a conflict keeps what the server has now; sent again it carries that version', async () => {
  const view = viewOf(planOf());
  far.next(async () =>
    json({ type: 'about:blank', title: 'Changed', status: 409, current: view }, 409),
  );
  const move: Command = {
    ...{ id: `${R}09`, repairId: ONE, at: '2026-11-24T08:00:00Z' },
    ...{ type: 'station.move', expect: 1, station: 'survey' },
  };
  store.dispatch(queued(move));
  await rest();
  expect(outbox().queue[0]?.current?.version).toBe(view.version);
  store.dispatch(retried({ id: move.id, expect: view.version }));
  await rest();
  expect(outbox().queue).toEqual([]);
  expect(far.asked).toHaveLength(2);
});

test('what the server kept with an earlier plan is told, by the number of that plan', async () => {
  const late = tick(ONE, 'late');
  far.next(async () => json(ack(late, 2)));
  store.dispatch(queued(late));
  await rest();
  expect(outbox().kept).toEqual([{ id: late.id, repairId: ONE, type: 'check.set', plan: 2 }]);
});

test('what waits is on the device at once, leaves it when it is sent, and goes on after a restart', async () => {
  far.next(noSignal);
  const kept = () => (mockDisk.get('outbox') as Outbox).queue.map((w) => w.command.id);
  const first = tick(ONE, 'first');
  store.dispatch(queued(first));
  await rest();
  expect(kept()).toEqual([first.id]);
  store.dispatch(outboxRead(mockDisk.get('outbox') as Outbox));
  await rest(RETRY);
  expect([far.took, kept()]).toEqual([['first'], []]);
});
