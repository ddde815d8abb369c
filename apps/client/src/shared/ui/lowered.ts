/** A text with its first letter small, to stand inside a sentence. */
export const lowered = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
