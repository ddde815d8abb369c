/** Working share of the lap shear strength: a quarter, for bonds made on site. */
export const BOND_SHARE = 0.25;

/** Load that a bonded area carries, N, from mm² and the card’s lap shear strength in MPa. */
export const bondHolds = (areaMm2: number, lapShearMPa: number): number =>
  areaMm2 * lapShearMPa * BOND_SHARE;
