import { t } from '../../text/text';
import { z } from 'zod';
import { m } from '../../message/message';
import { closingGroups, commonGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf } from '../../survey/demand';
import { frost, strainsOf } from '../../survey/forgotten';
import { surveyOf } from '../../family/family';
import { flag, mm, schemasOf, type DamageShape } from '../../survey/fields';
import {
  body,
  crackNeed,
  crackWidth,
  panel,
  parentOf,
  pathsOf,
  swing,
  wall,
} from '../../survey/parts';

const crack = {
  lengthMm: mm(t('Length of the crack'), {
    why: t('From its lowest point to its end.'),
    min: 50,
    max: 50000,
    step: 50,
  }),
  widthMm: crackWidth(20),
  wallMm: wall(t('Wall thickness'), 3000),
};
const shapes: DamageShape[] = [
  {
    shape: 'through',
    title: t('Through the wall'),
    hint: t('shows on both faces'),
    named: t('wall crack'),
    typical: { lengthMm: 2400, widthMm: 0.8, wallMm: 300 },
    fields: crack,
  },
  {
    shape: 'face',
    title: t('One face'),
    hint: t('the other is buried'),
    named: t('wall crack, one face'),
    typical: { lengthMm: 2400, widthMm: 0.8, wallMm: 300 },
    fields: crack,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('through'), ...schemasOf(crack) }),
  z.strictObject({ shape: z.literal('face'), ...schemasOf(crack) }),
]);

const parentFields = parentOf(
  ['concrete', 'masonry'],
  t('Wall'),
  t('Ports are spaced by what it is.'),
);
const wallFields = {
  panelMm: panel,
  swingC: swing,
  structural: flag({
    label: t('It must carry load across the crack'),
    why: t('Foam stops water; it ties nothing.'),
  }),
  frost,
};

/** The most damages one repair takes. */
export const MOST_DAMAGES = 20;

export const WallCrackSurvey = z.strictObject({
  family: z.literal('F11'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  wall: z.strictObject(schemasOf(wallFields)),
});
export type WallCrackSurvey = z.infer<typeof WallCrackSurvey>;

export const wallCrackSurvey = surveyOf({
  id: 'F11',
  title: t('Wall crack injection'),
  hint: t('bunds, basins, pits'),
  kinds: ['wall', 'basin', 'bund'],
  shapes,
  groups: [
    { id: 'parent', title: t('The wall'), fields: parentFields },
    { id: 'wall', title: t('How it works'), fields: wallFields },
    commonGroups.service,
    ...closingGroups,
  ],
  usual: {
    ...commonUsual,
    'wall.structural': 'no',
    'surface.slope': 'vertical',
    'surface.damp': 'wet',
  },
  schema: WallCrackSurvey,
  demand: (survey, site) => {
    const need = crackNeed(survey.damages, survey.wall);
    const total = survey.damages.reduce((sum, d) => sum + d.lengthMm, 0);
    return demandOf(survey, site, {
      needed: 'immersion',
      bodies: survey.damages.map((d, i) =>
        body(t('Crack'), {
          shape: { kind: 'slab', lengthMm: d.lengthMm, widthMm: d.wallMm, depthMm: d.widthMm },
          buildMm: d.widthMm,
          paths: pathsOf(i, 'lengthMm', 'widthMm', 'wallMm'),
        }),
      ),
      crack: need.crack,
      strains: strainsOf(survey.wall),
      longestMm: total,
      paths: need.paths,
      prepMm2: total * 100,
      refusals: survey.wall.structural
        ? [
            {
              id: 'structural',
              because: m('It must carry load across the crack: an engineer designs that repair.'),
              who: 'structural-engineer',
            },
          ]
        : [],
    });
  },
});
