import assert from 'node:assert/strict';
import { test } from 'node:test';
import { PHONE, type Screen } from './lib/browser';
import { signedIn } from './lib/stage';

const STEP = 'protect';

/** Draws on the open picture between two points, as shares of it. */
async function drag(screen: Screen, from: [number, number], to: [number, number]): Promise<void> {
  const sheet = await screen.page.waitForSelector('[data-testid="mark-sheet"]', { visible: true });
  const box = await sheet?.boundingBox();
  assert.ok(box);
  const at = ([x, y]: [number, number]) => [box.x + x * box.width, box.y + y * box.height] as const;
  await screen.page.mouse.move(...at(from));
  await screen.page.mouse.down();
  await screen.page.mouse.move(...at(to), { steps: 8 });
  await screen.page.mouse.up();
}

/** The source of each picture of the step, and its share of pixels as light as the marks. */
const pictures = (screen: Screen) =>
  screen.page.$$eval(`[data-testid="step-protect"] img`, (all) =>
    (all as HTMLImageElement[]).map((img) => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [img.naturalWidth, img.naturalHeight];
      const context = canvas.getContext('2d');
      if (!context || canvas.width === 0) return { from: img.src.slice(0, 5), marked: -1 };
      context.drawImage(img, 0, 0);
      const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
      let marked = 0;
      for (let i = 0; i < data.length; i += 4)
        if ((data[i] ?? 0) > 190 && (data[i + 2] ?? 0) < 100) marked += 1;
      return { from: img.src.slice(0, 5), marked };
    }),
  );

test('a picture is with its step at once, also without signal, and a length is drawn on it', async () => {
  const screen = await signedIn('tomas', PHONE);
  await screen.press('tab-repairs');
  await screen.press('repair-CT-1');
  await screen.see('screen-run');
  await screen.press('run-list');
  await screen.see(`step-${STEP}`);
  await screen.page.setOfflineMode(true);
  await screen.photograph(STEP);
  await screen.see('draw-1');
  const [taken] = await pictures(screen);
  assert.equal(taken?.from, 'data:', 'it waits on the device and is shown from there');

  await screen.press('draw-1');
  await screen.see('mark-picture');
  assert.equal(await screen.attribute('mark-keep', 'aria-disabled'), 'true');
  await screen.type('mark-length', '240');
  await drag(screen, [0.2, 0.5], [0.8, 0.5]);
  await screen.press('mark-arrow');
  await drag(screen, [0.3, 0.8], [0.6, 0.6]);
  await screen.press('mark-undo');
  await screen.press('mark-keep');
  await screen.gone('mark-picture');
  await screen.see('draw-2');
  await screen.page.setOfflineMode(false);
  await screen.page.reload({ waitUntil: 'networkidle2' });
  await screen.gone('send-state');
  await screen.see('draw-2');
  await screen.page.waitForFunction(
    () =>
      Array.from(document.querySelectorAll('[data-testid="step-protect"] img')).every((img) => {
        const { src, complete, naturalWidth } = img as HTMLImageElement;
        return src.includes('/api/photos/') && complete && naturalWidth > 0;
      }),
    { timeout: 60_000 },
  );
  const [bare, marked] = await pictures(screen);
  assert.ok(bare && marked);
  assert.ok(marked.marked > bare.marked + 200, JSON.stringify([bare, marked]));
  assert.deepEqual(screen.problems, []);
});
