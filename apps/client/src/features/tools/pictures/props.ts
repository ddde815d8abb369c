/** What a tool's picture is drawn from: the input as the calculation took it, and the answer. */
export interface PictureProps {
  input: unknown;
  answer: object;
  width: number;
}

/** The lettering of drawings, as in sections. */
export const LETTER = { fontFamily: 'BarlowSemiCondensed_600SemiBold', fontSize: 16 } as const;
export const SMALL = { fontFamily: 'BarlowSemiCondensed_500Medium', fontSize: 14 } as const;
