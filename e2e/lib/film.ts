import { writeFileSync } from 'node:fs';
import sharp from 'sharp';
import { toBuffer } from 'qrcode';

/** The code on the pack in front of the simulated camera. */
export const ON_PACK = '(01)09506000134352(17)990131(10)F-12';

const [WIDTH, HEIGHT] = [640, 480];
/** Neutral colour: only light and dark. */
const NO_COLOUR = 128;

/** Writes a film of one pack, which Chromium’s simulated camera repeats (raw frames, YUV 4:2:0). */
export async function filmPack(file: string): Promise<void> {
  const grey = await sharp(await toBuffer(ON_PACK, { width: 400 }))
    .resize(WIDTH, HEIGHT, { fit: 'contain', background: 'white' })
    .flatten({ background: 'white' })
    .greyscale()
    .raw()
    .toBuffer();
  const frame = Buffer.concat([
    ...[Buffer.from('FRAME\n'), grey.subarray(0, WIDTH * HEIGHT)],
    Buffer.alloc((WIDTH * HEIGHT) / 2, NO_COLOUR),
  ]);
  const head = Buffer.from(`YUV4MPEG2 W${WIDTH} H${HEIGHT} F10:1 Ip A1:1 C420\n`);
  writeFileSync(file, Buffer.concat([head, frame, frame]));
}
