import { shrinkPicture } from '@/offline/picture';
import { labelAt, markStyle, pathOf, strokesOf, type Mark } from './marks';

/** Draws marks on a canvas that holds the picture. */
export function drawMarks(context: CanvasRenderingContext2D, marks: readonly Mark[]): void {
  const { width, height } = context.canvas;
  const { light, edge, line, edgeLine, text, edgeText, above, font } = markStyle(width, height);
  Object.assign(context, { lineCap: 'round', lineJoin: 'round', textAlign: 'center' });
  context.font = `${text}px "${font}", sans-serif`;
  for (const mark of marks) {
    const path = new Path2D(pathOf(strokesOf(mark, width, height)));
    Object.assign(context, { strokeStyle: edge, lineWidth: edgeLine });
    context.stroke(path);
    Object.assign(context, { strokeStyle: light, lineWidth: line });
    context.stroke(path);
    if (mark.label === '') continue;
    const [x, y] = labelAt(mark, width, height);
    Object.assign(context, { strokeStyle: edge, lineWidth: edgeText, fillStyle: light });
    context.strokeText(mark.label, x, y - above);
    context.fillText(mark.label, x, y - above);
  }
}

/** A picture with marks drawn into it, small enough to send; null if it cannot be read. */
export async function pictureWithMarks(
  uri: string,
  marks: readonly Mark[],
): Promise<string | null> {
  const shown = new Image();
  shown.src = uri;
  const image = await shown
    .decode()
    .then(() => createImageBitmap(shown))
    .catch(() => null);
  return image && shrinkPicture(image, (context) => drawMarks(context, marks));
}
