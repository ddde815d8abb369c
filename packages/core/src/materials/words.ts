/** The closed lists that surveys and cards share. Each has its spoken name beside it, so that no screen holds one. */

export const METALS = [
  'carbon-steel',
  'cast-iron',
  'stainless',
  'cast-aluminium',
  'bronze',
] as const;
export type Metal = (typeof METALS)[number];
export const METAL_NAMES: Record<Metal, string> = {
  'carbon-steel': 'Carbon steel',
  'cast-iron': 'Cast iron',
  stainless: 'Stainless steel',
  'cast-aluminium': 'Cast aluminium',
  bronze: 'Bronze',
};

/** Surface cleanliness from the least to the most; later ones meet every earlier one. */
export const PREP_GRADES = ['St 2', 'St 3', 'SP 11', 'Sa 2', 'Sa 2½', 'Sa 3'] as const;
export type PrepGrade = (typeof PREP_GRADES)[number];
export const GRADE_NAMES: Record<PrepGrade, string> = {
  'St 2': 'thorough hand tool cleaning, ISO 8501-1',
  'St 3': 'very thorough power tool cleaning, ISO 8501-1',
  'SP 11': 'bare metal by power tool with a profile, SSPC-SP 11',
  'Sa 2': 'thorough blast cleaning, ISO 8501-1',
  'Sa 2½': 'very thorough blast cleaning, ISO 8501-1',
  'Sa 3': 'blast cleaning to visually clean steel, ISO 8501-1',
};
export const gradeRank = (grade: PrepGrade): number => PREP_GRADES.indexOf(grade);

export const DAMP = ['dry', 'damp', 'wet', 'under-water'] as const;
export type Damp = (typeof DAMP)[number];
export const DAMP_NAMES: Record<Damp, string> = {
  dry: 'Dry',
  damp: 'Damp',
  wet: 'Wet',
  'under-water': 'Under water',
};

export const SLOPES = ['level', 'vertical', 'overhead'] as const;
export type Slope = (typeof SLOPES)[number];
export const SLOPE_NAMES: Record<Slope, string> = {
  level: 'Level',
  vertical: 'Vertical',
  overhead: 'Overhead',
};

export const MEDIA = [
  'water',
  'condensate',
  'juice',
  'lime-milk',
  'caustic',
  'mineral-acid',
  'soil-slurry',
  'oil',
  'air',
] as const;
export type Medium = (typeof MEDIA)[number];
export const MEDIUM_NAMES: Record<Medium, string> = {
  water: 'Water',
  condensate: 'Condensate',
  juice: 'Beet juice',
  'lime-milk': 'Lime milk',
  caustic: 'Caustic cleaner',
  'mineral-acid': 'Mineral acid',
  'soil-slurry': 'Beet and soil slurry',
  oil: 'Oil or grease',
  air: 'Air',
};
/** Typical pH where the survey has no reading. */
export const MEDIUM_PH: Record<Medium, number> = {
  water: 7,
  condensate: 8.5,
  juice: 6.2,
  'lime-milk': 12.6,
  caustic: 13.5,
  'mineral-acid': 1,
  'soil-slurry': 7,
  oil: 7,
  air: 7,
};

export const WEAR = ['none', 'sliding', 'erosion', 'impact'] as const;
export type Wear = (typeof WEAR)[number];
export const WEAR_NAMES: Record<Wear, string> = {
  none: 'Little wear',
  sliding: 'Sliding wear',
  erosion: 'Erosion by solids',
  impact: 'Knocks',
};

export const AREAS = ['safe', 'zone-2', 'zone-1'] as const;
export type Area = (typeof AREAS)[number];
export const AREA_NAMES: Record<Area, string> = {
  safe: 'Not classified',
  'zone-2': 'Zone 2',
  'zone-1': 'Zone 1',
};

export const TOOLS = ['hand', 'power', 'bristle', 'blast'] as const;
export type Tool = (typeof TOOLS)[number];
export const TOOL_NAMES: Record<Tool, string> = {
  hand: 'Hand tools',
  power: 'Power tools',
  bristle: 'Impact power tool',
  blast: 'Grit blasting',
};
/** The best grade each tool reaches, and whether it strikes sparks or charges dust. */
export const TOOL_REACH: Record<Tool, { grade: PrepGrade; sparks: boolean }> = {
  hand: { grade: 'St 2', sparks: false },
  power: { grade: 'St 3', sparks: true },
  bristle: { grade: 'SP 11', sparks: true },
  blast: { grade: 'Sa 2½', sparks: true },
};

export const INTENTS = ['lasting', 'stopgap'] as const;
export type Intent = (typeof INTENTS)[number];
export const INTENT_NAMES: Record<Intent, string> = { lasting: 'Lasting', stopgap: 'Stop-gap' };
