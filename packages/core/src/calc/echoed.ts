/** An error tells what was typed by so many characters of it: it names it, and stays a line. */
const MOST_ECHOED = 32;

/** What somebody typed, short enough to stand in an error: on one line, with what is left out marked. */
export function echoed(text: string): string {
  const line = Array.from(text.replace(/[\s\p{Cc}\p{Cs}]+/gu, ' ').trim());
  return line.length > MOST_ECHOED ? `${line.slice(0, MOST_ECHOED - 1).join('')}…` : line.join('');
}
