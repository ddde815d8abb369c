import { t } from '../../text/text';
import { z } from 'zod';
import { m } from '../../message/message';
import { closingGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf } from '../../survey/demand';
import { surveyOf } from '../../family/family';
import { amount, count, flag, mm, schemasOf, type DamageShape } from '../../survey/fields';
import { body, parentOf, pathsOf } from '../../survey/parts';

const burn = {
  lengthMm: mm(t('Length milled out'), {
    why: t('To sound laminate, all char gone.'),
    min: 1,
    max: 120,
  }),
  widthMm: mm(t('Width milled out'), { why: t('Across it.'), min: 1, max: 120 }),
  depthMm: mm(t('Board thickness'), {
    why: t('Milled right through, as a rule.'),
    min: 0.4,
    max: 6,
    step: 0.1,
  }),
  pins: count({
    label: t('Holes to form'),
    why: t('Spare legs are the formers.'),
    min: 0,
    max: 60,
    step: 1,
  }),
};
const shapes: DamageShape[] = [
  {
    shape: 'burn',
    title: t('Burnt through'),
    hint: t('char milled out'),
    named: t('burnt board'),
    typical: { lengthMm: 18, widthMm: 12, depthMm: 1.6, pins: 2 },
    fields: burn,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('burn'), ...schemasOf(burn) }),
]);

const parentFields = parentOf(['board-laminate'], t('Board'), t('Milled, not scraped.'));
const boardFields = {
  lifeSafety: flag({
    label: t('It guards people'),
    why: t('A safety board is replaced, never filled.'),
  }),
  mains: flag({
    label: t('Mains or higher on this part'),
    why: t('Creepage must come back to the maker’s distance.'),
  }),
  lampReaches: flag({
    label: t('The lamp reaches the fill'),
    why: t('What is in shadow stays wet.'),
  }),
  lampWcm2: amount('count', {
    label: t('Lamp at the work, W/cm²'),
    why: t('Dose is power times time.'),
    min: 0.005,
    max: 20,
    step: 0.05,
  }),
  hotC: amount('temperature', {
    label: t('Hottest it runs'),
    why: t('It burnt once.'),
    min: 0,
    max: 250,
    step: 5,
  }),
};

/** The most damages one repair takes. */
export const MOST_DAMAGES = 6;

export const BoardSurvey = z.strictObject({
  family: z.literal('F15'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  board: z.strictObject(schemasOf(boardFields)),
});
export type BoardSurvey = z.infer<typeof BoardSurvey>;

export const boardSurvey = surveyOf({
  id: 'F15',
  title: t('Control board'),
  hint: t('burnt substrate filled'),
  kinds: ['board'],
  shapes,
  groups: [
    { id: 'parent', title: t('The board'), fields: parentFields },
    { id: 'board', title: t('What it does'), fields: boardFields },
    ...closingGroups,
  ],
  usual: {
    ...commonUsual,
    'parent.material': 'board-laminate',
    'board.lifeSafety': 'no',
    'board.mains': 'no',
    'board.lampReaches': 'yes',
    'site.nearby': 'electronics',
  },
  schema: BoardSurvey,
  demand: (survey, site) => {
    const { board } = survey;
    return demandOf(survey, site, {
      needed: 'handle',
      bodies: survey.damages.map((d, i) =>
        body(t('Burn'), {
          shape: { kind: 'slab', lengthMm: d.lengthMm, widthMm: d.widthMm, depthMm: d.depthMm },
          buildMm: d.depthMm,
          paths: pathsOf(i, 'lengthMm', 'widthMm', 'depthMm'),
        }),
      ),
      light: { reaches: board.lampReaches, irradianceWcm2: board.lampWcm2 },
      longestMm: Math.max(...survey.damages.map((d) => d.lengthMm)),
      prepMm2: survey.damages.reduce((sum, d) => sum + d.lengthMm * d.widthMm, 0),
      paths: { light: 'board.lampReaches' },
      refusals: board.lifeSafety
        ? [
            {
              id: 'life-safety',
              because: m('The board guards people: it is replaced with the maker’s part.'),
              who: 'electronics-shop',
            },
          ]
        : [],
      service: { mediumC: board.hotC },
    });
  },
});
