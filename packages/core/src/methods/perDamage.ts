import { m, type MessageValue, type Quantified } from '../message/message';
import { letterOf } from '../survey/letter';

/** Two values with a smaller relative difference are equal: rounding noise. */
const SAME = 1e-6;
const same = (a: number, b: number) =>
  Math.abs(a - b) <= SAME * Math.max(1, Math.abs(a), Math.abs(b));

/**
 * A value of each damage, in the survey’s order, as one value of a sentence: once where all are equal, else by letter,
 * such as “A and C: 12 mm; B: 7 mm”. A damage without the value has null.
 */
export function perDamage(values: readonly (Quantified | null)[]): MessageValue {
  const groups: { value: Quantified; letters: string[] }[] = [];
  values.forEach((value, i) => {
    if (value === null) return;
    const group = groups.find((g) => same(g.value.value, value.value));
    if (group) group.letters.push(letterOf(i));
    else groups.push({ value, letters: [letterOf(i)] });
  });
  const [first] = groups;
  if (!first) return '';
  if (groups.length === 1 && first.letters.length === values.length) return first.value;
  return m(
    groups.map((_, i) => `{g${i}}`).join('; '),
    Object.fromEntries(
      groups.map(({ value, letters }, i) => [
        `g${i}`,
        m('{letters}: {value}', { letters: listOf(letters), value }),
      ]),
    ),
  );
}

/** “A”, “A and B”, “A, B and C”. */
export const listOf = (letters: readonly string[]): string =>
  letters.length < 2
    ? letters.join('')
    : `${letters.slice(0, -1).join(', ')} and ${letters.at(-1)}`;
