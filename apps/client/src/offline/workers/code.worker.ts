import {
  BinaryBitmap,
  DecodeHintType,
  HybridBinarizer,
  MultiFormatReader,
  NotFoundException,
  RGBLuminanceSource,
} from '@zxing/library';
import { expose } from 'comlink';

/** Looks for a code (bars, squares) in a picture, off the screen’s thread. */
const worker = {
  /** The text of the code in a picture of greys, row by row; null where there is none. */
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
