import { AsyncLocalStorage } from 'node:async_hooks';
import { Server, type IncomingMessage } from 'node:http';

/**
 * Set into the server of the walks before anything else of it: a request is served in the hour that its device lives in, as its
 * cookie says. Repairs that take days are run side by side, each by its own clock, and the server's count is kept true.
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
