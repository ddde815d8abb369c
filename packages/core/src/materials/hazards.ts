/** What a material may do to people: a closed list, so that no hazard on a card is without its caution. */
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

/** Chemistries, as far as one spoils another that lies on it or under it. */
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
