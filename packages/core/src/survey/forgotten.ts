import { t } from '../text/text';
import { SKINS, SKIN_NAMES, type Medium, type Skin, type Strain } from '../materials/words';
import { m } from '../message/message';
import type { RefusalReason, RouteCondition } from './refusal';
import { laterChoice, laterFlag } from './fields';

/** Fields that decide and are easily forgotten, shared by several families, with their consequences. */

export const skin = laterChoice(SKINS, SKIN_NAMES, {
  label: t('On it, or gone into it'),
  why: t('Zinc, oil or a lining under the paint: the bond is to that, or to nothing.'),
});

export const soft = laterFlag({
  label: t('Soft, plasticised'),
  why: t('Its softener goes into rigid resin, which then lets go.'),
});

/** How machines and pipes are loaded besides the figures. */
export const dutyFields = {
  vibrates: laterFlag({
    label: t('It vibrates'),
    why: t('It shakes a rigid bond loose at its edge.'),
  }),
  heatCycles: laterFlag({
    label: t('Heat comes and goes'),
    why: t('Each time the two grow apart a little.'),
  }),
};
export const pressureFields = {
  cycles: laterFlag({
    label: t('Pressure comes and goes'),
    why: t('Many small loads tire what one great one does not.'),
  }),
  ...dutyFields,
};

/** Causes of ageing of floors and walls besides traffic. */
const FROST = ['none', 'frost', 'salt'] as const;
export type Frost = (typeof FROST)[number];
export const frost = laterChoice(
  FROST,
  { none: 'No', frost: t('Frost'), salt: t('Frost and de-icing salt') },
  { label: t('Frost'), why: t('Water freezes in it; salt makes it worse.') },
);
export const hotWash = laterFlag({
  label: t('Washed hot, or with steam'),
  why: t('The sudden heat shears a stiff layer off.'),
});

interface Loaded {
  cycles?: boolean;
  vibrates?: boolean;
  heatCycles?: boolean;
  hotWash?: boolean;
  frost?: Frost;
}

/** The kinds of loading in a survey, in the list's order. */
export function strainsOf(loaded: Loaded): Strain[] {
  const { cycles, vibrates, heatCycles, frost: frozen = 'none' } = loaded;
  const named: [Strain, boolean | undefined][] = [
    ['pressure-cycles', cycles],
    ['vibration', vibrates],
    ['heat-cycles', heatCycles],
    ['hot-wash', loaded.hotWash],
    ['freeze-thaw', frozen !== 'none'],
  ];
  return named.filter(([, is]) => is).map(([strain]) => strain);
}

/** What wets a floor: salt water where ice is thawed with salt, otherwise as surveyed. */
export const wettedBy = (frozen: Frost, otherwise: Medium): Medium =>
  frozen === 'salt' && (otherwise === 'air' || otherwise === 'water') ? 'brine' : otherwise;

interface Asks {
  refusals: RefusalReason[];
  conditions: RouteCondition[];
}
const NOTHING: Asks = { refusals: [], conditions: [] };
const seenTo = (
  id: string,
  { condition, because, steps }: { condition: string; because: string; steps?: readonly string[] },
): Asks => ({
  refusals: [],
  conditions: [{ id, condition: m(condition), because: m(because), steps }],
});

const SKIN_ASKS: Record<Skin, Asks> = {
  bare: NOTHING,
  galvanised: seenTo('galvanised', {
    condition: t('the zinc is ground off past the repair, with extraction'),
    because: t('What is laid on zinc holds to the zinc, and the zinc comes off.'),
  }),
  'oil-soaked': seenTo('oil-soaked', {
    condition: t('the oil is sweated out with heat and washed off'),
    because: t('The metal drank oil: it comes out again under the repair.'),
    steps: ['sweat'],
  }),
  'rubber-lined': {
    refusals: [],
    conditions: [
      {
        id: 'lining',
        condition: m('a lining contractor makes the rubber whole over it'),
        because: m('The lining keeps the medium off the metal, and a rigid paste does not.'),
        who: 'lining-shop',
      },
    ],
  },
  'glass-lined': {
    refusals: [
      {
        id: 'lining',
        because: m('Glass lining cracks from grinding and heat beside it.'),
        who: 'lining-shop',
      },
    ],
    conditions: [],
  },
  'fluoropolymer-lined': {
    refusals: [
      {
        id: 'lining',
        because: m('Nothing bonds to a fluoropolymer lining.'),
        who: 'lining-shop',
      },
    ],
    conditions: [],
  },
};

/** What to do, and who decides, for what covers or has soaked into the substrate. */
export const conditionsOfSkin = (on: Skin): Asks => SKIN_ASKS[on];
