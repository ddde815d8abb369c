import { setTimeout as sleep } from 'node:timers/promises';
import type { Screen } from './browser';

/** The keys of a store of this device. */
const keysOf = (screen: Screen, store: 'answers' | 'state'): Promise<string[]> =>
  screen.page.evaluate(
    (name) =>
      new Promise<string[]>((resolve, reject) => {
        const asked = indexedDB.open('kelmot');
        asked.onerror = () => reject(asked.error ?? new Error('no storage'));
        asked.onsuccess = () => {
          const all = asked.result.transaction(name).objectStore(name).getAllKeys();
          all.onsuccess = () => {
            asked.result.close();
            resolve(all.result.map(String));
          };
        };
      }),
    store,
  );

/** Waits until the keys of a device's store match. */
export async function until(
  screen: Screen,
  store: 'answers' | 'state',
  is: (keys: string[]) => boolean,
): Promise<void> {
  for (let looks = 0; looks < 120; looks += 1) {
    if (is(await keysOf(screen, store))) return;
    await sleep(500);
  }
  throw new Error(`${store}: ${(await keysOf(screen, store)).join(' ')}`);
}

/** Waits until the application and everything for planning is on the device. */
export async function kept(screen: Screen): Promise<void> {
  await screen.page.evaluate(() => navigator.serviceWorker.ready.then(() => true));
  const needed = ['cards', 'shelf', 'forecast', 'assets'];
  await until(screen, 'answers', (keys) => needed.every((k) => keys.join(' ').includes(k)));
}

/** Cuts a device's network, or restores it. */
export const cut = (screen: Screen, off = true): Promise<void> => screen.page.setOfflineMode(off);

/** Restores signal, and waits until the outbox is empty. */
export async function back(screen: Screen): Promise<void> {
  await cut(screen, false);
  for (
    let looks = 0;
    looks < 40 && (await screen.page.$('[data-testid="no-signal"]'));
    looks += 1
  ) {
    await screen.page
      .$eval('[data-testid="no-signal-go"]', (e) => (e as HTMLElement).click())
      .catch(() => undefined);
    await sleep(1500);
  }
  await screen.gone('no-signal');
  await until(screen, 'state', (keys) => !keys.some((key) => key.startsWith('outbox/queue/')));
}
