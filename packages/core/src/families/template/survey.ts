import { t } from '../../text/text';
import { z } from 'zod';
import { surveyOf } from '../../family/family';
import { SUBSTRATE_NAMES } from '../../materials/substrates';
import { closingGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf } from '../../survey/demand';
import { choice, schemasOf } from '../../survey/fields';
import { body, depth, length, pathsOf, wall, width } from '../../survey/parts';

/** The most damages one repair takes. */
export const MOST_DAMAGES = 4;

const nosing = { lengthMm: length(3000), widthMm: width(200), depthMm: depth(40), wallMm: wall() };
const parentFields = {
  material: choice(['concrete', 'carbon-steel'] as const, SUBSTRATE_NAMES, {
    label: t('Substrate'),
    why: t('The card says what it bonds to.'),
  }),
};

const StairSurvey = z.strictObject({
  family: z.literal('F90'),
  ...commonShape,
  damages: z
    .array(z.strictObject({ shape: z.literal('nosing'), ...schemasOf(nosing) }))
    .min(1)
    .max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
});
export type StairSurvey = z.infer<typeof StairSurvey>;

export const stairSurvey = surveyOf({
  id: 'F90',
  title: t('Stair nosing'),
  hint: t('worn off its edge'),
  kinds: ['stair'],
  shapes: [
    {
      shape: 'nosing',
      title: t('Nosing'),
      hint: t('worn round'),
      named: t('worn nosing'),
      typical: { lengthMm: 900, widthMm: 60, depthMm: 12, wallMm: 150 },
      fields: nosing,
    },
  ],
  groups: [{ id: 'parent', title: t('What is repaired'), fields: parentFields }, ...closingGroups],
  usual: { ...commonUsual },
  schema: StairSurvey,
  demand: (survey, site) =>
    demandOf(survey, site, {
      needed: 'lightLoad',
      bodies: survey.damages.map((d, i) =>
        body(t('Nosing'), {
          shape: { kind: 'slab', lengthMm: d.lengthMm, widthMm: d.widthMm, depthMm: d.depthMm },
          buildMm: d.depthMm,
          paths: pathsOf(i, 'lengthMm', 'widthMm', 'depthMm'),
        }),
      ),
      paths: {},
      longestMm: Math.max(...survey.damages.map((d) => d.lengthMm)),
      prepMm2: survey.damages.reduce((sum, d) => sum + d.lengthMm * d.widthMm, 0),
      refusals: [],
    }),
});
