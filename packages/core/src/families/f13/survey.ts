import { tradeAt } from '../../trade/trade';
import { t } from '../../text/text';
import { z } from 'zod';
import { m } from '../../message/message';
import { closingGroups, commonGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf } from '../../survey/demand';
import { surveyOf } from '../../family/family';
import { flag, mm, schemasOf, type DamageShape } from '../../survey/fields';
import { body, grownArea, length, parentOf, pathsOf, wall, width } from '../../survey/parts';

const fitting = {
  diameterMm: mm(t('Outside of the new fitting'), {
    why: t('It is bedded over the broken one.'),
    min: 20,
    max: 1500,
  }),
  gapMm: mm(t('Thickness of the bed'), { why: t('Gel squeezed out all round.'), min: 2, max: 60 }),
  wallMm: wall(t('Sump wall'), 600),
};
const patch = {
  lengthMm: length(2000),
  widthMm: width(2000),
  wallMm: wall(t('Wall thickness'), 600),
};
const shapes: DamageShape[] = [
  {
    shape: 'fitting',
    title: t('Fitting bedded over'),
    hint: t('a broken sump outlet'),
    named: t('broken sump fitting'),
    typical: { diameterMm: 200, gapMm: 8, wallMm: 12 },
    fields: fitting,
  },
  {
    shape: 'patch',
    title: t('Patch'),
    hint: t('glass cloth, set under water'),
    named: t('holed liner'),
    typical: { lengthMm: 200, widthMm: 160, wallMm: 8 },
    fields: patch,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('fitting'), ...schemasOf(fitting) }),
  z.strictObject({ shape: z.literal('patch'), ...schemasOf(patch) }),
]);

const parentFields = parentOf(
  ['grp', 'pvc', 'pe', 'concrete', 'stainless', 'carbon-steel'],
  t('What it is made of'),
  t('Gel holds on some and not on others.'),
);
const sumpFields = {
  drainable: flag({
    label: t('It could be drained'),
    why: t('Dry is stronger, if the stop can be afforded.'),
  }),
  diver: flag({ label: t('Reached by a diver only'), why: t('Diving is a licensed trade.') }),
};

/** The most damages one repair takes. */
export const MOST_DAMAGES = 6;

export const SumpSurvey = z.strictObject({
  family: z.literal('F13'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  sump: z.strictObject(schemasOf(sumpFields)),
});
export type SumpSurvey = z.infer<typeof SumpSurvey>;

export const sumpSurvey = surveyOf({
  id: 'F13',
  title: t('Submerged or wet'),
  hint: t('set under water, without draining'),
  kinds: ['sump', 'tank', 'basin'],
  shapes,
  groups: [
    { id: 'parent', title: t('What it is made of'), fields: parentFields },
    { id: 'sump', title: t('How it is reached'), fields: sumpFields },
    commonGroups.service,
    ...closingGroups,
  ],
  usual: {
    ...commonUsual,
    'surface.damp': 'under-water',
    'sump.drainable': 'no',
    'sump.diver': 'no',
  },
  schema: SumpSurvey,
  demand: (survey, site) =>
    demandOf(survey, site, {
      needed: 'immersion',
      bodies: survey.damages.map((d, i) =>
        d.shape === 'fitting'
          ? body(t('Bed'), {
              shape: {
                kind: 'ring',
                outerMm: d.diameterMm,
                innerMm: d.diameterMm * 0.7,
                depthMm: d.gapMm,
              },
              buildMm: d.gapMm,
              paths: pathsOf(i, 'diameterMm', 'gapMm'),
            })
          : body(t('Patch'), {
              shape: {
                kind: 'slab',
                lengthMm: d.lengthMm + 100,
                widthMm: d.widthMm + 100,
                depthMm: tradeAt(site).sump.patchMm,
              },
              buildMm: tradeAt(site).sump.patchMm,
              paths: pathsOf(i, 'lengthMm', 'widthMm'),
            }),
      ),
      longestMm: Math.max(
        ...survey.damages.map((d) => (d.shape === 'fitting' ? d.diameterMm : d.lengthMm)),
      ),
      prepMm2: survey.damages.reduce(
        (sum, d) =>
          sum +
          (d.shape === 'fitting'
            ? grownArea(d.diameterMm, d.diameterMm, 50)
            : grownArea(d.lengthMm, d.widthMm, 100)),
        0,
      ),
      refusals: survey.sump.diver
        ? [
            {
              id: 'diver',
              because: m('Only a diver reaches it: commercial diving is a licensed trade.'),
              who: 'diver',
            },
          ]
        : [],
    }),
});
