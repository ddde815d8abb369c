import { tradeAt } from '../../trade/trade';
import { t } from '../../text/text';
import { z } from 'zod';
import { closingGroups, commonShape, commonUsual } from '../../survey/common';
import { MEDIUM_NAMES, MEDIUM_PH } from '../../materials/words';
import { demandOf, type ServiceNeed } from '../../survey/demand';
import { frost, hotWash, strainsOf } from '../../survey/forgotten';
import { surveyOf } from '../../family/family';
import {
  amountIfKnown,
  flag,
  laterChoice,
  mm,
  schemasOf,
  type DamageShape,
} from '../../survey/fields';
import {
  body,
  depth,
  length,
  parentOf,
  pathsOf,
  traffic,
  width,
  wornFloor,
} from '../../survey/parts';

const patch = { lengthMm: length(30000), widthMm: width(30000), depthMm: depth(300) };
const overlay = {
  lengthMm: length(60000),
  widthMm: width(60000),
  depthMm: mm(t('Thickness'), { why: t('Over the high spots.'), min: 1, max: 60, step: 0.5 }),
};
const cove = {
  lengthMm: length(60000),
  legMm: mm(t('Leg of the cove'), {
    why: t('Up the wall and out on the floor.'),
    min: 10,
    max: 300,
  }),
};
const shapes: DamageShape[] = [
  {
    shape: 'patch',
    title: t('Deep patch'),
    hint: t('broken out, to be filled'),
    named: t('broken floor'),
    typical: { lengthMm: 600, widthMm: 400, depthMm: 40 },
    fields: patch,
  },
  {
    shape: 'overlay',
    title: t('Overlay'),
    hint: t('worn surface, to be resurfaced'),
    named: t('worn floor'),
    typical: { lengthMm: 3000, widthMm: 2000, depthMm: 6 },
    fields: overlay,
  },
  {
    shape: 'coving',
    title: t('Cove'),
    hint: t('floor to wall'),
    named: t('missing cove'),
    typical: { lengthMm: 3000, legMm: 60 },
    fields: cove,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('patch'), ...schemasOf(patch) }),
  z.strictObject({ shape: z.literal('overlay'), ...schemasOf(overlay) }),
  z.strictObject({ shape: z.literal('coving'), ...schemasOf(cove) }),
]);

const parentFields = parentOf(['concrete'], t('Floor'), t('Prep depends on it.'));
const floorFields = {
  traffic,
  washed: flag({
    label: t('Washed down or wet'),
    why: t('It sets the sealer, and the fall to the drain.'),
  }),
  cracksMm: amountIfKnown('length', {
    label: t('Cracks under it, in all'),
    why: t('They are filled first, or they come through; empty where there are none.'),
    min: 0,
    max: 500_000,
    step: 500,
  }),
  juice: flag({ label: t('Juice or acid drips on it'), why: t('Cement mortar is eaten by acid.') }),
  spills: laterChoice(
    ['none', 'fatty-acid', 'sugar'],
    { none: t('Neither'), 'fatty-acid': MEDIUM_NAMES['fatty-acid'], sugar: MEDIUM_NAMES.sugar },
    { label: t('Fat or sugar on it'), why: t('They soften cement, slowly and for good.') },
  ),
  hotWash,
  frost,
};

/** The most damages one repair takes. */
export const MOST_DAMAGES = 20;

export const FloorPatchSurvey = z.strictObject({
  family: z.literal('F9'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  floor: z.strictObject(schemasOf(floorFields)),
});
export type FloorPatchSurvey = z.infer<typeof FloorPatchSurvey>;

/** What is spilt on the floor, if it is more than water. */
function spilt({ juice, spills }: FloorPatchSurvey['floor'], dripPh: number): Partial<ServiceNeed> {
  if (juice) return { medium: 'juice', ph: dripPh };
  return spills === 'none' ? {} : { medium: spills, ph: Number(MEDIUM_PH[spills]) };
}

export const floorPatchSurvey = surveyOf({
  id: 'F9',
  title: t('Floor patch, overlay, cove'),
  hint: t('deep fills and new surfaces'),
  kinds: ['floor'],
  shapes,
  groups: [
    { id: 'parent', title: t('The floor'), fields: parentFields },
    { id: 'floor', title: t('How it is used'), fields: floorFields },
    ...closingGroups,
  ],
  usual: {
    ...commonUsual,
    'parent.material': 'concrete',
    'floor.traffic': 'wheels',
    'floor.washed': 'no',
    'floor.juice': 'no',
  },
  schema: FloorPatchSurvey,
  demand: (survey, site) => {
    const { floor } = survey;
    const trade = tradeAt(site);
    const bodies = survey.damages.map((d, i) =>
      d.shape === 'coving'
        ? // Half a square: without the cove’s own hollow.
          body(t('Cove'), {
            shape: { kind: 'slab', lengthMm: d.lengthMm, widthMm: d.legMm, depthMm: d.legMm / 2 },
            buildMm: d.legMm / 2,
            paths: pathsOf(i, 'lengthMm', 'legMm'),
          })
        : body(d.shape === 'patch' ? t('Patch') : t('Overlay'), {
            shape: { kind: 'slab', lengthMm: d.lengthMm, widthMm: d.widthMm, depthMm: d.depthMm },
            buildMm: d.depthMm,
            paths: pathsOf(i, 'lengthMm', 'widthMm', 'depthMm'),
          }),
    );
    const area = survey.damages.reduce(
      (sum, d) => sum + d.lengthMm * (d.shape === 'coving' ? d.legMm * 2 : d.widthMm),
      0,
    );
    return demandOf(survey, site, {
      needed: floor.traffic === 'foot' ? 'lightLoad' : 'fullLoad',
      bodies,
      longestMm: Math.max(...survey.damages.map((d) => d.lengthMm)),
      prepMm2: area,
      strains: strainsOf(floor),
      service: { ...wornFloor(floor, trade), ...spilt(floor, trade.floor.dripPh) },
    });
  },
});
