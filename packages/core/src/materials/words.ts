import { t } from '../text/text';
/** Closed lists that surveys and cards share, each with names for people, so that no screen holds them. */

export const DAMP = ['dry', 'damp', 'wet', 'under-water'] as const;
export type Damp = (typeof DAMP)[number];
export const DAMP_NAMES: Record<Damp, string> = {
  dry: t('Dry'),
  damp: t('Damp'),
  wet: t('Wet'),
  'under-water': t('Under water'),
};

export const SLOPES = ['level', 'vertical', 'overhead'] as const;
export type Slope = (typeof SLOPES)[number];
export const SLOPE_NAMES: Record<Slope, string> = {
  level: t('Level'),
  vertical: t('Vertical'),
  overhead: t('Overhead'),
};

export const MEDIA = [
  'water',
  'condensate',
  'juice',
  'lime-milk',
  'caustic',
  'mineral-acid',
  'soil-slurry',
  'brine',
  'fatty-acid',
  'sugar',
  'oil',
  'air',
] as const;
export type Medium = (typeof MEDIA)[number];
export const MEDIUM_NAMES: Record<Medium, string> = {
  water: t('Water'),
  condensate: t('Condensate'),
  juice: t('Beet juice'),
  'lime-milk': t('Lime milk'),
  caustic: t('Caustic cleaner'),
  'mineral-acid': t('Mineral acid'),
  'soil-slurry': t('Beet and soil slurry'),
  brine: t('Brine, de-icing or sea salt'),
  'fatty-acid': t('Fats and fatty acids'),
  sugar: t('Sugar syrup'),
  oil: t('Oil or grease'),
  air: t('Air'),
};
/** Usual pH of a medium, as typed, filled in until it is measured. */
export const MEDIUM_PH: Record<Medium, string> = {
  water: '7',
  condensate: '8.5',
  juice: '6.2',
  'lime-milk': '12.6',
  caustic: '13.5',
  'mineral-acid': '1',
  'soil-slurry': '7',
  brine: '7.5',
  'fatty-acid': '4',
  sugar: '6',
  oil: '7',
  air: '7',
};
/** Media without water: heat in them is dry heat, and they have no pH. */
export const DRY_MEDIA: readonly Medium[] = ['air', 'oil'];
/** Media whose concentration decides. */
export const DILUTED: readonly Medium[] = ['caustic', 'mineral-acid'];

export const WEAR = ['none', 'sliding', 'erosion', 'impact', 'cavitation'] as const;
export type Wear = (typeof WEAR)[number];
export const WEAR_NAMES: Record<Wear, string> = {
  none: t('Little wear'),
  sliding: t('Sliding wear'),
  erosion: t('Erosion by solids'),
  impact: t('Knocks'),
  cavitation: t('Cavitation'),
};

export const AREAS = ['safe', 'zone-2', 'zone-1'] as const;
export type Area = (typeof AREAS)[number];
export const AREA_NAMES: Record<Area, string> = {
  safe: t('Not classified'),
  'zone-2': t('Zone 2'),
  'zone-1': t('Zone 1'),
};

export const INTENTS = ['lasting', 'stopgap'] as const;
export type Intent = (typeof INTENTS)[number];
export const INTENT_NAMES: Record<Intent, string> = {
  lasting: t('Lasting'),
  stopgap: t('Stop-gap'),
};

/** Things nearby that a material or its solvent may damage. */
export const NEARBY = ['paint', 'plastic', 'rubber', 'electronics', 'food'] as const;
export type Nearby = (typeof NEARBY)[number];
export const NEARBY_NAMES: Record<Nearby, string> = {
  paint: t('Paint that stays'),
  plastic: t('Plastic parts'),
  rubber: t('Rubber parts'),
  electronics: t('Electronics'),
  food: t('Open product'),
};

/** Who must decide or do the work where the technician may not. */
export const PERMISSIONS = [
  'none',
  'pressure-engineer',
  'structural-engineer',
  'tyre-shop',
  'electronics-shop',
  'belt-splicer',
  'diver',
  'lining-shop',
] as const;
export type Permission = (typeof PERMISSIONS)[number];
export const PERMISSION_NAMES: Record<Permission, string> = {
  none: t('Nobody else'),
  'pressure-engineer': t('A pressure engineer'),
  'structural-engineer': t('A structural engineer'),
  'tyre-shop': t('A licensed tyre shop'),
  'electronics-shop': t('A qualified electronics workshop'),
  'belt-splicer': t('A belt splicer'),
  diver: t('A commercial diver'),
  'lining-shop': t('A lining contractor'),
};

/** The material of an old repair: it is removed before a new one. */
export const OLD_REPAIRS = [
  'none',
  'paste',
  'wrap',
  'rubber',
  'mortar',
  'sealant',
  'film',
  'clamp',
] as const;
export type OldRepair = (typeof OLD_REPAIRS)[number];
export const OLD_REPAIR_NAMES: Record<OldRepair, string> = {
  none: t('None'),
  paste: t('Paste or putty'),
  wrap: 'A wrap',
  rubber: t('Rubber or a strip'),
  mortar: t('Mortar or resin'),
  sealant: t('Soft sealant'),
  film: t('Paint or film'),
  clamp: t('A clamp or a weld'),
};

/** What covers or has soaked into the substrate, invisible under paint. */
export const SKINS = [
  'bare',
  'galvanised',
  'oil-soaked',
  'rubber-lined',
  'glass-lined',
  'fluoropolymer-lined',
] as const;
export type Skin = (typeof SKINS)[number];
export const SKIN_NAMES: Record<Skin, string> = {
  bare: t('Nothing'),
  galvanised: t('Zinc, galvanised'),
  'oil-soaked': t('Soaked with oil'),
  'rubber-lined': t('A rubber lining'),
  'glass-lined': t('A glass lining'),
  'fluoropolymer-lined': t('A fluoropolymer lining'),
};

/** Approvals that a material must have, by a certificate on its card. */
export const APPROVALS = ['drinking-water', 'food'] as const;
export type Approval = (typeof APPROVALS)[number];
export const APPROVAL_NAMES: Record<Approval, string> = {
  'drinking-water': t('Drinking water'),
  food: t('Food'),
};

/** Kinds of loading that no single figure of a data sheet covers. */
export const STRAINS = [
  'pressure-cycles',
  'vibration',
  'heat-cycles',
  'hot-wash',
  'freeze-thaw',
] as const;
export type Strain = (typeof STRAINS)[number];
export const STRAIN_NAMES: Record<Strain, string> = {
  'pressure-cycles': t('Pressure that comes and goes'),
  vibration: t('Vibration'),
  'heat-cycles': t('Heat that comes and goes'),
  'hot-wash': t('Hot wash'),
  'freeze-thaw': t('Freezing and thawing'),
};

/** The purpose of a round. A card that can serve one beside another card lists it in `helps`. */
export const PURPOSES = [
  'plug',
  'fair',
  'tack',
  'port-paste',
  'conditioner',
  'cement',
  'primer',
  'wet-coat',
  'isolation-ply',
  'close',
  'crack',
  'bed',
  'fill',
  'patch',
  'base',
  'finish',
  'coat',
  'build',
  'wrap',
  'cover',
  'resin',
  'paste',
  'topcoat',
  'seal',
] as const;
export type Purpose = (typeof PURPOSES)[number];
export const PURPOSE_NAMES: Record<Purpose, string> = {
  plug: t('Plug'),
  fair: t('Fairing paste'),
  tack: t('Tack'),
  'port-paste': t('Port paste'),
  conditioner: t('Conditioner'),
  cement: t('Cement'),
  primer: t('Primer'),
  'wet-coat': t('Wetting coat'),
  'isolation-ply': t('Glass ply under carbon'),
  close: t('Closing the crack'),
  crack: t('Cracks first'),
  bed: t('Bed'),
  fill: 'Fill',
  patch: t('Patch'),
  base: t('Base coat'),
  finish: t('Finish coat'),
  coat: t('Coat'),
  build: t('Build'),
  wrap: t('Wrap'),
  cover: t('Cover'),
  resin: t('Resin'),
  paste: t('Paste'),
  topcoat: t('Topcoat'),
  seal: t('Sealer'),
};
