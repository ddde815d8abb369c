import { kelvin, R } from '../calc/number';

/** A reacting mass at one temperature: kinetics per second, heat in J/g, losses to the surroundings. */
export interface Reaction {
  massG: number;
  cpJgK: number;
  heatJg: number;
  A1: number;
  E1: number;
  A2: number;
  E2: number;
  m: number;
  n: number;
  hWm2K: number;
  areaM2: number;
  ambientC: number;
}

/** Conversion 0..1 and temperature in °C. */
export type State = readonly [alpha: number, tempC: number];

interface Slopes {
  f: [number, number];
  /** Rows of the Jacobian of f by (alpha, temperature). */
  J: [number, number, number, number];
}

const power = (x: number, p: number): number => (p === 0 ? 1 : x <= 0 ? 0 : x ** p);
/** Derivative of x^p; at 0 it may be infinite and is taken as 0. */
const slopeOfPower = (x: number, p: number): number => (x <= 0 || p === 0 ? 0 : p * x ** (p - 1));

/** Kamal’s rate and the heat balance in a state, with their derivatives. Per second. */
function slopes(r: Reaction, [a, tempC]: State): Slopes {
  const alpha = Math.min(1, Math.max(0, a));
  const rest = 1 - alpha;
  const K = Math.max(kelvin(tempC), 1);
  const k1 = r.A1 * Math.exp(-r.E1 / (R * K));
  const k2 = r.A2 * Math.exp(-r.E2 / (R * K));
  const auto = power(alpha, r.m);
  const left = rest <= 0 ? 0 : power(rest, r.n);
  const speed = k1 + k2 * auto;
  const rate = speed * left;
  const rise = r.heatJg / r.cpJgK;
  const loss = (r.hWm2K * r.areaM2) / (r.massG * r.cpJgK);
  const byAlpha = k2 * slopeOfPower(alpha, r.m) * left - speed * slopeOfPower(rest, r.n);
  const byTemp = (left * (k1 * r.E1 + k2 * auto * r.E2)) / (R * K * K);
  return {
    f: [rate, rise * rate - loss * (tempC - r.ambientC)],
    J: [byAlpha, byTemp, rise * byAlpha, rise * byTemp - loss],
  };
}

/** The heating rate in a state, °C per second. */
export const warming = (r: Reaction, at: State): number => slopes(r, at).f[1];

const GAMMA = 0.5;
/** Error tolerance: conversion, and °C. */
const TOLERANCE: State = [1e-6, 1e-3];
const MOST_STEPS = 400_000;

/** Solves (1/(hγ)·I − J)·k = b for a 2×2 J. */
function solve(J: Slopes['J'], h: number, b: readonly [number, number]): [number, number] {
  const d = 1 / (h * GAMMA);
  const [p, q, s, t] = [d - J[0], -J[1], -J[2], d - J[3]];
  const det = p * t - q * s;
  return [(t * b[0] - q * b[1]) / det, (p * b[1] - s * b[0]) / det];
}

interface Trial {
  to: State;
  error: number;
}

/** One step of the four-stage stiff Rosenbrock pair of order 3(2) (Rodas3), and its error in units of the tolerance. */
function step(
  r: Reaction,
  { y, slopes: { f, J }, h }: { y: State; slopes: Slopes; h: number },
): Trial {
  const k1 = solve(J, h, f);
  const k2 = solve(J, h, [f[0] + (4 / h) * k1[0], f[1] + (4 / h) * k1[1]]);
  const f3 = slopes(r, [y[0] + 2 * k1[0], y[1] + 2 * k1[1]]).f;
  const k3 = solve(J, h, [f3[0] + (k1[0] - k2[0]) / h, f3[1] + (k1[1] - k2[1]) / h]);
  const f4 = slopes(r, [y[0] + 2 * k1[0] + k3[0], y[1] + 2 * k1[1] + k3[1]]).f;
  const part = (i: 0 | 1) => f4[i] + (k1[i] - k2[i] - (8 / 3) * k3[i]) / h;
  const k4 = solve(J, h, [part(0), part(1)]);
  const to = (i: 0 | 1) => y[i] + 2 * k1[i] + k3[i] + k4[i];
  const error = Math.max(Math.abs(k4[0]) / TOLERANCE[0], Math.abs(k4[1]) / TOLERANCE[1]);
  return { to: [Math.min(1, Math.max(0, to(0))), to(1)], error };
}

/** One accepted step, in seconds. */
export interface Leg {
  from: number;
  to: number;
  start: State;
  end: State;
}

/**
 * Integrates a reaction from conversion 0 for `seconds`, and calls `visit` for each accepted step. Returns false if it
 * would take too many steps: constants that no material has.
 */
export function follow(
  r: Reaction,
  { startC, seconds, visit }: { startC: number; seconds: number; visit: (leg: Leg) => void },
): boolean {
  let t = 0;
  let y: State = [0, startC];
  let h = Math.min(seconds, 1e-3);
  for (let n = 0; t < seconds; n++) {
    if (n > MOST_STEPS) return false;
    h = Math.min(h, seconds - t);
    const at = slopes(r, y);
    const trial = step(r, { y, slopes: at, h });
    const bad = !Number.isFinite(trial.error);
    if (!bad && trial.error <= 1) {
      visit({ from: t, to: t + h, start: y, end: trial.to });
      y = trial.to;
      // The last step ends exactly at the horizon; a remainder from rounding is not a step.
      t = seconds - t - h <= seconds * 1e-12 ? seconds : t + h;
    }
    const factor = bad ? 0.1 : 0.9 * Math.max(trial.error, 1e-9) ** (-1 / 3);
    h *= Math.min(5, Math.max(0.1, factor));
    if (h < 1e-15) return false;
  }
  return true;
}
