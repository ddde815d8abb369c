/** Closed lists that surveys and cards share, each with names for people, so that no screen holds them. */

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
  'brine',
  'fatty-acid',
  'sugar',
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
  brine: 'Brine, de-icing or sea salt',
  'fatty-acid': 'Fats and fatty acids',
  sugar: 'Sugar syrup',
  oil: 'Oil or grease',
  air: 'Air',
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
  none: 'Little wear',
  sliding: 'Sliding wear',
  erosion: 'Erosion by solids',
  impact: 'Knocks',
  cavitation: 'Cavitation',
};

export const AREAS = ['safe', 'zone-2', 'zone-1'] as const;
export type Area = (typeof AREAS)[number];
export const AREA_NAMES: Record<Area, string> = {
  safe: 'Not classified',
  'zone-2': 'Zone 2',
  'zone-1': 'Zone 1',
};

export const INTENTS = ['lasting', 'stopgap'] as const;
export type Intent = (typeof INTENTS)[number];
export const INTENT_NAMES: Record<Intent, string> = { lasting: 'Lasting', stopgap: 'Stop-gap' };

/** Things nearby that a material or its solvent may damage. */
export const NEARBY = ['paint', 'plastic', 'rubber', 'electronics', 'food'] as const;
export type Nearby = (typeof NEARBY)[number];
export const NEARBY_NAMES: Record<Nearby, string> = {
  paint: 'Paint that stays',
  plastic: 'Plastic parts',
  rubber: 'Rubber parts',
  electronics: 'Electronics',
  food: 'Open product',
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
  none: 'Nobody else',
  'pressure-engineer': 'A pressure engineer',
  'structural-engineer': 'A structural engineer',
  'tyre-shop': 'A licensed tyre shop',
  'electronics-shop': 'A qualified electronics workshop',
  'belt-splicer': 'A belt splicer',
  diver: 'A commercial diver',
  'lining-shop': 'A lining contractor',
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
  none: 'None',
  paste: 'Paste or putty',
  wrap: 'A wrap',
  rubber: 'Rubber or a strip',
  mortar: 'Mortar or resin',
  sealant: 'Soft sealant',
  film: 'Paint or film',
  clamp: 'A clamp or a weld',
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
  bare: 'Nothing',
  galvanised: 'Zinc, galvanised',
  'oil-soaked': 'Soaked with oil',
  'rubber-lined': 'A rubber lining',
  'glass-lined': 'A glass lining',
  'fluoropolymer-lined': 'A fluoropolymer lining',
};

/** Approvals that a material must have, by a certificate on its card. */
export const APPROVALS = ['drinking-water', 'food'] as const;
export type Approval = (typeof APPROVALS)[number];
export const APPROVAL_NAMES: Record<Approval, string> = {
  'drinking-water': 'Drinking water',
  food: 'Food',
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
  'pressure-cycles': 'Pressure that comes and goes',
  vibration: 'Vibration',
  'heat-cycles': 'Heat that comes and goes',
  'hot-wash': 'Hot wash',
  'freeze-thaw': 'Freezing and thawing',
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
  plug: 'Plug',
  fair: 'Fairing paste',
  tack: 'Tack',
  'port-paste': 'Port paste',
  conditioner: 'Conditioner',
  cement: 'Cement',
  primer: 'Primer',
  'wet-coat': 'Wetting coat',
  'isolation-ply': 'Glass ply under carbon',
  close: 'Closing the crack',
  crack: 'Cracks first',
  bed: 'Bed',
  fill: 'Fill',
  patch: 'Patch',
  base: 'Base coat',
  finish: 'Finish coat',
  coat: 'Coat',
  build: 'Build',
  wrap: 'Wrap',
  cover: 'Cover',
  resin: 'Resin',
  paste: 'Paste',
  topcoat: 'Topcoat',
  seal: 'Sealer',
};
