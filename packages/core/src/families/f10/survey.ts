import { t } from '../../text/text';
import { z } from 'zod';
import { closingGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf } from '../../survey/demand';
import { frost, strainsOf, wettedBy } from '../../survey/forgotten';
import { surveyOf } from '../../family/family';
import { mm, schemasOf, type DamageShape } from '../../survey/fields';
import {
  crackBody,
  crackNeed,
  crackWidth,
  panel,
  parentOf,
  swing,
  traffic,
  TRAFFIC_WEAR,
} from '../../survey/parts';

const run = {
  lengthMm: mm(t('Length of this run'), {
    why: t('All of it, along its turns.'),
    min: 100,
    max: 500000,
    step: 500,
  }),
  widthMm: crackWidth(150),
  depthMm: mm(t('Depth, cleaned out'), {
    why: t('What is over the working depth is filled with sand.'),
    min: 5,
    max: 500,
  }),
};
const shapes: DamageShape[] = [
  {
    shape: 'run',
    title: t('Wide crack'),
    hint: t('in slab or asphalt'),
    named: t('wide yard crack'),
    typical: { lengthMm: 12000, widthMm: 25, depthMm: 70 },
    fields: run,
  },
  {
    shape: 'joint',
    title: t('Joint edge'),
    hint: t('old sealant out'),
    named: t('failed yard joint'),
    typical: { lengthMm: 8000, widthMm: 20, depthMm: 50 },
    fields: run,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('run'), ...schemasOf(run) }),
  z.strictObject({ shape: z.literal('joint'), ...schemasOf(run) }),
]);

const parentFields = parentOf(
  ['concrete', 'asphalt'],
  t('Yard'),
  t('Asphalt gives; concrete does not.'),
);
const yardFields = { panelMm: panel, swingC: swing, traffic, frost };

/** The most damages one repair takes. */
export const MOST_DAMAGES = 40;

export const YardCrackSurvey = z.strictObject({
  family: z.literal('F10'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  yard: z.strictObject(schemasOf(yardFields)),
});
export type YardCrackSurvey = z.infer<typeof YardCrackSurvey>;

export const yardCrackSurvey = surveyOf({
  id: 'F10',
  title: t('Yard: wide cracks'),
  hint: t('asphalt and slabs, resin and sand'),
  kinds: ['yard', 'floor'],
  shapes,
  groups: [
    { id: 'parent', title: t('The yard'), fields: parentFields },
    { id: 'yard', title: t('How it is used'), fields: yardFields },
    ...closingGroups,
  ],
  usual: { ...commonUsual, 'yard.traffic': 'trucks' },
  schema: YardCrackSurvey,
  demand: (survey, site) => {
    const { yard } = survey;
    const need = crackNeed(survey.damages, yard);
    const total = survey.damages.reduce((sum, d) => sum + d.lengthMm, 0);
    return demandOf(survey, site, {
      needed: yard.traffic === 'foot' ? 'lightLoad' : 'fullLoad',
      bodies: survey.damages.map((d, i) => crackBody(d, i, site.workingDepthMm)),
      crack: need.crack,
      longestMm: total,
      paths: need.paths,
      prepMm2: total * 100,
      strains: strainsOf(yard),
      service: {
        medium: wettedBy(yard.frost, 'water'),
        mediumC: 25,
        wear: TRAFFIC_WEAR[yard.traffic],
      },
    });
  },
});
