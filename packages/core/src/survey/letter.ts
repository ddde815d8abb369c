const LETTERS = 26;

/** The letter of a damage by its place in the survey, from 0: A to Z, then AA, AB. */
export const letterOf = (i: number): string =>
  (i < LETTERS ? '' : letterOf(Math.floor(i / LETTERS) - 1)) +
  String.fromCharCode('A'.charCodeAt(0) + (i % LETTERS));
