/** Hazards of materials: a closed list, so that every hazard on a card has its caution. */
export const HAZARDS = [
  'solvent',
  'flammable',
  'amine',
  'isocyanate',
  'acrylate',
  'instant-bond',
  'alkaline',
  'acid',
  'exotherm',
  'dust',
  'lamp',
  'heat',
] as const;
export type Hazard = (typeof HAZARDS)[number];

/** Chemistries, as far as one damages another that it touches. */
export const CHEMISTRIES = [
  'epoxy',
  'urethane',
  'cement',
  'acrylic',
  'acrylate',
  'cyanoacrylate',
  'rubber-cement',
  'polymer-solution',
] as const;
