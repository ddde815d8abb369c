import { tradeAt } from '../../trade/trade';
import { t } from '../../text/text';
import { z } from 'zod';
import { m } from '../../message/message';
import { METALS } from '../../materials/substrates';
import {
  DRY_MEDIA,
  MEDIA,
  MEDIUM_NAMES,
  MEDIUM_PH,
  WEAR_NAMES,
  type WEAR,
} from '../../materials/words';
import { closingGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf } from '../../survey/demand';
import type { RouteCondition } from '../../survey/refusal';
import { dutyFields, skin, strainsOf } from '../../survey/forgotten';
import { surveyOf } from '../../family/family';
import {
  amount,
  amountWhen,
  choice,
  laterChoice,
  mm,
  schemasOf,
  type DamageShape,
} from '../../survey/fields';
import { body, depth, grownArea, length, parentOf, pathsOf, wall, width } from '../../survey/parts';

const build = mm(t('Build thickness wanted'), {
  why: t('As thick as the clearance allows holds longest.'),
  min: 1,
  max: 60,
});
const hole = {
  lengthMm: length(1000),
  widthMm: width(1000),
  wallMm: wall(t('Sheet or wall thickness'), 60),
  buildMm: build,
};
const snapped = {
  lengthMm: mm(t('Length of the break'), {
    why: t('All round the broken edge.'),
    min: 5,
    max: 2000,
  }),
  wallMm: wall(t('Thickness at the break'), 100),
  buildMm: build,
};
const chip = {
  lengthMm: length(500),
  widthMm: width(500),
  depthMm: depth(60),
  wallMm: wall(t('Wall behind it'), 200),
};

const shapes: DamageShape[] = [
  {
    shape: 'hole',
    title: t('Hole in a wall'),
    hint: t('sheet or casting worn through'),
    named: t('holed casting'),
    typical: { lengthMm: 60, widthMm: 40, wallMm: 6, buildMm: 6 },
    fields: hole,
  },
  {
    shape: 'snapped',
    title: t('Snapped'),
    hint: t('two parts to be joined'),
    named: t('snapped bracket'),
    typical: { lengthMm: 90, wallMm: 12, buildMm: 8 },
    fields: snapped,
  },
  {
    shape: 'chip',
    title: t('Chip'),
    hint: t('a corner or edge is gone'),
    named: t('chipped casting'),
    typical: { lengthMm: 50, widthMm: 30, depthMm: 10, wallMm: 20 },
    fields: chip,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('hole'), ...schemasOf(hole) }),
  z.strictObject({ shape: z.literal('snapped'), ...schemasOf(snapped) }),
  z.strictObject({ shape: z.literal('chip'), ...schemasOf(chip) }),
]);

const parentFields = { ...parentOf(METALS, t('Parent metal')), skin };
const LOADS = ['none', 'guard', 'working', 'structure'] as const;
const loadFields = {
  carries: choice(
    LOADS,
    {
      none: t('Nothing'),
      guard: t('A guard or cover'),
      working: t('A working load'),
      structure: t('A building or lifting load'),
    },
    { label: t('What it carries'), why: t('A structural member is an engineer’s.') },
  ),
  loadN: amountWhen('force', {
    label: t('Greatest load on it'),
    why: t('Bonded area must carry it with a factor to spare.'),
    min: 1,
    max: 1e6,
    step: 50,
    when: { key: 'carries', in: ['guard', 'working'] },
  }),
  wear: choice(
    ['none', 'sliding', 'erosion', 'impact'] as const satisfies readonly (typeof WEAR)[number][],
    WEAR_NAMES,
    { label: t('Wear'), why: t('A brittle adhesive cracks at the first knock.') },
  ),
  holds: laterChoice(['air', ...MEDIA.filter((x) => x !== 'air')], MEDIUM_NAMES, {
    label: t('What lies in it or wets it'),
    why: t('A hopper’s own load eats a material as well as a pipe’s does.'),
  }),
  ...dutyFields,
  clearanceMm: mm(t('Least clearance'), {
    why: t('The build must not foul what moves past it.'),
    min: 0,
    max: 200,
    step: 0.5,
  }),
  serviceC: amount('temperature', {
    label: t('Warmest it gets'),
    why: t('Epoxy softens over its limit.'),
    min: -40,
    max: 250,
    step: 5,
  }),
};

/** The most damages one repair takes. */
export const MOST_DAMAGES = 12;

export const BracketSurvey = z.strictObject({
  family: z.literal('F3'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  load: z.strictObject(schemasOf(loadFields)),
});
export type BracketSurvey = z.infer<typeof BracketSurvey>;

/** The thinnest build that is drawn, and refused by its card, mm: zero would not be a build. */
const LEAST_BUILD_MM = 0.1;

/** The build that is possible: as wanted, but at most the clearance less the margin that stays free, mm. */
const buildOf = (wantedMm: number, clearanceMm: number, marginMm: number): number =>
  Math.max(LEAST_BUILD_MM, Math.min(wantedMm, clearanceMm - marginMm));

/** Half of the overlap bonds to each side of a break, mm². */
const lapArea = (damages: z.infer<typeof Damage>[], lapWalls: number): number =>
  damages.reduce((sum, d) => {
    if (d.shape === 'chip') return sum + d.lengthMm * d.widthMm;
    if (d.shape === 'snapped') return sum + 2 * d.lengthMm * lapWalls * d.wallMm;
    return sum + (d.lengthMm + d.widthMm) * 2 * lapWalls * d.wallMm;
  }, 0);

/** A deep chip in a loaded part is inspected by an engineer. */
function weakened({ damages, load }: BracketSurvey, largeShare: number): RouteCondition[] {
  const deep = damages.some((d) => d.shape === 'chip' && d.depthMm > d.wallMm * largeShare);
  if (!deep || load.carries !== 'working') return [];
  return [
    {
      id: 'weakened',
      condition: m('a structural engineer approves what is left'),
      because: m('More than half of the wall is chipped off where it carries a working load.'),
      who: 'structural-engineer',
    },
  ];
}

export const bracketSurvey = surveyOf({
  id: 'F3',
  title: t('Bracket, housing, hopper'),
  hint: t('snapped, chipped or holed castings and sheet'),
  kinds: ['structure', 'hopper', 'gearbox'],
  shapes,
  groups: [
    { id: 'parent', title: t('Parent metal'), fields: parentFields },
    { id: 'load', title: t('What it must bear'), fields: loadFields },
    ...closingGroups,
  ],
  usual: { ...commonUsual, 'load.carries': 'none', 'load.wear': 'none' },
  schema: BracketSurvey,
  demand: (survey, site) => {
    const { lapWalls, largeShare } = tradeAt(site).casting;
    const bodies = survey.damages.map((d, i) => {
      if (d.shape === 'chip')
        return body(t('Chip'), {
          shape: { kind: 'slab', lengthMm: d.lengthMm, widthMm: d.widthMm, depthMm: d.depthMm },
          buildMm: d.depthMm,
          paths: pathsOf(i, 'lengthMm', 'widthMm', 'depthMm'),
          remainingMm: d.wallMm - d.depthMm > 0 ? d.wallMm - d.depthMm : null,
        });
      const buildMm = buildOf(d.buildMm, survey.load.clearanceMm, site.clearanceMarginMm);
      const [long, wide] =
        d.shape === 'hole'
          ? [d.lengthMm + 2 * lapWalls * d.wallMm, d.widthMm + 2 * lapWalls * d.wallMm]
          : [d.lengthMm, 2 * lapWalls * d.wallMm];
      const sides = d.shape === 'hole' ? 1 : 2;
      // A hole is filled as well as covered: putty locks on both faces.
      const fillMm = d.shape === 'hole' ? (d.lengthMm * d.widthMm * d.wallMm) / (long * wide) : 0;
      return {
        ...body(d.shape === 'hole' ? t('Hole') : t('Break'), {
          shape: { kind: 'slab', lengthMm: long * sides, widthMm: wide, depthMm: buildMm + fillMm },
          buildMm,
          paths: pathsOf(i, 'lengthMm', 'wallMm', 'buildMm'),
        }),
        deepens: false,
      };
    });
    const longestMm = Math.max(...survey.damages.map((d) => d.lengthMm));
    const { loadN } = survey.load;
    return demandOf(survey, site, {
      needed: DRY_MEDIA.includes(survey.load.holds) ? 'fullLoad' : ['fullLoad', 'immersion'],
      bodies,
      boundary: false,
      conditions: weakened(survey, largeShare),
      strains: strainsOf(survey.load),
      load: loadN === null ? null : { newtons: loadN, areaMm2: lapArea(survey.damages, lapWalls) },
      flexes: false,
      longestMm,
      prepMm2: survey.damages.reduce(
        (sum, d) =>
          sum +
          grownArea(
            d.lengthMm,
            d.shape === 'snapped' ? 2 * lapWalls * d.wallMm : d.widthMm,
            site.extentMm,
          ) *
            (d.shape === 'snapped' ? 2 : 1),
        0,
      ),
      refusals:
        survey.load.carries === 'structure'
          ? [
              {
                id: 'structural',
                because: m('It carries a building or a lifting load: a bonded repair may not.'),
                who: 'structural-engineer',
              },
            ]
          : [],
      service: {
        medium: survey.load.holds,
        ph: Number(MEDIUM_PH[survey.load.holds]),
        mediumC: survey.load.serviceC,
        wear: survey.load.wear,
      },
    });
  },
});
