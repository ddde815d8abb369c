/**
 * The clock of all tests. It starts at a fixed moment and then runs, so that no test depends on the day. Jest loads
 * this file before each test file, Node before each process of the other suites.
 */
const START = Date.parse('2026-11-25T10:00:00Z');

const Native = Date;
// The processes of one run (tests, server, commands) share one clock: the first one sets its beginning.
const began = process.env.JEST_WORKER_ID
  ? Native.now()
  : Number((process.env.CLOCK_BEGAN ??= String(Native.now())));
const aheadMs = START - began;
const now = () => Native.now() + aheadMs;

/** The tests' clock minus the machine's clock, ms. A browser has its own clock and is shifted by this. */
globalThis.clockAheadMs = aheadMs;
globalThis.Date = new Proxy(Native, {
  construct: (target, args) => (args.length === 0 ? new target(now()) : new target(...args)),
  get: (target, key) => (key === 'now' ? now : Reflect.get(target, key)),
});

module.exports = { START };
