import {
  BinaryBitmap,
  DecodeHintType,
  HybridBinarizer,
  MultiFormatReader,
  NotFoundException,
  RGBLuminanceSource,
} from '@zxing/library';
import { expose } from 'comlink';

/** Finds a bar code or a matrix code in a picture, in a worker. */
const worker = {
  /** The text of the code in a grey picture, row by row; null if there is none. */
  read(greys: Uint8ClampedArray, width: number, height: number): string | null {
    const picture = new BinaryBitmap(
      new HybridBinarizer(new RGBLuminanceSource(greys, width, height)),
    );
    const reader = new MultiFormatReader();
    reader.setHints(new Map([[DecodeHintType.TRY_HARDER, true]]));
    try {
      return reader.decode(picture).getText();
    } catch (error) {
      if (error instanceof NotFoundException) return null;
      throw error;
    }
  },
};
export type CodeWorker = typeof worker;

expose(worker);
