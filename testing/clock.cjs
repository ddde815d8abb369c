/**
 * The clock of all tests. It begins at one fixed moment and runs on from there, so that no test depends on the day on
 * which it runs. Jest loads this file before each test file, Node before each process of the other suites.
 */
const START = Date.parse('2026-11-25T10:00:00Z');

const Native = Date;
// The processes of one run (tests, server, commands) share one clock: the first of them says when it began.
const began = process.env.JEST_WORKER_ID
  ? Native.now()
  : Number((process.env.CLOCK_BEGAN ??= String(Native.now())));
const aheadMs = START - began;
const now = () => Native.now() + aheadMs;

/** The clock of the tests less the clock of the machine, ms. A browser has a clock of its own and is moved by it. */
globalThis.clockAheadMs = aheadMs;
globalThis.Date = new Proxy(Native, {
  construct: (target, args) => (args.length === 0 ? new target(now()) : new target(...args)),
  get: (target, key) => (key === 'now' ? now : Reflect.get(target, key)),
});

module.exports = { START };
