import { t } from '../../text/text';
import { z } from 'zod';
import { m } from '../../message/message';
import { METALS } from '../../materials/substrates';
import { closingGroups, commonGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf } from '../../survey/demand';
import type { RefusalReason } from '../../survey/refusal';
import { pressureFields, skin, strainsOf } from '../../survey/forgotten';
import { surveyOf } from '../../family/family';
import { count, flag, mm, schemasOf, type DamageShape } from '../../survey/fields';
import {
  body,
  depth,
  grownArea,
  length,
  parentOf,
  pathsOf,
  pressure,
  wall,
  width,
} from '../../survey/parts';

const thickness = wall(t('Flange thickness'));
const ring = {
  outerMm: mm(t('Outer diameter of the face'), {
    why: t('Where the gasket ends.'),
    min: 20,
    max: 4000,
  }),
  innerMm: mm(t('Inner diameter of the face'), {
    why: t('The bore, or where sound metal begins.'),
    min: 5,
    max: 3900,
  }),
  depthMm: depth(30),
  wallMm: thickness,
};
const gouge = {
  lengthMm: length(2000),
  widthMm: width(500),
  depthMm: depth(30),
  wallMm: thickness,
};

const shapes: DamageShape[] = [
  {
    shape: 'ring',
    title: t('Whole face'),
    hint: t('corroded all round'),
    named: t('corroded flange face'),
    typical: { outerMm: 280, innerMm: 168, depthMm: 3, wallMm: 26 },
    fields: ring,
  },
  {
    shape: 'gouge',
    title: t('Gouge'),
    hint: t('one place across the face'),
    named: t('gouged flange face'),
    typical: { lengthMm: 60, widthMm: 14, depthMm: 2, wallMm: 26 },
    fields: gouge,
  },
];

const Damage = z.discriminatedUnion('shape', [
  z
    .strictObject({ shape: z.literal('ring'), ...schemasOf(ring) })
    .refine((d) => d.innerMm < d.outerMm, {
      path: ['innerMm'],
      message: t('must be under the outer diameter'),
    }),
  z.strictObject({ shape: z.literal('gouge'), ...schemasOf(gouge) }),
]);

const parentFields = { ...parentOf(METALS, t('Flange metal')), skin };
const jointFields = {
  pressureBar: pressure,
  bolts: count({
    label: t('Bolts'),
    why: t('For the star sequence.'),
    min: 4,
    max: 64,
    step: 2,
  }),
  mateGood: flag({
    label: t('A good face to copy is available'),
    why: t('The former is cast from it.'),
  }),
  ...pressureFields,
};

/** The most damages one repair takes. */
export const MOST_DAMAGES = 12;

export const FlangeSurvey = z.strictObject({
  family: z.literal('F1'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  joint: z.strictObject(schemasOf(jointFields)),
});
export type FlangeSurvey = z.infer<typeof FlangeSurvey>;

function refusals({ joint, damages }: FlangeSurvey): RefusalReason[] {
  const thin = damages.some((d) => d.depthMm > d.wallMm / 4);
  return [
    ...(thin
      ? [
          {
            id: 'flange-thin',
            because: m(
              'Over a quarter of the flange’s thickness is gone: it no longer carries its bolts.',
            ),
            who: 'pressure-engineer' as const,
          },
        ]
      : []),
    ...(joint.mateGood
      ? []
      : [
          {
            id: 'no-former',
            because: m(
              'There is no good face to copy: without a former the face cannot be made flat by hand.',
            ),
            who: 'pressure-engineer' as const,
          },
        ]),
  ];
}

export const flangeSurvey = surveyOf({
  id: 'F1',
  title: t('Flange or sealing face'),
  hint: t('rebuilt flat against a former'),
  kinds: ['flange'],
  shapes,
  groups: [
    { id: 'parent', title: t('Flange metal'), fields: parentFields },
    { id: 'joint', title: t('The joint'), fields: jointFields },
    commonGroups.service,
    ...closingGroups,
  ],
  usual: { ...commonUsual, 'joint.mateGood': 'yes', 'joint.bolts': '8' },
  schema: FlangeSurvey,
  demand: (survey, site) => {
    const bodies = survey.damages.map((d, i) =>
      d.shape === 'ring'
        ? body(t('Flange face'), {
            shape: { kind: 'ring', outerMm: d.outerMm, innerMm: d.innerMm, depthMm: d.depthMm },
            buildMm: d.depthMm,
            paths: pathsOf(i, 'outerMm', 'innerMm', 'depthMm'),
          })
        : body(t('Gouge'), {
            shape: { kind: 'slab', lengthMm: d.lengthMm, widthMm: d.widthMm, depthMm: d.depthMm },
            buildMm: d.depthMm,
            paths: pathsOf(i, 'lengthMm', 'widthMm', 'depthMm'),
          }),
    );
    const longestMm = Math.max(
      ...survey.damages.map((d) => (d.shape === 'ring' ? d.outerMm : d.lengthMm)),
    );
    return demandOf(survey, site, {
      needed: survey.intent === 'lasting' ? 'chemical' : ['fullLoad', 'immersion'],
      bodies,
      pressureBar: survey.joint.pressureBar,
      strains: strainsOf(survey.joint),
      longestMm,
      prepMm2: survey.damages.reduce(
        (sum, d) =>
          sum +
          (d.shape === 'ring'
            ? (Math.PI * ((d.outerMm + 2 * site.extentMm) ** 2 - d.innerMm ** 2)) / 4
            : grownArea(d.lengthMm, d.widthMm, site.extentMm)),
        0,
      ),
      paths: { pressureBar: 'joint.pressureBar' },
      refusals: refusals(survey),
    });
  },
});
