import { alone } from '@/workers/alone';
import type { CodeWorker } from '@/workers/code.worker';
import { chosenFile } from './chosenFile';

export type Scanned = { text: string } | { error: string };

/** Longest side of a picture that is looked for a code in, px: finer shows no more of one held near. */
const SIDE = 1400;

/** The greys of a picture, row by row. */
function greysOf(image: ImageBitmap): { greys: Uint8ClampedArray; width: number; height: number } {
  const scale = Math.min(1, SIDE / Math.max(image.width, image.height));
  const canvas = document.createElement('canvas');
  const [width, height] = [image.width, image.height].map((x) =>
    Math.max(1, Math.round(x * scale)),
  );
  [canvas.width, canvas.height] = [width as number, height as number];
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('no canvas');
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
  const greys = new Uint8ClampedArray(canvas.width * canvas.height);
  for (let i = 0; i < greys.length; i += 1) {
    const at = 4 * i;
    greys[i] = ((data[at] ?? 0) + 2 * (data[at + 1] ?? 0) + (data[at + 2] ?? 0)) / 4;
  }
  return { greys, width: canvas.width, height: canvas.height };
}

/** Takes a picture of a code, by the camera where there is one, and reads it; null if none was taken. */
export async function scanCode(
  start = () => new Worker(new URL('../workers/code.worker', import.meta.url)),
): Promise<Scanned | null> {
  const file = await chosenFile('image/*', true);
  if (!file) return null;
  const image = await createImageBitmap(file).catch(() => null);
  if (!image) return { error: 'This file is no picture. Take it again.' };
  try {
    const { greys, width, height } = greysOf(image);
    const text = await alone<CodeWorker, string | null>(start, (w) => w.read(greys, width, height));
    return text === null
      ? {
          error: 'No code was found in it. Hold it nearer, flat and in the light, or type the lot.',
        }
      : { text };
  } catch {
    return { error: 'The code could not be read. Type the lot.' };
  }
}
