import { tradeAt } from '../../trade/trade';
import { t } from '../../text/text';
import { z } from 'zod';
import { m } from '../../message/message';
import { closingGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf } from '../../survey/demand';
import { frost, hotWash, strainsOf } from '../../survey/forgotten';
import { surveyOf } from '../../family/family';
import { flag, mm, schemasOf, type DamageShape } from '../../survey/fields';
import {
  crackBody,
  crackNeed,
  crackWidth,
  panel,
  parentOf,
  swing,
  traffic,
  wornFloor,
} from '../../survey/parts';

const run = {
  lengthMm: mm(t('Length of the crack'), {
    why: t('All of it, along its turns.'),
    min: 50,
    max: 200000,
    step: 100,
  }),
  widthMm: crackWidth(60),
  depthMm: mm(t('Depth to fill'), { why: t('To the bottom, or to a sand bed.'), min: 2, max: 400 }),
};
const stepped = {
  ...run,
  stepMm: mm(t('Step'), { why: t('One side over the other.'), min: 0.5, max: 60, step: 0.5 }),
};
const shapes: DamageShape[] = [
  {
    shape: 'crack',
    title: t('Crack'),
    hint: t('both sides level'),
    named: t('floor crack'),
    typical: { lengthMm: 2400, widthMm: 3, depthMm: 40 },
    fields: run,
  },
  {
    shape: 'bottomless',
    title: t('Bottomless crack'),
    hint: t('resin would drain'),
    named: t('open floor crack'),
    typical: { lengthMm: 2400, widthMm: 8, depthMm: 60 },
    fields: run,
  },
  {
    shape: 'stepped',
    title: t('Stepped crack'),
    hint: t('one side has sunk'),
    named: t('stepped floor crack'),
    typical: { lengthMm: 1800, widthMm: 12, depthMm: 80, stepMm: 6 },
    fields: stepped,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('crack'), ...schemasOf(run) }),
  z.strictObject({ shape: z.literal('bottomless'), ...schemasOf(run) }),
  z.strictObject({ shape: z.literal('stepped'), ...schemasOf(stepped) }),
]);

const parentFields = parentOf(['concrete'], t('Floor'), t('Prep depends on it.'));
const floorFields = {
  panelMm: panel,
  swingC: swing,
  traffic,
  washed: flag({
    label: t('Washed down or wet'),
    why: t('Some resins do not stand standing water.'),
  }),
  structural: flag({
    label: t('The slab spans or carries a machine base'),
    why: t('Then the crack is a structural one.'),
  }),
  hotWash,
  frost,
};

/** The most damages one repair takes. */
export const MOST_DAMAGES = 40;

export const FloorCrackSurvey = z.strictObject({
  family: z.literal('F8'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  floor: z.strictObject(schemasOf(floorFields)),
});
export type FloorCrackSurvey = z.infer<typeof FloorCrackSurvey>;

export const floorCrackSurvey = surveyOf({
  id: 'F8',
  title: t('Floor crack'),
  hint: t('hairline to wide, still or moving'),
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
    'floor.traffic': 'foot',
    'floor.washed': 'no',
    'floor.structural': 'no',
  },
  schema: FloorCrackSurvey,
  demand: (survey, site) => {
    const { floor } = survey;
    const total = survey.damages.reduce((sum, d) => sum + d.lengthMm, 0);
    const need = crackNeed(survey.damages, { ...floor, wheels: floor.traffic !== 'foot' });
    return demandOf(survey, site, {
      needed: floor.traffic === 'foot' ? 'lightLoad' : 'fullLoad',
      bodies: survey.damages.map((d, i) =>
        // A crack without a bottom would drain poured material: sand stops it.
        crackBody(d, i, d.shape === 'bottomless' ? site.workingDepthMm : d.depthMm),
      ),
      crack: need.crack,
      paths: need.paths,
      longestMm: total,
      prepMm2: total * 100,
      refusals: floor.structural
        ? [
            {
              id: 'structural',
              because: m(
                'The slab spans or carries a machine: find why it cracked before it is filled.',
              ),
              who: 'structural-engineer',
            },
          ]
        : [],
      strains: strainsOf(floor),
      service: wornFloor(floor, tradeAt(site)),
    });
  },
});
