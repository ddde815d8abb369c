/** No thickness under this share of what was planned, as film gauges are read: four fifths. */
export const LEAST_THICKNESS_SHARE = 0.8;
/** Proof load over the load in service. */
export const PROOF_SHARE = 1.25;
