import { AsyncLocalStorage } from 'node:async_hooks';
import { Server, type IncomingMessage } from 'node:http';

/**
 * Loaded into the e2e server before anything else: a request is served at the time of its device, given in a cookie. So
 * repairs that take days run in parallel, each with its own clock, and the server's times are correct.
 */
const ahead = new AsyncLocalStorage<number>();

const Native = Date;
const now = (): number => Native.now() + (ahead.getStore() ?? 0);

globalThis.Date = new Proxy(Native, {
  construct: (target, args: ConstructorParameters<typeof Date> | []) =>
    args.length === 0 ? new target(now()) : new target(...args),
  get: (target, key) => (key === 'now' ? now : Reflect.get(target, key)),
});

const { emit } = Server.prototype;
Server.prototype.emit = function (this: Server, ...told: [event: string | symbol, ...unknown[]]) {
  const emitted = (): boolean => Reflect.apply(emit, this, told) as boolean;
  if (told[0] !== 'request') return emitted();
  const { cookie = '' } = (told[1] as IncomingMessage).headers;
  return ahead.run(Number(/(?:^|; )ahead=(\d+)/.exec(cookie)?.[1] ?? 0), emitted);
};
