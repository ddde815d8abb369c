/** What is repaired, how clean it must be, and what reaches that. Closed lists; each has its spoken name beside it. */

export const SUBSTRATES = [
  'carbon-steel',
  'cast-iron',
  'stainless',
  'cast-aluminium',
  'bronze',
  'belt-rubber',
  'tyre-rubber',
  'concrete',
  'masonry',
  'asphalt',
  'abs',
  'pvc',
  'pe',
  'pp',
  'grp',
  'coated-sheet',
  'board-laminate',
] as const;
export type Substrate = (typeof SUBSTRATES)[number];

/** How a substrate is prepared: each kind has grades of its own. */
export type PrepKind = 'metal' | 'concrete' | 'rubber' | 'plastic' | 'film' | 'laminate';

export const SUBSTRATE_NAMES: Record<Substrate, string> = {
  'carbon-steel': 'Carbon steel',
  'cast-iron': 'Cast iron',
  stainless: 'Stainless steel',
  'cast-aluminium': 'Cast aluminium',
  bronze: 'Bronze',
  'belt-rubber': 'Belt rubber',
  'tyre-rubber': 'Tyre rubber',
  concrete: 'Concrete',
  masonry: 'Masonry',
  asphalt: 'Asphalt',
  abs: 'ABS',
  pvc: 'PVC',
  pe: 'Polyethylene',
  pp: 'Polypropylene',
  grp: 'Glass-fibre composite',
  'coated-sheet': 'Coated sheet',
  'board-laminate': 'Board laminate',
};

const KIND: Record<Substrate, PrepKind> = {
  'carbon-steel': 'metal',
  'cast-iron': 'metal',
  stainless: 'metal',
  'cast-aluminium': 'metal',
  bronze: 'metal',
  'belt-rubber': 'rubber',
  'tyre-rubber': 'rubber',
  concrete: 'concrete',
  masonry: 'concrete',
  asphalt: 'concrete',
  abs: 'plastic',
  pvc: 'plastic',
  pe: 'plastic',
  pp: 'plastic',
  grp: 'film',
  'coated-sheet': 'film',
  'board-laminate': 'laminate',
};
export const prepKindOf = (substrate: Substrate): PrepKind => KIND[substrate];

export const METALS = SUBSTRATES.slice(0, 5) as unknown as readonly [
  'carbon-steel',
  'cast-iron',
  'stainless',
  'cast-aluminium',
  'bronze',
];

/** Grades of each kind from the least to the most; later ones meet every earlier one. */
const GRADES_OF = {
  metal: ['St 2', 'St 3', 'SP 11', 'Sa 2', 'Sa 2½', 'Sa 3'],
  concrete: ['CSP 1', 'CSP 2', 'CSP 3', 'CSP 5', 'CSP 7'],
  rubber: ['degreased', 'buffed'],
  plastic: ['wiped', 'keyed'],
  film: ['washed', 'sanded'],
  laminate: ['brushed', 'milled'],
} as const satisfies Record<PrepKind, readonly string[]>;

export const PREP_GRADES = [
  ...GRADES_OF.metal,
  ...GRADES_OF.concrete,
  ...GRADES_OF.rubber,
  ...GRADES_OF.plastic,
  ...GRADES_OF.film,
  ...GRADES_OF.laminate,
] as const;
export type PrepGrade = (typeof PREP_GRADES)[number];

export const GRADE_NAMES: Record<PrepGrade, string> = {
  'St 2': 'thorough hand tool cleaning, ISO 8501-1',
  'St 3': 'very thorough power tool cleaning, ISO 8501-1',
  'SP 11': 'bare metal by power tool with a profile, SSPC-SP 11',
  'Sa 2': 'thorough blast cleaning, ISO 8501-1',
  'Sa 2½': 'very thorough blast cleaning, ISO 8501-1',
  'Sa 3': 'blast cleaning to visually clean steel, ISO 8501-1',
  'CSP 1': 'acid-etched, ICRI 310.2',
  'CSP 2': 'wire-brushed and ground, ICRI 310.2',
  'CSP 3': 'light shot-blast or diamond-ground, ICRI 310.2',
  'CSP 5': 'medium shot-blast or scarified, ICRI 310.2',
  'CSP 7': 'heavy abrasive blast, ICRI 310.2',
  degreased: 'degreased to the rubber’s own colour',
  buffed: 'ground to a matt nap, not smeared',
  wiped: 'solvent-wiped',
  keyed: 'sanded matt, solvent-wiped',
  washed: 'washed and dried',
  sanded: 'sanded with a fine-middle grit, fibre not showing',
  brushed: 'brushed and wiped with alcohol',
  milled: 'milled out to sound laminate, wiped with alcohol',
};

/** Rank of a grade among those of its kind: the same or more meets it. */
export const gradeRank = (grade: PrepGrade): number =>
  Math.max(
    ...Object.values(GRADES_OF).map((grades) => (grades as readonly string[]).indexOf(grade)),
  );

export const TOOLS = ['hand', 'power', 'bristle', 'blast'] as const;
export type Tool = (typeof TOOLS)[number];
export const TOOL_NAMES: Record<Tool, string> = {
  hand: 'Hand tools',
  power: 'Power tools',
  bristle: 'Impact power tool',
  blast: 'Grit blasting',
};

interface Reach {
  grades: Record<PrepKind, PrepGrade>;
  /** Strikes sparks, or charges dust. */
  sparks: boolean;
}
const powered = { rubber: 'buffed', plastic: 'keyed', film: 'sanded', laminate: 'milled' } as const;
/** The best grade each tool reaches on each kind of surface. */
export const TOOL_REACH: Record<Tool, Reach> = {
  hand: {
    grades: {
      metal: 'St 2',
      concrete: 'CSP 1',
      rubber: 'degreased',
      plastic: 'keyed',
      film: 'sanded',
      laminate: 'brushed',
    },
    sparks: false,
  },
  power: { grades: { metal: 'St 3', concrete: 'CSP 3', ...powered }, sparks: true },
  bristle: { grades: { metal: 'SP 11', concrete: 'CSP 5', ...powered }, sparks: true },
  blast: { grades: { metal: 'Sa 2½', concrete: 'CSP 7', ...powered }, sparks: true },
};
