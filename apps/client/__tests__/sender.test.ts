import type { Command, Me, RepairView } from '@kelmot/contract';
import { IDA, planOf, viewOf } from '../../../packages/contract/test/view';
import { restore } from '@/store/persister';
import { waitAfter } from '@/store/sender';
import { api } from '@/store/api';
import { queued, retried, thrownAway, type AnyCommand, type Outbox } from '@/store/outbox';
import { left } from '@/store/settings';
import { makeStore, type AppStore } from '@/store/store';
import { entries } from './memoryDisk';

jest.mock('@/offline/disk', () => jest.requireActual<object>('./memoryDisk'));

const R = '01900000-0000-7000-8000-0000000000';
const [ONE, TWO] = [`${R}01`, `${R}02`];
let made = 0;
/** A tick of a repair; its note identifies it. */
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

/** A fake server that answers as the test says, and records what it accepted. */
class Far {
  readonly took: string[] = [];
  readonly asked: string[] = [];
  readonly sent: Command[] = [];
  /** Who is signed in. */
  me: Me | null = IDA;
  /** The server’s clock, epoch ms. */
  clock = () => Date.now();
  readonly people: (string | null)[] = [];
  /** Answers for the next reads of a repair, in order. */
  readonly unread: (() => Promise<Response>)[] = [];
  private answers: (() => Promise<Response>)[] = [];
  private view: RepairView = viewOf(planOf());

  /** Sets the answers for the next commands, in order; after them it accepts every command. */
  next(...answers: (() => Promise<Response>)[]): void {
    this.answers.push(...answers);
  }

  fetch = async (request: Request): Promise<Response> => {
    const { pathname } = new URL(request.url);
    if (pathname === '/api/me') return this.me ? json(this.me) : refusal(401)();
    if (pathname !== '/api/commands') {
      const id = pathname.split('/').at(-1) ?? '';
      if (this.unread.length > 0) return (this.unread.shift() as () => Promise<Response>)();
      return pathname.startsWith('/api/repairs/') ? json({ ...this.view, id }) : json([]);
    }
    const command = (await request.json()) as Command & { note: string };
    this.asked.push(command.note);
    this.sent.push(command);
    this.people.push(request.headers.get('kelmot-person'));
    const answer = await this.answers.shift()?.();
    if (answer && !answer.ok) return answer;
    this.took.push(command.note);
    return answer ?? json(ack(command));
  };
}
const json = (body: unknown, status = 200, clock = far.clock()): Response =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/json', date: new Date(clock).toUTCString() },
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
const noteOf = (command: AnyCommand) => ('note' in command ? command.note : command.type);
const waitsFor = () => outbox().queue.map((w) => noteOf(w.command));
/** Waits until nothing is pending. */
async function rest(ms = 0): Promise<void> {
  // In small steps: an answer needs turns of the real event loop, in which the test's clock stands still.
  const step = Math.max(1, ms / 100);
  for (let gone = 0; gone < ms; gone += step) await jest.advanceTimersByTimeAsync(step);
  for (let turn = 0; turn < 12; turn += 1) await jest.advanceTimersByTimeAsync(0);
}
/** Longer than the first wait can be, and longer than any wait can be. */
const [SOON, LATE] = [4000, 100_000];
const TOMAS: Me = { ...IDA, id: 'tomas', name: 'Tomas', username: 'tomas' };
const type = (command: AnyCommand, who: Me = IDA, aheadMs = 0) =>
  store.dispatch(queued({ command, by: { id: who.id, name: who.name }, aheadMs }));
const signIn = async (me: Me | null) => {
  far.me = me;
  // Subscribed for as long as the application is open, as in the application.
  void store.dispatch(api.endpoints.me.initiate(undefined, { forceRefetch: true }));
  await rest();
};
const move = (id: string, expect = 1): Command => ({
  ...{ id: `${R}${id}`, repairId: ONE, at: '2026-11-24T08:00:00Z' },
  ...{ type: 'station.move', expect, station: 'survey' },
});

beforeEach(async () => {
  jest.useFakeTimers();
  // The wait is random: two short waits in a row would end too soon.
  jest.spyOn(Math, 'random').mockReturnValue(0.5);
  entries.clear();
  far = new Far();
  globalThis.fetch = far.fetch as typeof fetch;
  store = makeStore();
  await signIn(IDA);
});
afterEach(async () => {
  jest.restoreAllMocks();
  // Removes all queued commands, so that nothing goes on during the next test.
  for (const { id } of outbox().queue) store.dispatch(thrownAway(id));
  await rest(2 * LATE);
  jest.useRealTimers();
});

test('after a sign-out the session sends nothing more, even before the server knows', async () => {
  await signIn(IDA);
  store.dispatch(left(true));
  type(tick(ONE, 'hers'));
  await rest(SOON);
  expect(far.asked).toEqual([]);
  await signIn(TOMAS);
  store.dispatch(left(false));
  type(tick(TWO, 'his'), TOMAS);
  await rest(SOON);
  expect(far.took).toEqual(['his']);
  await signIn(IDA);
  await rest(SOON);
  expect(far.took).toEqual(['his', 'hers']);
});

test('commands are sent in typing order, one at a time', async () => {
  let answer: (() => void) | null = null;
  far.next(() => new Promise((resolve) => (answer = () => resolve(json(ack(tick(ONE, 'first')))))));
  for (const note of ['first', 'second', 'third']) type(tick(ONE, note));
  await rest();
  expect(far.asked).toEqual(['first']);
  (answer as (() => void) | null)?.();
  await rest();
  expect(far.took).toEqual(['first', 'second', 'third']);
  expect(outbox()).toEqual({ queue: [], kept: [] });
});

test('without signal it waits and retries, in the same order with the same id', async () => {
  far.next(noSignal, noSignal);
  type(tick(ONE, 'first'));
  await rest();
  expect([far.asked, waitsFor()]).toEqual([['first'], ['first']]);
  await rest(SOON);
  expect(far.took).toEqual([]);
  await rest(LATE);
  expect(far.asked).toEqual(['first', 'first', 'first']);
  expect(new Set(far.sent.map((c) => c.id)).size).toBe(1);
  expect(waitsFor()).toEqual([]);
});

test('it sends at once when signal returns, and when something new is typed', async () => {
  far.next(noSignal, noSignal, noSignal);
  type(tick(ONE, 'first'));
  await rest();
  type(tick(ONE, 'second'));
  await rest();
  expect(far.asked).toEqual(['first', 'first']);
  store.dispatch({ type: '__rtkq/online' });
  await rest();
  store.dispatch({ type: '__rtkq/focused' });
  await rest();
  expect(far.took).toEqual(['first', 'second']);
});

test('waits double up to a minute, and devices that lost signal together return at different times', () => {
  const middle = [1, 2, 3, 4, 5, 6, 20].map((n) => waitAfter(n, 0.5));
  expect(middle).toEqual([2000, 4000, 8000, 16_000, 32_000, 60_000, 60_000]);
  expect([waitAfter(1, 0), waitAfter(1, 0.999)].map(Math.round)).toEqual([1000, 2998]);
});

test('after a lost answer the repair is fetched: the command stays applied until then', async () => {
  far.unread.push(noSignal);
  type(tick(ONE, 'first'));
  await rest();
  expect([far.took, waitsFor()]).toEqual([['first'], ['first']]);
  await rest(SOON);
  expect([far.took, waitsFor()]).toEqual([['first', 'first'], []]);
});

test('a read that began before the write does not take the command back from the screen', async () => {
  const shown = () => api.endpoints.repair.select(ONE)(store.getState()).data?.tag;
  let oldAnswer = (_: Response) => undefined as void;
  // The read that is running while the command is sent returns the state from before the command.
  far.unread.push(() => new Promise<Response>((answer) => (oldAnswer = answer)));
  void store.dispatch(api.endpoints.repair.initiate(ONE));
  await rest();
  type(tick(ONE, 'one'));
  await rest();
  expect(far.took).toEqual(['one']);
  const seen: (string | undefined)[] = [];
  const stop = store.subscribe(() => {
    if (outbox().queue.length === 0) seen.push(shown());
  });
  far.unread.push(async () => json({ ...viewOf(planOf()), id: ONE, tag: 'NEW' }));
  oldAnswer(json({ ...viewOf(planOf()), id: ONE, tag: 'OLD' }));
  await rest();
  stop();
  expect(seen).toContain('NEW');
  expect(seen).not.toContain('OLD');
});

test('a 429 is not a rejection: the command keeps its place and is sent later', async () => {
  far.next(refusal(429));
  type(tick(ONE, 'first'));
  type(tick(TWO, 'other'));
  await rest();
  expect(outbox().queue.map((w) => w.refused)).toEqual([null, null]);
  await rest(SOON);
  expect(far.took).toEqual(['first', 'other']);
});

test.each([500, 503])(
  'a command that the server fails to process (%i) rests and blocks nothing else; after six times it is set aside',
  async (status) => {
    far.next(refusal(status));
    type(tick(ONE, 'first'));
    type(tick(ONE, 'second'));
    type(tick(TWO, 'other'));
    await rest();
    expect([far.took, waitsFor()]).toEqual([['other'], ['first', 'second']]);
    expect(outbox().queue.map((w) => [w.tries, w.refused])).toEqual([
      [1, null],
      [0, null],
    ]);
    far.next(...Array.from({ length: 5 }, () => refusal(status)));
    await rest(5 * LATE);
    expect(outbox().queue.map((w) => w.refused?.status)).toEqual([status, undefined]);
    expect(far.asked.filter((note) => note === 'first')).toHaveLength(6);
    type(tick(TWO, 'another'));
    await rest(LATE);
    expect(far.took).toEqual(['other', 'another']);
    store.dispatch(retried({ id: outbox().queue[0]?.id ?? '' }));
    await rest();
    expect(far.took).toEqual(['other', 'another', 'first', 'second']);
  },
);

test.each([401, 412])(
  'a %i stops sending until it is known who is signed in, and then it goes on',
  async (status) => {
    far.next(refusal(status));
    type(tick(ONE, 'first'));
    far.me = null;
    await rest(LATE);
    expect([far.asked, waitsFor()]).toEqual([['first'], ['first']]);
    await signIn(IDA);
    expect(far.took).toEqual(['first']);
  },
);

test('each command is sent as its author; another person’s waits until they sign in', async () => {
  await signIn(TOMAS);
  type(tick(ONE, 'of Ida'), IDA);
  type(tick(ONE, 'of Tomas after it'), TOMAS);
  type(tick(TWO, 'of Tomas'), TOMAS);
  await rest(LATE);
  expect([far.took, far.people]).toEqual([['of Tomas'], ['tomas']]);
  expect(waitsFor()).toEqual(['of Ida', 'of Tomas after it']);
  await signIn(IDA);
  expect(far.people).toEqual(['tomas', 'ida']);
  await signIn(TOMAS);
  expect(far.took).toEqual(['of Tomas', 'of Ida', 'of Tomas after it']);
});

test.each([403, 404, 409, 422])(
  'a rejection of %i stays with its reason, and holds back only its own repair',
  async (status) => {
    far.next(refusal(status));
    const first = tick(ONE, 'first');
    type(first);
    type(tick(ONE, 'second'));
    type(tick(TWO, 'other'));
    await rest(SOON);
    expect(far.took).toEqual(['other']);
    expect(outbox().queue.map((w) => w.refused?.status)).toEqual([status, undefined]);
    store.dispatch(thrownAway(first.id));
    await rest();
    expect(far.took).toEqual(['other', 'second']);
  },
);

const conflict = (version: number) => async () =>
  json(
    {
      ...{ type: 'about:blank', title: 'Changed', status: 409 },
      current: { ...viewOf(planOf()), version },
    },
    409,
  );

test("a conflict keeps the server's state; sent again the command carries that version", async () => {
  far.next(conflict(7));
  type(move('90'));
  await rest();
  expect(outbox().queue[0]?.current?.version).toBe(7);
  store.dispatch(retried({ id: `${R}90`, expect: 7 }));
  await rest();
  expect(outbox().queue).toEqual([]);
  expect(far.sent.map((c) => 'expect' in c && c.expect)).toEqual([1, 7]);
});

test('consecutive edits follow each other’s versions, set when they are sent', async () => {
  type(move('91'));
  type(tick(ONE, 'between'));
  type(move('92'));
  await rest();
  expect(far.sent.map((c) => 'expect' in c && c.expect)).toEqual([1, false, 2]);
});

test('a removed edit does not break the next: that expects the version that was looked at', async () => {
  far.next(conflict(7));
  type(move('93'));
  type(move('94'));
  await rest();
  store.dispatch(thrownAway(`${R}93`));
  await rest();
  expect(far.sent.map((c) => 'expect' in c && c.expect)).toEqual([1, 7]);
  // A rejected command was never done: the next command keeps the version that was seen.
  far.next(refusal(422));
  type(move('95', 4));
  type(move('96', 4));
  await rest();
  store.dispatch(thrownAway(`${R}95`));
  await rest();
  expect(far.sent.slice(2).map((c) => 'expect' in c && c.expect)).toEqual([4, 4]);
});

test("a record kept with an earlier plan is reported with that plan's number", async () => {
  const late = tick(ONE, 'late');
  far.next(async () => json(ack(late, 2)));
  type(late);
  await rest();
  expect(outbox().kept).toEqual([
    { id: late.id, seq: 1, repairId: ONE, type: 'check.set', plan: 2 },
  ]);
});

test('the outbox is on the device at once, empties when sent, and goes on after a restart', async () => {
  far.next(noSignal);
  const kept = () => [...entries.keys()].filter((key) => key.startsWith('outbox/queue/'));
  const first = tick(ONE, 'first');
  type(first);
  await rest();
  expect(kept()).toEqual([`outbox/queue/${first.id}`]);
  await restore(store.dispatch);
  await rest(SOON);
  expect([far.took, kept()]).toEqual([['first'], []]);
});

const HOUR = 3_600_000;
test.each([2 * HOUR, -3 * HOUR])(
  'a clock %i ms ahead is detected, and typed commands get the correct time',
  async (ahead) => {
    const at = (ms: number) => new Date(ms).toISOString();
    const typed = Date.now();
    far.clock = () => Date.now() - ahead;
    far.next(noSignal);
    type({ ...tick(ONE, 'first'), at: at(typed) });
    await rest();
    expect(store.getState().clock.aheadMs).toBe(0);
    await signIn(IDA);
    expect(Math.abs(store.getState().clock.aheadMs - ahead)).toBeLessThan(2000);
    await rest(LATE);
    const [before, after] = far.sent.map((c) => Date.parse(c.at));
    expect(before).toBe(typed);
    expect(Math.abs((after ?? 0) - (typed - ahead))).toBeLessThan(2000);
    // What is typed from now on has the correct time.
    type({ ...tick(ONE, 'second'), at: at(typed) }, IDA, store.getState().clock.aheadMs);
    await rest();
    expect(far.sent.at(-1)?.at).toBe(at(typed));
  },
);

test('a time rejected because of a wrong clock is corrected and sent again', async () => {
  far.clock = () => Date.now() - 2 * HOUR;
  const issues = [{ path: 'at', message: 'must not be later than now' }];
  far.next(async () =>
    json({ type: 'about:blank', title: 'Not yet', status: 422, issues }, 422, far.clock()),
  );
  type({ ...tick(ONE, 'first'), at: new Date().toISOString() });
  await rest(SOON);
  expect([far.took, outbox().queue]).toEqual([['first'], []]);
});

test('stock moves and card imports are sent the same way, each in order', async () => {
  const at = '2026-11-24T08:00:00Z';
  const stock = { id: `${R}81`, at, cardCode: 'K', packId: 'p', lot: 'L', delta: -1 } as const;
  far.unread.push(noSignal);
  type({
    type: 'shelf.move',
    id: `${R}81`,
    at,
    move: { ...stock, reason: 'drawn', repairId: null },
  });
  await rest();
  expect(waitsFor()).toEqual(['shelf.move']);
  await rest(SOON);
  expect(waitsFor()).toEqual([]);
  const file = { format: 'kelmot-cards', version: 1, cards: [] } as const;
  far.unread.push(refusal(403));
  type({ type: 'cards.import', id: `${R}82`, at, file: file as never });
  type(tick(ONE, 'beside it'));
  await rest();
  expect(outbox().queue.map((w) => w.refused?.status)).toEqual([403]);
  expect(far.took).toEqual(['beside it']);
});
