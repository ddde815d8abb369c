import { z } from 'zod';
import { METALS, SUBSTRATE_NAMES } from '../materials/substrates';
import { type WEAR } from '../materials/words';
import { closingGroups, commonShape, commonUsual } from './common';
import { demandOf } from './demand';
import { defineFamily } from './family';
import { amount, amountWhen, choice, mm, schemasOf, type DamageShape } from './fields';
import { body, depth, length, pathsOf, wall, width } from './parts';

const build = mm(
  'Build thickness wanted',
  'As thick as the clearance allows holds longest.',
  1,
  60,
);
const hole = {
  lengthMm: length(1000),
  widthMm: width(1000),
  wallMm: wall('Sheet or wall thickness', 60),
  buildMm: build,
};
const snapped = {
  lengthMm: mm('Length of the break', 'All round the broken edge.', 5, 2000),
  wallMm: wall('Thickness at the break', 100),
  buildMm: build,
};
const chip = {
  lengthMm: length(500),
  widthMm: width(500),
  depthMm: depth(60),
  wallMm: wall('Wall behind it', 200),
};

const shapes: DamageShape[] = [
  {
    shape: 'hole',
    title: 'Hole in a wall',
    hint: 'sheet or casting worn through',
    named: 'holed casting',
    typical: { lengthMm: 60, widthMm: 40, wallMm: 6, buildMm: 6 },
    fields: hole,
  },
  {
    shape: 'snapped',
    title: 'Snapped',
    hint: 'two parts to be joined',
    named: 'snapped bracket',
    typical: { lengthMm: 90, wallMm: 12, buildMm: 8 },
    fields: snapped,
  },
  {
    shape: 'chip',
    title: 'Chip',
    hint: 'a corner or edge is gone',
    named: 'chipped casting',
    typical: { lengthMm: 50, widthMm: 30, depthMm: 10, wallMm: 20 },
    fields: chip,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('hole'), ...schemasOf(hole) }),
  z.strictObject({ shape: z.literal('snapped'), ...schemasOf(snapped) }),
  z.strictObject({ shape: z.literal('chip'), ...schemasOf(chip) }),
]);

const parentFields = {
  material: choice(METALS, SUBSTRATE_NAMES, {
    label: 'Parent metal',
    why: 'Prep and grip depend on it.',
  }),
};
const LOADS = ['none', 'guard', 'working', 'structure'] as const;
const loadFields = {
  carries: choice(
    LOADS,
    {
      none: 'Nothing',
      guard: 'A guard or cover',
      working: 'A working load',
      structure: 'A building or lifting load',
    },
    { label: 'What it carries', why: 'A structural member is an engineer’s.' },
  ),
  loadN: amountWhen('force', {
    label: 'Greatest load on it',
    why: 'Bonded area must carry it with a factor to spare.',
    min: 1,
    max: 1e6,
    step: 50,
    when: { key: 'carries', in: ['guard', 'working'] },
  }),
  wear: choice(
    ['none', 'impact'] as const satisfies readonly (typeof WEAR)[number][],
    { none: 'None', impact: 'Knocks' },
    { label: 'Knocks', why: 'A brittle adhesive cracks at the first one.' },
  ),
  clearanceMm: mm('Least clearance', 'The build must not foul what moves past it.', 0, 200, 0.5),
  serviceC: amount('temperature', {
    label: 'Warmest it gets',
    why: 'Epoxy softens over its limit.',
    min: -40,
    max: 250,
    step: 5,
  }),
};

/** The build laps this many wall thicknesses on to sound metal, each way. */
export const LAP_WALLS = 3;

export const BracketSurvey = z.strictObject({
  family: z.literal('F3'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(12),
  parent: z.strictObject(schemasOf(parentFields)),
  load: z.strictObject(schemasOf(loadFields)),
});

/** Half of what is laid over a break bonds to each side of it, mm². */
const lapArea = (damages: z.infer<typeof Damage>[]): number =>
  damages.reduce((sum, d) => {
    if (d.shape === 'chip') return sum + d.lengthMm * d.widthMm;
    if (d.shape === 'snapped') return sum + 2 * d.lengthMm * LAP_WALLS * d.wallMm;
    return sum + (d.lengthMm + d.widthMm) * 2 * LAP_WALLS * d.wallMm;
  }, 0);

export const bracketFamily = defineFamily({
  id: 'F3',
  title: 'Bracket, housing, hopper',
  hint: 'snapped, chipped or holed castings and sheet',
  kinds: ['structure', 'hopper', 'gearbox'],
  shapes,
  groups: [
    { id: 'parent', title: 'Parent metal', fields: parentFields },
    { id: 'load', title: 'What it must bear', fields: loadFields },
    ...closingGroups,
  ],
  usual: { ...commonUsual, 'load.carries': 'none', 'load.wear': 'none' },
  schema: BracketSurvey,
  demand: (survey) => {
    const bodies = survey.damages.map((d, i) => {
      if (d.shape === 'chip')
        return body(
          'Chip',
          { kind: 'slab', lengthMm: d.lengthMm, widthMm: d.widthMm, depthMm: d.depthMm },
          d.depthMm,
          pathsOf(i, 'lengthMm', 'widthMm', 'depthMm'),
          d.wallMm - d.depthMm > 0 ? d.wallMm - d.depthMm : null,
        );
      const buildMm = Math.min(d.buildMm, Math.max(0.5, survey.load.clearanceMm || d.buildMm));
      const [long, wide] =
        d.shape === 'hole'
          ? [d.lengthMm + 2 * LAP_WALLS * d.wallMm, d.widthMm + 2 * LAP_WALLS * d.wallMm]
          : [d.lengthMm, 2 * LAP_WALLS * d.wallMm];
      const sides = d.shape === 'hole' ? 1 : 2;
      return body(
        d.shape === 'hole' ? 'Hole' : 'Break',
        { kind: 'slab', lengthMm: long * sides, widthMm: wide, depthMm: buildMm },
        buildMm,
        pathsOf(i, 'lengthMm', 'wallMm', 'buildMm'),
      );
    });
    const longestMm = Math.max(...survey.damages.map((d) => d.lengthMm));
    const { loadN } = survey.load;
    return demandOf(survey, {
      needed: 'fullLoad',
      bodies,
      load: loadN === null ? null : { newtons: loadN, areaMm2: lapArea(survey.damages) },
      flexes: false,
      longestMm,
      prepMm2: longestMm ** 2,
      refusals:
        survey.load.carries === 'structure'
          ? [
              {
                id: 'structural',
                because: 'It carries a building or a lifting load: a bonded repair may not.',
                who: 'structural-engineer',
              },
            ]
          : [],
      service: { medium: 'air', mediumC: survey.load.serviceC, wear: survey.load.wear },
    });
  },
});
