/** Least measured thickness as a share of the planned one: four fifths. */
export const LEAST_THICKNESS_SHARE = 0.8;
/** Proof load as a multiple of the service load. */
export const PROOF_SHARE = 1.25;
