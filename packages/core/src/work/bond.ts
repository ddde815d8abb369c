/** Share of the lap shear strength that a bond is worked at: a quarter, for what is bonded on site. */
export const BOND_SHARE = 0.25;

/** Load a bonded area is good for, N, from mm² and the card’s lap shear strength in MPa. */
export const bondHolds = (areaMm2: number, lapShearMPa: number): number =>
  areaMm2 * lapShearMPa * BOND_SHARE;
