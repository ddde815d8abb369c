/** A point of a drawing, px of its box: from the left, from the top. */
export type Point = [number, number];
