import type { Trade } from '../trade/trade';

/** Load that a bonded area carries, N, from mm² and the card’s lap shear strength in MPa. */
export const bondHolds = (areaMm2: number, lapShearMPa: number, { strength }: Trade): number =>
  areaMm2 * lapShearMPa * strength.bondShare;
