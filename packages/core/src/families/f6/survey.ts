import { tradeAt, type Trade } from '../../trade/trade';
import { t } from '../../text/text';
import { z } from 'zod';
import { m, q } from '../../message/message';
import { beltPatch, type BeltHole } from '../../geometry/beltPatch';
import { closingGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf } from '../../survey/demand';
import type { RefusalReason, RouteCondition } from '../../survey/refusal';
import { surveyOf } from '../../family/family';
import {
  amount,
  choice,
  flag,
  laterChoice,
  laterFlag,
  mm,
  schemasOf,
  type DamageShape,
} from '../../survey/fields';
import { body, depth, grownArea, length, parentOf, pathsOf, width } from '../../survey/parts';

const thick = mm(t('Belt thickness'), {
  why: t('A hole is filled through all of it.'),
  min: 3,
  max: 60,
  step: 0.5,
});
const hole = {
  diameterMm: mm(t('Hole'), { why: t('Across, cut back to sound rubber.'), min: 3, max: 500 }),
  beltMm: thick,
};
const gouge = { lengthMm: length(3000), widthMm: width(600), depthMm: depth(40), beltMm: thick };
const rip = {
  lengthMm: mm(t('Length of the rip'), { why: t('Along the belt.'), min: 10, max: 50000 }),
  widthMm: width(200),
  beltMm: thick,
};

const shapes: DamageShape[] = [
  {
    shape: 'hole',
    title: t('Hole'),
    hint: t('right through'),
    named: t('hole in the belt'),
    typical: { diameterMm: 60, beltMm: 14 },
    fields: hole,
  },
  {
    shape: 'gouge',
    title: t('Gouge'),
    hint: t('cover torn, carcass whole'),
    named: t('gouged belt'),
    typical: { lengthMm: 260, widthMm: 50, depthMm: 5, beltMm: 14 },
    fields: gouge,
  },
  {
    shape: 'rip',
    title: t('Rip'),
    hint: t('long and narrow'),
    named: t('ripped belt'),
    typical: { lengthMm: 900, widthMm: 12, beltMm: 14 },
    fields: rip,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('hole'), ...schemasOf(hole) }),
  z
    .strictObject({ shape: z.literal('gouge'), ...schemasOf(gouge) })
    .refine((d) => d.depthMm < d.beltMm, {
      path: ['depthMm'],
      message: t('must be under the belt’s thickness; right through is a hole'),
    }),
  z.strictObject({ shape: z.literal('rip'), ...schemasOf(rip) }),
]);

const parentFields = parentOf(['belt-rubber'], t('Belt'), t('Rubber is buffed, not blasted.'));
const beltFields = {
  carcassCutPct: amount('percent', {
    label: t('Carcass cut across'),
    why: t('Past a share of the width it is a splice, not a patch.'),
    min: 0,
    max: 100,
    step: 1,
  }),
  slopeDeg: amount('count', {
    label: t('Belt slope here, degrees'),
    why: t('A pourable rubber runs off a slope.'),
    min: 0,
    max: 45,
    step: 1,
  }),
  carries: choice(
    ['none', 'sliding', 'impact'] as const,
    { none: t('Light goods'), sliding: t('Grit that scrubs'), impact: t('Lumps that drop') },
    { label: t('What it carries'), why: t('It sets the wear.') },
  ),
  runsC: amount('temperature', {
    label: t('Warmest it runs'),
    why: t('Rubber softens with heat.'),
    min: -30,
    max: 150,
    step: 5,
  }),
  wetRun: flag({ label: t('Runs wet'), why: t('Water gets under a poor edge.') }),
  carcass: laterChoice(
    ['fabric', 'steel'],
    { fabric: t('Fabric plies'), steel: t('Steel cords') },
    { label: t('Carcass'), why: t('A cut steel cord draws back and rusts; a ply does not.') },
  ),
  bare: laterFlag({
    label: t('Plies or cords lie bare'),
    why: t('Rubber holds to rubber: what is bare takes water and lets go.'),
  }),
};

/** The most damages one repair takes. */
export const MOST_DAMAGES = 12;

export const BeltSurvey = z.strictObject({
  family: z.literal('F6'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  belt: z.strictObject(schemasOf(beltFields)),
});
export type BeltSurvey = z.infer<typeof BeltSurvey>;

/** The hole of a damage, as beltPatch takes it. */
export const beltHole = (d: BeltSurvey['damages'][number]): BeltHole =>
  d.shape === 'hole'
    ? { kind: 'round', diameterMm: d.diameterMm }
    : { kind: 'slot', lengthMm: d.lengthMm, widthMm: d.widthMm };

function patch(d: BeltSurvey['damages'][number], { lapMm, coverMm }: Trade['belt']) {
  const throughMm = d.shape === 'gouge' ? d.depthMm : d.beltMm;
  return {
    throughMm,
    made: beltPatch({
      hole: beltHole(d),
      throughMm,
      lapMm,
      coverMm,
      through: d.shape !== 'gouge',
      wastePct: 0,
    }),
  };
}

function refusals({ belt }: BeltSurvey, mostCutPct: number): RefusalReason[] {
  if (belt.carcass === 'steel' && belt.carcassCutPct > 0)
    return [
      {
        id: 'cords',
        because: m('Steel cords are cut: they carry the belt, and a patch does not join them.'),
        who: 'belt-splicer',
      },
    ];
  return belt.carcassCutPct > mostCutPct
    ? [
        {
          id: 'carcass',
          because: m(
            '{cut} of the carcass is cut across; over {most} it must be spliced, not patched.',
            { cut: q(belt.carcassCutPct, 'percent'), most: q(mostCutPct, 'percent') },
          ),
          who: 'belt-splicer',
        },
      ]
    : [];
}

/** Bare reinforcement is treated before it is covered: by a splicer if it is steel. */
function bared({ belt }: BeltSurvey): RouteCondition[] {
  if (!belt.bare) return [];
  return belt.carcass === 'steel'
    ? [
        {
          id: 'bare',
          condition: m('a belt splicer has looked at the bare cords and primed them'),
          because: m('Bare steel cords rust under rubber, and the rust goes along them.'),
          who: 'belt-splicer',
        },
      ]
    : [
        {
          id: 'bare',
          condition: m('the bare plies are dried through, cemented and covered the same day'),
          because: m('Bare plies draw water along the belt, and rubber lets go of them.'),
        },
      ];
}

export const beltSurvey = surveyOf({
  id: 'F6',
  title: t('Conveyor belt'),
  hint: t('holes, gouges and rips'),
  kinds: ['belt'],
  shapes,
  groups: [
    { id: 'parent', title: t('The belt'), fields: parentFields },
    { id: 'belt', title: t('How it runs'), fields: beltFields },
    ...closingGroups,
  ],
  usual: {
    ...commonUsual,
    'parent.material': 'belt-rubber',
    'belt.carcassCutPct': '0',
    'belt.slopeDeg': '0',
    'belt.carries': 'none',
    'belt.wetRun': 'no',
  },
  schema: BeltSurvey,
  demand: (survey, site) => {
    const { belt } = tradeAt(site);
    const bodies = survey.damages.map((d, i) => {
      const { throughMm, made } = patch(d, belt);
      // One body with the patch’s own volume and primed area: hole and cover together.
      const sideMm = Math.sqrt(made.primerAreaMm2);
      const keys =
        d.shape === 'hole' ? ['diameterMm', 'beltMm'] : ['lengthMm', 'widthMm', 'beltMm'];
      return body(d.shape === 'gouge' ? t('Gouge') : t('Hole and lap'), {
        shape: {
          kind: 'slab',
          lengthMm: sideMm,
          widthMm: sideMm,
          depthMm: (made.totalMl * 1000) / made.primerAreaMm2,
        },
        buildMm: throughMm + belt.coverMm,
        paths: pathsOf(i, ...keys),
      });
    });
    const longestMm = Math.max(
      ...survey.damages.map((d) => (d.shape === 'hole' ? d.diameterMm : d.lengthMm)),
    );
    return demandOf(survey, site, {
      needed: 'lightLoad',
      bodies,
      flexes: true,
      sheets: survey.damages.map((d) =>
        d.shape === 'hole'
          ? { crackLengthMm: d.diameterMm, crackWidthMm: d.diameterMm }
          : { crackLengthMm: d.lengthMm, crackWidthMm: d.widthMm },
      ),
      longestMm,
      prepMm2: survey.damages.reduce(
        (sum, d) =>
          sum +
          (d.shape === 'hole'
            ? grownArea(d.diameterMm, d.diameterMm, belt.lapMm)
            : grownArea(d.lengthMm, d.widthMm, belt.lapMm)),
        0,
      ),
      refusals: refusals(survey, belt.mostCutPct),
      conditions: bared(survey),
      service: {
        medium: survey.belt.wetRun ? 'water' : 'air',
        mediumC: survey.belt.runsC,
        wear: survey.belt.carries,
      },
    });
  },
});
