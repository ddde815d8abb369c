import { t } from '@kelmot/core';
import { wrap } from 'comlink';
import { runInOwnWorker } from '@/offline/workers/runInOwnWorker';
import type { CodeWorker } from '@/offline/workers/code.worker';
import { chosenFile } from './chosenFile';

export type Scanned = { text: string } | { error: string };

/** Longest side of a picture that is searched for a code, px: a finer one shows no more of a near code. */
const SIDE = 1400;

interface Greys {
  greys: Uint8ClampedArray;
  width: number;
  height: number;
}

/** The grey values of a picture, row by row. */
function greysOf(image: CanvasImageSource, across: number, down: number): Greys {
  const scale = Math.min(1, SIDE / Math.max(across, down));
  const canvas = document.createElement('canvas');
  const [width, height] = [across, down].map((x) => Math.max(1, Math.round(x * scale)));
  [canvas.width, canvas.height] = [width as number, height as number];
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error(t('no canvas'));
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
  const greys = new Uint8ClampedArray(canvas.width * canvas.height);
  for (let i = 0; i < greys.length; i += 1) {
    const at = 4 * i;
    greys[i] = ((data[at] ?? 0) + 2 * (data[at + 1] ?? 0) + (data[at + 2] ?? 0)) / 4;
  }
  return { greys, width: canvas.width, height: canvas.height };
}

const startWorker = () => new Worker(new URL('./workers/code.worker', import.meta.url));

/**
 * Reads codes from a camera, picture by picture, until it is closed. Calls `lost` if the reader is not on this device
 * and there is no signal.
 */
export function codeReader(lost: () => void, start = startWorker) {
  const worker = start();
  worker.onerror = lost;
  const remote = wrap<CodeWorker>(worker);
  return {
    /** The text of a code in view; null if there is none, or no picture yet. */
    read: async (film: HTMLVideoElement): Promise<string | null> => {
      if (film.videoWidth === 0) return null;
      const { greys, width, height } = greysOf(film, film.videoWidth, film.videoHeight);
      return remote.read(greys, width, height);
    },
    close: () => worker.terminate(),
  };
}

/** Takes a picture of a code and reads it; null if none was taken. */
export async function scanCode(start = startWorker): Promise<Scanned | null> {
  const file = await chosenFile('image/*', true);
  if (!file) return null;
  const image = await createImageBitmap(file).catch(() => null);
  if (!image) return { error: t('This file is not a picture. Take another.') };
  try {
    const { greys, width, height } = greysOf(image, image.width, image.height);
    const text = await runInOwnWorker<CodeWorker, string | null>(start, (w) =>
      w.read(greys, width, height),
    );
    return text === null
      ? {
          error: t('No code found. Hold it nearer, flat and well lit, or type the lot.'),
        }
      : { text };
  } catch {
    return { error: t('The code could not be read. Type the lot.') };
  }
}
