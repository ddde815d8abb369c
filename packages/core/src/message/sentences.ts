import type { Message } from './message';

/** Sentences in their order; an absent part says nothing. */
export type Says = Message | readonly Says[] | null | false | undefined;

const USED = /\{(\w+)/g;

/**
 * Sentences from a text with one sentence on each line. Each becomes a message of its own, with the values that it
 * names. `npm run texts` finds every line by this call, so the text must be a literal.
 */
export const sentences = (text: string, values: Message['values'] = {}): Message[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .map((line) => {
      const used = new Set([...line.matchAll(USED)].map(([, name]) => name));
      return {
        text: line,
        values: Object.fromEntries(Object.entries(values).filter(([name]) => used.has(name))),
      };
    });

/** The sentences of a text, without absent parts. */
export const saidOf = (says: Says): Message[] => {
  if (!says) return [];
  return 'text' in says ? [says] : says.flatMap(saidOf);
};
