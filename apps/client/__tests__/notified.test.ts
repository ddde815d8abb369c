import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { runInNewContext } from 'node:vm';

/** Runs the service worker's handler for a touched notification, and returns the pages that it found open. */
async function touched(pages: { messages: unknown[]; focused: number }[]) {
  const opened: string[] = [];
  let closed = 0;
  let listener: ((event: object) => void) | undefined;
  const self = {
    addEventListener: (name: string, heard: (event: object) => void) => {
      if (name === 'notificationclick') listener = heard;
    },
    clients: {
      matchAll: () =>
        Promise.resolve(
          pages.map((page) => ({
            postMessage: (message: unknown) => page.messages.push(message),
            focus: () => Promise.resolve((page.focused += 1)),
          })),
        ),
      openWindow: (path: string) => Promise.resolve(opened.push(path)),
    },
  };
  runInNewContext(readFileSync(join(__dirname, '../public/notified.js'), 'utf8'), { self });
  let done: Promise<unknown> = Promise.resolve();
  listener?.({
    notification: { data: { path: '/repair/1/run' }, close: () => (closed += 1) },
    waitUntil: (work: Promise<unknown>) => (done = work),
  });
  await done;
  return { opened, closed };
}

test('an open page goes to the address and to the front without reloading', async () => {
  const page = { messages: [] as unknown[], focused: 0 };
  expect(await touched([page])).toEqual({ opened: [], closed: 1 });
  expect(JSON.stringify(page)).toBe(
    JSON.stringify({ messages: [{ goTo: '/repair/1/run' }], focused: 1 }),
  );
});

test('without an open page, a new one opens at the address', async () => {
  expect(await touched([])).toEqual({ opened: ['/repair/1/run'], closed: 1 });
});
