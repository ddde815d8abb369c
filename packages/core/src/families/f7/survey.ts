import { tradeAt } from '../../trade/trade';
import { t } from '../../text/text';
import { z } from 'zod';
import { m, mm as mmOf } from '../../message/message';
import { closingGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf } from '../../survey/demand';
import type { RefusalReason, RouteCondition } from '../../survey/refusal';
import { surveyOf } from '../../family/family';
import { amountIfKnown, choice, flag, mm, schemasOf, type DamageShape } from '../../survey/fields';
import { body, grownArea, parentOf, pathsOf } from '../../survey/parts';

const crack = {
  lengthMm: mm(t('Length of the crack'), { why: t('Along it.'), min: 3, max: 2000 }),
  widthMm: mm(t('Width of the crack'), { why: t('At the widest.'), min: 0.5, max: 100, step: 0.5 }),
  depthMm: mm(t('Depth'), { why: t('To the cords is too deep.'), min: 0.5, max: 60, step: 0.5 }),
};
const shapes: DamageShape[] = [
  {
    shape: 'crack',
    title: t('Crack or scuff'),
    hint: t('in the rubber only'),
    named: t('cracked sidewall'),
    typical: { lengthMm: 180, widthMm: 4, depthMm: 3 },
    fields: crack,
  },
  {
    shape: 'cut',
    title: t('Cut'),
    hint: t('by a sharp edge'),
    named: t('cut sidewall'),
    typical: { lengthMm: 60, widthMm: 8, depthMm: 8 },
    fields: crack,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('crack'), ...schemasOf(crack) }),
  z.strictObject({ shape: z.literal('cut'), ...schemasOf(crack) }),
]);

const parentFields = parentOf(['tyre-rubber'], t('Tyre'), t('Off-road tyres only by this route.'));
const tyreFields = {
  place: choice(
    ['sidewall', 'shoulder', 'bead', 'tread'] as const,
    {
      sidewall: t('Sidewall'),
      shoulder: t('Shoulder'),
      bead: t('Near the bead'),
      tread: t('Tread'),
    },
    { label: t('Where on the tyre'), why: t('Bead and shoulder work too hard for a cover.') },
  ),
  cords: choice(
    ['covered', 'showing', 'cut'] as const,
    { covered: t('Not to be seen'), showing: t('Showing'), cut: t('Cut') },
    { label: t('Cords'), why: t('They carry the tyre; a cover does not.') },
  ),
  airtight: flag({
    label: t('It holds its air'),
    why: t('A leak is closed before it is covered.'),
  }),
  plugged: flag({
    label: t('There is a plug in the sidewall'),
    why: t('Flexing makes a plugged injury grow.'),
  }),
  rubberMm: amountIfKnown('length', {
    label: t('Rubber over the cords'),
    why: t('A cut that comes near them is not a cover’s. Empty if nobody knows.'),
    min: 1,
    max: 80,
    step: 1,
  }),
  road: flag({ label: t('It runs on public roads'), why: t('The law decides there.') }),
};

/** The most damages one repair takes. */
export const MOST_DAMAGES = 6;

export const TyreSurvey = z.strictObject({
  family: z.literal('F7'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  tyre: z.strictObject(schemasOf(tyreFields)),
});
export type TyreSurvey = z.infer<typeof TyreSurvey>;

function refusals({ tyre, damages }: TyreSurvey, overCordsMm: number): RefusalReason[] {
  const who = 'tyre-shop' as const;
  const deepest = Math.max(...damages.map((d) => d.depthMm));
  const reasons: [boolean, string, string][] = [
    [
      tyre.cords !== 'covered',
      'cords',
      t('The cords show or are cut: the tyre’s strength is hurt, and a cover would hide it.'),
    ],
    [
      tyre.place === 'bead' || tyre.place === 'shoulder',
      'place',
      t('The injury is near the bead or the shoulder, where the tyre works hardest.'),
    ],
    [tyre.place === 'tread', 'tread', t('It is on the tread: the road wears a cover off it.')],
    [
      tyre.rubberMm !== null && deepest > tyre.rubberMm - overCordsMm,
      'depth',
      t('Too little rubber is left over the cords: a cover would hide what is hurt.'),
    ],
    [tyre.plugged, 'plug', t('There is a plug in the sidewall: flexing makes the injury grow.')],
    [tyre.road, 'road', t('The tyre runs on public roads: the law wants a licensed repair.')],
  ];
  return reasons
    .filter(([when]) => when)
    .map(([, id, because]) => ({ id, because: m(because), who }));
}

/** A deep injury without that measurement is inspected by an authorised person. */
function unmeasured({ tyre, damages }: TyreSurvey, deepMm: number): RouteCondition[] {
  const deepest = Math.max(...damages.map((d) => d.depthMm));
  if (tyre.rubberMm !== null || deepest <= deepMm) return [];
  return [
    {
      id: 'unmeasured',
      condition: m('a licensed tyre shop has looked for the cords'),
      because: m('It is {deep} deep, and nobody measured the rubber over the cords.', {
        deep: mmOf(deepest),
      }),
      who: 'tyre-shop',
    },
  ];
}

export const tyreSurvey = surveyOf({
  id: 'F7',
  title: t('Tyre sidewall'),
  hint: t('cover patch, or refused to the tyre shop'),
  kinds: ['tyre'],
  shapes,
  groups: [
    { id: 'parent', title: t('The tyre'), fields: parentFields },
    { id: 'tyre', title: t('What is hurt'), fields: tyreFields },
    ...closingGroups,
  ],
  usual: {
    ...commonUsual,
    'parent.material': 'tyre-rubber',
    'tyre.place': 'sidewall',
    'tyre.airtight': 'yes',
    'tyre.plugged': 'no',
    'tyre.road': 'no',
    'surface.slope': 'vertical',
  },
  schema: TyreSurvey,
  demand: (survey, site) => {
    const { marginMm, overCordsMm, unmeasuredMm } = tradeAt(site).tyre;
    const longestMm = Math.max(...survey.damages.map((d) => d.lengthMm));
    return demandOf(survey, site, {
      needed: 'lightLoad',
      bodies: survey.damages.map((d, i) =>
        body(t('Crack'), {
          shape: {
            kind: 'groove',
            lengthMm: d.lengthMm,
            widthMm: d.widthMm,
            depthMm: d.depthMm,
            profile: 'vee',
          },
          buildMm: d.depthMm,
          paths: pathsOf(i, 'lengthMm', 'widthMm', 'depthMm'),
        }),
      ),
      flexes: true,
      sheets: survey.damages.map((d) => ({
        crackLengthMm: d.lengthMm,
        crackWidthMm: d.widthMm,
      })),
      longestMm,
      prepMm2: survey.damages.reduce(
        (sum, d) => sum + grownArea(d.lengthMm, d.widthMm, marginMm),
        0,
      ),
      refusals: refusals(survey, overCordsMm),
      conditions: unmeasured(survey, unmeasuredMm),
      service: { mediumC: 40, wear: 'impact' },
    });
  },
});
