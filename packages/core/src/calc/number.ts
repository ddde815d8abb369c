import { z } from 'zod';

/** Tolerance, so that rounding noise such as in 0.1 × 30 does not cost a whole extra pack, ply or turn. */
const SLACK = 1e-9;
export const ceil = (x: number): number => Math.ceil(x - SLACK) + 0;
export const floor = (x: number): number => Math.floor(x + SLACK);

const ZERO_C = 273.15;
/** Molar gas constant, J/(mol K). */
export const R = 8.314462618;
export const kelvin = (celsius: number): number => celsius + ZERO_C;

/** Largest magnitude of any input: keeps every product of a few inputs finite. */
const HUGE = 1e12;
const number = () => z.number().min(-HUGE).max(HUGE);

export const positive = () => number().gt(0).min(1e-9);
export const atLeastZero = () => number().min(0);
export const finite = () => number();
export const count = () => z.int().min(1);
export const tempC = () => z.number().min(-60).max(250);
export const airC = () => z.number().min(-40).max(60);
export const rhPct = () => z.number().min(1).max(100);
export const wastePct = () => z.number().min(0).max(1e6);
export const lossPct = () => z.number().min(0).max(90);
export const share = () => z.number().gt(0).max(1);
