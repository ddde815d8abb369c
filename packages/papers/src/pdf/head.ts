import { shownIn, type Zone } from '@kelmot/core';
import QRCode from 'qrcode';
import { INK, STYLES, type Sheet, type Style } from './sheet';

const QR_SIDE = 74;

/** A moment as it is written on paper: date and 24-hour clock. */
export function when(at: number, zone: Zone): string {
  const iso = shownIn(at, zone).toISOString();
  return `${iso.slice(0, 10)} ${iso.slice(11, 16)}`;
}

/** The head of a paper: what it is of, line by line, beside the code that opens the repair again. */
export function headOn(sheet: Sheet, url: string, lines: readonly [string, Style][]): void {
  const qr = QRCode.create(url, { errorCorrectionLevel: 'M' }).modules;
  const cell = QR_SIDE / qr.size;
  for (let row = 0; row < qr.size; row++)
    for (let column = 0; column < qr.size; column++)
      if (qr.get(row, column))
        sheet.page.drawRectangle({
          x: sheet.right - QR_SIDE + column * cell,
          y: sheet.up(sheet.y + (row + 1) * cell),
          width: cell + 0.05,
          height: cell + 0.05,
          color: INK.ink,
        });
  const top = sheet.y;
  const width = sheet.width - QR_SIDE - 16;
  for (const [text, style] of lines) sheet.write(text, { style, indent: 0, width });
  sheet.write(url, { style: STYLES.label, indent: 0, width });
  sheet.y = Math.max(sheet.y, top + QR_SIDE + 6);
}
