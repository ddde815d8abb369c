/** A place in a drawing, px of its own box: from the left, from the top. */
export type Point = [number, number];
