import { withinMost } from '@/offline/picture';
import { colours } from '@/ui/tokens.cjs';
import { labelAt, pathOf, sizesOf, strokesOf, type Mark } from './marks';

/** What is drawn is seen on any ground: light on a dark edge, the same in both themes. */
const { ochre: LIGHT, ink: EDGE } = colours.light;

/** Draws marks onto a canvas that carries the picture. */
export function drawMarks(context: CanvasRenderingContext2D, marks: readonly Mark[]): void {
  const { width, height } = context.canvas;
  const { line, text } = sizesOf(width, height);
  Object.assign(context, { lineCap: 'round', lineJoin: 'round', textAlign: 'center' });
  context.font = `600 ${text}px "Barlow", sans-serif`;
  for (const mark of marks) {
    const path = new Path2D(pathOf(strokesOf(mark, width, height)));
    for (const [colour, thick] of [
      [EDGE, line * 2],
      [LIGHT, line],
    ] as const) {
      context.strokeStyle = colour;
      context.lineWidth = thick;
      context.stroke(path);
    }
    if (mark.label === '') continue;
    const [x, y] = labelAt(mark, width, height);
    context.strokeStyle = EDGE;
    context.fillStyle = LIGHT;
    context.lineWidth = text / 4;
    context.strokeText(mark.label, x, y - line * 3);
    context.fillText(mark.label, x, y - line * 3);
  }
}

/** A picture with marks drawn on it, small enough to be sent; null where it cannot be read. */
export async function burnt(uri: string, marks: readonly Mark[]): Promise<string | null> {
  const shown = new Image();
  shown.src = uri;
  const image = await shown
    .decode()
    .then(() => createImageBitmap(shown))
    .catch(() => null);
  return image && withinMost(image, (context) => drawMarks(context, marks));
}
