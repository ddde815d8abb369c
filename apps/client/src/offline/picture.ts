import { t } from '@kelmot/core';
import { MOST_PHOTO } from '@kelmot/contract';
import { chosenFile } from './chosenFile';

type Picked = { mime: 'image/jpeg'; data: string } | { error: string };

/** Longest side of a kept picture, px, and its JPEG quality; smaller ones are tried until it fits. */
const TRIES = [
  { side: 1280, quality: 0.75 },
  { side: 1024, quality: 0.65 },
  { side: 800, quality: 0.5 },
];

type Draw = (context: CanvasRenderingContext2D) => void;

function shrink(
  image: ImageBitmap,
  { side, quality, over }: { side: number; quality: number; over?: Draw },
): string | null {
  const scale = Math.min(1, side / Math.max(image.width, image.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(image.width * scale));
  canvas.height = Math.max(1, Math.round(image.height * scale));
  const context = canvas.getContext('2d');
  if (!context) return null;
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  over?.(context);
  return canvas.toDataURL('image/jpeg', quality).split(',')[1] ?? null;
}

/** A picture in base64, small enough to send with a weak signal, with `over` drawn on it; null if it cannot be made. */
export function shrinkPicture(image: ImageBitmap, over?: Draw): string | null {
  for (const { side, quality } of TRIES) {
    const data = shrink(image, { side, quality, over });
    if (data && data.length <= MOST_PHOTO) return data;
  }
  return null;
}

/**
 * Asks for a picture from camera or files and makes it small enough to send with a weak signal; null if none was
 * chosen.
 */
export async function pickPicture(): Promise<Picked | null> {
  const file = await chosenFile('image/*', true);
  if (!file) return null;
  const image = await createImageBitmap(file).catch(() => null);
  if (!image) return { error: t('This file is not a picture. Choose a JPEG or PNG.') };
  const data = shrinkPicture(image);
  if (data) return { mime: 'image/jpeg', data };
  return { error: t('This picture is too large to send. Take it again.') };
}
