import { IntlMessageFormat } from 'intl-messageformat';

/** Cache of parsed texts: a text comes from the code or a saved plan and never changes. */
const known = new Map<string, IntlMessageFormat>();
function formatOf(text: string): IntlMessageFormat {
  let found = known.get(text);
  if (!found)
    known.set(text, (found = new IntlMessageFormat(text, 'en', undefined, { ignoreTag: true })));
  return found;
}

/** A text with plain placeholders only: most are, and parsing each as ICU would make long lists slow. */
const PLAIN = /^(?:[^{}']|\{\w+\})*$/;

/** Fills the placeholders of a text in ICU MessageFormat. Throws if a value is missing. */
export function filled(text: string, values: Readonly<Record<string, string | number>>): string {
  if (!PLAIN.test(text)) return String(formatOf(text).format(values));
  return text.replace(/\{(\w+)\}/g, (_, key: string) => {
    const value = values[key];
    if (value === undefined) throw new Error(`“${text}” needs ${key}`);
    return String(value);
  });
}

/**
 * A text of the catalogue, for a person to read: its English in ICU MessageFormat, with values for its placeholders.
 * `npm run texts` finds every text by this call, so the text must be a literal. Measured values and the sentences of
 * plans are messages (`m`), which are worded in the reader’s units. Throws if a value is missing.
 */
export const t = (text: string, values?: Readonly<Record<string, string | number>>): string =>
  values === undefined ? text : filled(text, values);
