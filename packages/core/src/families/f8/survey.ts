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
  lengthMm: mm('Length of the crack', 'All of it, along its turns.', 50, 200000, 100),
  widthMm: crackWidth(60),
  depthMm: mm('Depth to fill', 'To the bottom, or to a sand bed.', 2, 400),
};
const stepped = { ...run, stepMm: mm('Step', 'One side over the other.', 0.5, 60, 0.5) };
const shapes: DamageShape[] = [
  {
    shape: 'crack',
    title: 'Crack',
    hint: 'both sides level',
    named: 'floor crack',
    typical: { lengthMm: 2400, widthMm: 3, depthMm: 40 },
    fields: run,
  },
  {
    shape: 'bottomless',
    title: 'Bottomless crack',
    hint: 'resin would drain',
    named: 'open floor crack',
    typical: { lengthMm: 2400, widthMm: 8, depthMm: 60 },
    fields: run,
  },
  {
    shape: 'stepped',
    title: 'Stepped crack',
    hint: 'one side has sunk',
    named: 'stepped floor crack',
    typical: { lengthMm: 1800, widthMm: 12, depthMm: 80, stepMm: 6 },
    fields: stepped,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('crack'), ...schemasOf(run) }),
  z.strictObject({ shape: z.literal('bottomless'), ...schemasOf(run) }),
  z.strictObject({ shape: z.literal('stepped'), ...schemasOf(stepped) }),
]);

const parentFields = parentOf(['concrete'], 'Floor', 'Prep depends on it.');
const floorFields = {
  panelMm: panel,
  swingC: swing,
  traffic,
  washed: flag({ label: 'Washed down or wet', why: 'Some resins do not stand standing water.' }),
  structural: flag({
    label: 'The slab spans or carries a machine base',
    why: 'Then the crack is a structural one.',
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
  title: 'Floor crack',
  hint: 'hairline to wide, still or moving',
  kinds: ['floor'],
  shapes,
  groups: [
    { id: 'parent', title: 'The floor', fields: parentFields },
    { id: 'floor', title: 'How it is used', fields: floorFields },
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
    return demandOf(survey, {
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
      service: wornFloor(floor),
    });
  },
});
