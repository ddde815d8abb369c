import { tradeAt } from '../../trade/trade';
import { t } from '../../text/text';
import { z } from 'zod';
import { METALS } from '../../materials/substrates';
import { closingGroups, commonGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf } from '../../survey/demand';
import { skin, strainsOf } from '../../survey/forgotten';
import { surveyOf } from '../../family/family';
import { amount, mm, schemasOf, type DamageShape } from '../../survey/fields';
import { lineConditions, lineFields, lineRefusals } from '../../survey/line';
import { body, outside, parentOf, pathsOf, wall } from '../../survey/parts';

const pipe = { outsideDiameterMm: outside, wallMm: wall(t('Wall when new'), 100) };
const thinning = {
  lengthMm: mm(t('Length of the thin part'), { why: t('Along the pipe.'), min: 5, max: 5000 }),
  remainingMm: mm(t('Wall left'), {
    why: t('What will be left at the end of the repair’s life.'),
    min: 0,
    max: 100,
    step: 0.1,
  }),
  ...pipe,
};
const hole = {
  diameterMm: mm(t('Hole'), { why: t('At its widest.'), min: 1, max: 300, step: 0.5 }),
  ...pipe,
};

const shapes: DamageShape[] = [
  {
    shape: 'thinning',
    title: t('Thin wall'),
    hint: t('corroded or eroded, not through'),
    named: t('thinned pipe wall'),
    typical: { lengthMm: 120, remainingMm: 3, outsideDiameterMm: 219.1, wallMm: 6.3 },
    fields: thinning,
  },
  {
    shape: 'hole',
    title: t('Hole'),
    hint: t('through the wall'),
    named: t('holed pressure pipe'),
    typical: { diameterMm: 22, outsideDiameterMm: 219.1, wallMm: 6.3 },
    fields: hole,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z
    .strictObject({ shape: z.literal('thinning'), ...schemasOf(thinning) })
    .refine((d) => d.remainingMm < d.wallMm, {
      path: ['remainingMm'],
      message: t('must be under the wall when new'),
    }),
  z.strictObject({ shape: z.literal('hole'), ...schemasOf(hole) }),
]);

const parentFields = { ...parentOf(METALS, t('Pipe'), t('The method is for steel.')), skin };
const ratedFields = {
  ...lineFields,
  designC: amount('temperature', {
    label: t('Design temperature'),
    why: t('The laminate must stay well under its glass transition.'),
    min: -40,
    max: 250,
    step: 5,
  }),
};

/** The most damages one repair takes. */
export const MOST_DAMAGES = 1;

export const PipeWrapSurvey = z.strictObject({
  family: z.literal('F5'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  line: z.strictObject(schemasOf(ratedFields)),
});
export type PipeWrapSurvey = z.infer<typeof PipeWrapSurvey>;

export const pipeWrapSurvey = surveyOf({
  id: 'F5',
  title: t('Pipe under pressure rating'),
  hint: t('engineered wrap by the composite repair method'),
  kinds: ['pipe', 'pressure-pipe'],
  shapes,
  groups: [
    { id: 'parent', title: t('The pipe'), fields: parentFields },
    { id: 'line', title: t('The line'), fields: ratedFields },
    commonGroups.service,
    ...closingGroups,
  ],
  usual: { ...commonUsual, 'line.shutOff': 'yes', 'line.fluid': 'plain', 'line.straightMm': '' },
  schema: PipeWrapSurvey,
  demand: (survey, site) => {
    const d = survey.damages[0] as (typeof survey.damages)[number];
    const thin = d.shape === 'thinning';
    const longestMm = thin ? d.lengthMm : d.diameterMm;
    const fill = thin
      ? body(t('Fill to round'), {
          shape: {
            kind: 'slab',
            lengthMm: d.lengthMm,
            widthMm: Math.min(d.lengthMm, (Math.PI * d.outsideDiameterMm) / 2),
            depthMm: d.wallMm - d.remainingMm,
          },
          buildMm: d.wallMm - d.remainingMm,
          paths: pathsOf(0, 'lengthMm', 'wallMm', 'remainingMm'),
          remainingMm: d.remainingMm,
        })
      : body(t('Plug'), {
          shape: { kind: 'disc', diameterMm: d.diameterMm * 2, depthMm: d.wallMm },
          buildMm: d.wallMm,
          paths: pathsOf(0, 'diameterMm', 'wallMm'),
        });
    return demandOf(survey, site, {
      needed: 'fullLoad',
      bodies: [fill],
      pressureBar: survey.line.pressureBar,
      longestMm,
      wrap: {
        outsideDiameterMm: d.outsideDiameterMm,
        wallMm: d.wallMm,
        remainingMm: thin ? d.remainingMm : 0,
        pressureBar: survey.line.pressureBar,
        designC: survey.line.designC,
        defects: [
          thin
            ? { kind: 'thinning', lengthMm: d.lengthMm }
            : { kind: 'hole', diameterMm: d.diameterMm },
        ],
        engineered: true,
        extentMm: 0,
        fitting: survey.line.at,
        straightMm: survey.line.straightMm,
      },
      prepMm2: (longestMm + 400) * Math.PI * d.outsideDiameterMm,
      paths: { pressureBar: 'line.pressureBar' },
      refusals: lineRefusals(survey.line, survey.service, tradeAt(site)),
      conditions: lineConditions(survey.line),
      strains: strainsOf(survey.line),
    });
  },
});
