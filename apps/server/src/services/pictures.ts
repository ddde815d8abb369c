import { t } from '@kelmot/core';
import sharp from 'sharp';
import { ProblemError } from '../common/problemError';

/** Longest side of a stored picture, px: enough to see a pinhole on a phone. */
const LONGEST = 1600;
/** More than any phone takes, and less than would fill the memory. */
const MOST_PIXELS = 50e6;
const SECONDS = 10;

/**
 * A picture as it is stored: decoded, rotated upright, and encoded again as JPEG. Other data in the file, such as its
 * location, is dropped. Throws ProblemError if it cannot be decoded.
 */
export async function reencodePicture(data: Buffer): Promise<{ mime: string; data: Buffer }> {
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
    throw new ProblemError(422, t('Input out of range'), {
      issues: [
        { path: 'data', message: t('is no picture that can be opened; take or choose it again') },
      ],
    });
  }
}
