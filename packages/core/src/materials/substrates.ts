import { t } from '../text/text';
/** Substrates, preparation grades, and the tools that reach them. Closed lists, each with names for people. */

/** How a substrate is prepared: each kind has its own grades. */
export type PrepKind = 'metal' | 'concrete' | 'rubber' | 'plastic' | 'film' | 'laminate';
/** How its cut face is drawn, on screen and on paper. */
export const HATCHES = ['cast-iron', 'steel', 'rubber', 'concrete', 'plastic', 'laminate'] as const;
export type Hatch = (typeof HATCHES)[number];

/** Every substrate, one record each. */
const SUBSTRATE_TABLE = [
  { id: 'carbon-steel', name: t('Carbon steel'), kind: 'metal', hatch: 'steel' },
  { id: 'cast-iron', name: t('Cast iron'), kind: 'metal', hatch: 'cast-iron' },
  { id: 'stainless', name: t('Stainless steel'), kind: 'metal', hatch: 'steel' },
  { id: 'cast-aluminium', name: t('Cast aluminium'), kind: 'metal', hatch: 'steel' },
  { id: 'bronze', name: t('Bronze'), kind: 'metal', hatch: 'steel' },
  { id: 'belt-rubber', name: t('Belt rubber'), kind: 'rubber', hatch: 'rubber' },
  { id: 'tyre-rubber', name: t('Tyre rubber'), kind: 'rubber', hatch: 'rubber' },
  { id: 'concrete', name: t('Concrete'), kind: 'concrete', hatch: 'concrete' },
  { id: 'masonry', name: t('Masonry'), kind: 'concrete', hatch: 'concrete' },
  { id: 'asphalt', name: t('Asphalt'), kind: 'concrete', hatch: 'concrete' },
  { id: 'abs', name: 'ABS', kind: 'plastic', hatch: 'plastic' },
  { id: 'pvc', name: 'PVC', kind: 'plastic', hatch: 'plastic' },
  { id: 'pe', name: t('Polyethylene'), kind: 'plastic', hatch: 'plastic' },
  { id: 'pp', name: t('Polypropylene'), kind: 'plastic', hatch: 'plastic' },
  { id: 'grp', name: t('Glass-fibre composite'), kind: 'film', hatch: 'laminate' },
  { id: 'coated-sheet', name: t('Coated sheet'), kind: 'film', hatch: 'steel' },
  { id: 'board-laminate', name: t('Board laminate'), kind: 'laminate', hatch: 'laminate' },
] as const satisfies readonly { id: string; name: string; kind: PrepKind; hatch: Hatch }[];

export type Substrate = (typeof SUBSTRATE_TABLE)[number]['id'];
export const SUBSTRATES = SUBSTRATE_TABLE.map((s) => s.id) as [Substrate, ...Substrate[]];
const byId = new Map<Substrate, (typeof SUBSTRATE_TABLE)[number]>(
  SUBSTRATE_TABLE.map((s) => [s.id, s]),
);

/** Plastics that no adhesive wets: what lies on them holds only mechanically. */
const UNBONDABLE: readonly Substrate[] = ['pe', 'pp'];
export const bondsTo = (id: Substrate): boolean => !UNBONDABLE.includes(id);

/** A substrate by its id. */
export const substrate = (id: Substrate) => byId.get(id) as (typeof SUBSTRATE_TABLE)[number];
export const prepKindOf = (id: Substrate): PrepKind => substrate(id).kind;
export const SUBSTRATE_NAMES = Object.fromEntries(
  SUBSTRATE_TABLE.map((s) => [s.id, s.name]),
) as Record<Substrate, string>;

export const METALS = [
  'carbon-steel',
  'cast-iron',
  'stainless',
  'cast-aluminium',
  'bronze',
] as const;

/** Grades of each kind from lowest to highest; a higher grade meets every lower one. */
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
  'St 2': t('thorough hand tool cleaning, ISO 8501-1'),
  'St 3': t('very thorough power tool cleaning, ISO 8501-1'),
  'SP 11': t('bare metal by power tool with a profile, SSPC-SP 11'),
  'Sa 2': t('thorough blast cleaning, ISO 8501-1'),
  'Sa 2½': t('very thorough blast cleaning, ISO 8501-1'),
  'Sa 3': t('blast cleaning to visually clean steel, ISO 8501-1'),
  'CSP 1': t('acid-etched, ICRI 310.2'),
  'CSP 2': t('wire-brushed and ground, ICRI 310.2'),
  'CSP 3': t('light shot-blast or diamond-ground, ICRI 310.2'),
  'CSP 5': t('medium shot-blast or scarified, ICRI 310.2'),
  'CSP 7': t('heavy abrasive blast, ICRI 310.2'),
  degreased: t('degreased to the rubber’s own colour'),
  buffed: t('ground to a matt nap, not smeared'),
  wiped: 'solvent-wiped',
  keyed: t('sanded matt, solvent-wiped'),
  washed: t('washed and dried'),
  sanded: t('sanded with a fine-middle grit, fibre not showing'),
  brushed: t('brushed and wiped with alcohol'),
  milled: t('milled out to sound laminate, wiped with alcohol'),
};

/** Rank of a grade within its kind: an equal or higher rank meets it. */
export const gradeRank = (grade: PrepGrade): number =>
  Math.max(
    ...Object.values(GRADES_OF).map((grades) => (grades as readonly string[]).indexOf(grade)),
  );

export const TOOLS = ['hand', 'nonspark', 'power', 'bristle', 'blast'] as const;
export type Tool = (typeof TOOLS)[number];
export const TOOL_NAMES: Record<Tool, string> = {
  hand: t('Hand tools'),
  nonspark: t('Non-sparking power tools'),
  power: t('Power tools'),
  bristle: t('Impact power tools'),
  blast: t('Grit blasting'),
};

interface Reach {
  grades: Record<PrepKind, PrepGrade>;
  /** Makes sparks, or charges dust. */
  sparks: boolean;
}
const powered = { rubber: 'buffed', plastic: 'keyed', film: 'sanded', laminate: 'milled' } as const;
/** The best grade that each tool reaches on each kind of surface. */
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
  // Air-driven, of bronze or copper-beryllium: slower, without sparks.
  nonspark: { grades: { metal: 'St 3', concrete: 'CSP 2', ...powered }, sparks: false },
  power: { grades: { metal: 'St 3', concrete: 'CSP 3', ...powered }, sparks: true },
  bristle: { grades: { metal: 'SP 11', concrete: 'CSP 5', ...powered }, sparks: true },
  blast: { grades: { metal: 'Sa 2½', concrete: 'CSP 7', ...powered }, sparks: true },
};
