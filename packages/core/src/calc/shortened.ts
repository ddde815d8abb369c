/** Most characters of the typed text that an error repeats. */
const MOST_ECHOED = 32;

/** A typed text, short enough for an error message: on one line, with a mark where it is cut. */
export function shortened(text: string): string {
  const line = Array.from(text.replace(/[\s\p{Cc}\p{Cs}]+/gu, ' ').trim());
  return line.length > MOST_ECHOED ? `${line.slice(0, MOST_ECHOED - 1).join('')}…` : line.join('');
}
