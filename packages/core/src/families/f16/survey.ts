import { t } from '../../text/text';
import { z } from 'zod';
import { closingGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf } from '../../survey/demand';
import { frost, strainsOf, wettedBy } from '../../survey/forgotten';
import { surveyOf } from '../../family/family';
import { flag, schemasOf, type DamageShape } from '../../survey/fields';
import {
  body,
  depth,
  length,
  parentOf,
  pathsOf,
  traffic,
  TRAFFIC_WEAR,
  width,
} from '../../survey/parts';

const bed = { lengthMm: length(40000), widthMm: width(20000), depthMm: depth(150) };
const shapes: DamageShape[] = [
  {
    shape: 'bed',
    title: t('Whole bed'),
    hint: t('laid new'),
    named: t('worn matting'),
    typical: { lengthMm: 2400, widthMm: 1200, depthMm: 30 },
    fields: bed,
  },
  {
    shape: 'spot',
    title: t('Torn spot'),
    hint: t('cut out square and filled'),
    named: t('torn matting'),
    typical: { lengthMm: 500, widthMm: 400, depthMm: 25 },
    fields: bed,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('bed'), ...schemasOf(bed) }),
  z.strictObject({ shape: z.literal('spot'), ...schemasOf(bed) }),
]);

const parentFields = parentOf(
  ['concrete', 'asphalt'],
  t('Base under it'),
  t('The binder primes it.'),
);
const mattingFields = {
  traffic,
  drains: flag({ label: t('Water must run through'), why: t('Too much binder closes it.') }),
  frost,
};

/** The most damages one repair takes. */
export const MOST_DAMAGES = 20;

export const MattingSurvey = z.strictObject({
  family: z.literal('F16'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  matting: z.strictObject(schemasOf(mattingFields)),
});
export type MattingSurvey = z.infer<typeof MattingSurvey>;

export const mattingSurvey = surveyOf({
  id: 'F16',
  title: t('Rubber crumb matting'),
  hint: t('granules and binder'),
  kinds: ['matting', 'floor'],
  shapes,
  groups: [
    { id: 'parent', title: t('The base'), fields: parentFields },
    { id: 'matting', title: t('How it is used'), fields: mattingFields },
    ...closingGroups,
  ],
  usual: { ...commonUsual, 'matting.traffic': 'foot', 'matting.drains': 'yes' },
  schema: MattingSurvey,
  demand: (survey, site) => {
    const area = survey.damages.reduce((sum, d) => sum + d.lengthMm * d.widthMm, 0);
    return demandOf(survey, site, {
      needed: 'lightLoad',
      bodies: survey.damages.map((d, i) =>
        body(d.shape === 'bed' ? t('Bed') : t('Spot'), {
          shape: { kind: 'slab', lengthMm: d.lengthMm, widthMm: d.widthMm, depthMm: d.depthMm },
          buildMm: d.depthMm,
          paths: pathsOf(i, 'lengthMm', 'widthMm', 'depthMm'),
        }),
      ),
      flexes: true,
      longestMm: Math.max(...survey.damages.map((d) => d.lengthMm)),
      prepMm2: area,
      strains: strainsOf(survey.matting),
      service: {
        medium: wettedBy(survey.matting.frost, 'water'),
        mediumC: 30,
        wear: TRAFFIC_WEAR[survey.matting.traffic],
      },
    });
  },
});
