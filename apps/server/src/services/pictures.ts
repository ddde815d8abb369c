import sharp from 'sharp';
import { ProblemError } from '../common/problemError';

/** Longest side that is kept, px: enough to see a pinhole on a phone. */
const LONGEST = 1600;
/** More than any phone takes, and less than what would fill the memory. */
const MOST_PIXELS = 50e6;
const SECONDS = 10;

/**
 * A picture as it is kept: decoded, turned as it was held, and written anew as JPEG. What else was in the file, where it
 * was taken among it, is left behind. Throws ProblemError for what cannot be decoded.
 */
export async function drawnAnew(data: Buffer): Promise<{ mime: string; data: Buffer }> {
  try {
    const drawn = await sharp(data, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .timeout({ seconds: SECONDS })
      .rotate()
      .flatten({ background: 'white' })
      .resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 82 })
      .toBuffer();
    return { mime: 'image/jpeg', data: drawn };
  } catch {
    throw new ProblemError(422, 'Input out of range', undefined, [
      { path: 'data', message: 'is no picture that can be opened; take or choose it again' },
    ]);
  }
}
