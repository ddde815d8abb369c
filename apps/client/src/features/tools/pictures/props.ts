/** What a picture of a tool is drawn from: the input as the sum took it, and its answer. */
export interface PictureProps {
  input: unknown;
  answer: object;
  width: number;
}

/** Lettering on drawings, as in the sections. */
export const LETTER = { fontFamily: 'BarlowSemiCondensed_600SemiBold', fontSize: 16 } as const;
export const SMALL = { fontFamily: 'BarlowSemiCondensed_500Medium', fontSize: 14 } as const;
