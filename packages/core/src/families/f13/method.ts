import { line } from '../../calc/calc';
import { m, mm } from '../../message/message';
import { returnToService, lookAndTap } from '../../methods/accept';
import { cleanTools, mainSpec } from '../../methods/build';
import { leave } from '../../methods/cure';
import { mixSteps, mixTouch } from '../../methods/mix';
import { gradeMinutes } from '../../methods/pace';
import { isolate, protect, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import { figureOf } from '../../work/figure';
import type { Draft, StepDraft } from '../../work/step';
import type { Work } from '../../work/work';
import type { Method } from '../../family/family';
import type { SumpSurvey } from './survey';

const stepIds = [
  'try-dry',
  'clean',
  'peel-tools',
  'wet-out',
  'carry',
  'bed',
  'hold',
  'sample',
  'flow',
] as const;
const step = stepsOf(stepIds);
type W = Work<SumpSurvey>;

const LOOK_DAYS = { lasting: 120, stopgap: 14 };
/** Glass cloths of a patch, wetted out one on the other. */
const CLOTHS = 2;
/** Overlap beyond the damage, mm. */
const LAP_MM = 50;
/** Carrying and sliding a patch on, or setting and twisting a fitting: minutes in addition to placing. */
const CARRY_MIN = 2;
const SET_MIN = 2;

const fittings = ({ survey }: W) => survey.damages.filter((d) => d.shape === 'fitting').length;
const patches = ({ survey }: W) => survey.damages.filter((d) => d.shape === 'patch').length;
const dry = ({ schools, survey }: W) => schools.wet !== 'wet' && survey.sump.drainable;
const clothMm2 = ({ survey }: W) =>
  survey.damages.reduce(
    (s, d) =>
      s + (d.shape === 'patch' ? (d.lengthMm + 2 * LAP_MM) * (d.widthMm + 2 * LAP_MM) * CLOTHS : 0),
    0,
  );
const clothLines = (work: W) => [
  line(
    'A',
    'cloth',
    `both sides grown by ${2 * LAP_MM} mm, ${CLOTHS} cloths`,
    clothMm2(work),
    'mm²',
  ),
];

/** Fittings and patches are separate rounds: each gel is in place within its own working life. */
function rounds(work: W) {
  const ml = (shape: string) =>
    work.bodies.reduce((s, b, i) => s + (work.survey.damages[i]?.shape === shape ? b.netMl : 0), 0);
  const patch =
    patches(work) > 0
      ? work.round(
          mainSpec(work, {
            id: 'patch',
            purpose: 'patch',
            title: m('Glass patch'),
            netMl: ml('patch'),
            areaMm2: 0,
            touches: [
              mixTouch(work.card),
              { name: 'wet-out', placing: 0.5 },
              { name: 'carry', placing: 0.5, fixed: CARRY_MIN },
            ],
          }),
        )
      : null;
  const bed =
    fittings(work) > 0
      ? work.round(
          mainSpec(work, {
            id: 'main',
            purpose: 'bed',
            title: m('Bed'),
            netMl: ml('fitting'),
            areaMm2: 0,
            touches: [mixTouch(work.card), { name: 'bed', placing: 1, fixed: SET_MIN }],
          }),
        )
      : null;
  return { patch, bed };
}

function draft(work: W): Draft {
  const { demand } = work;
  const { patch, bed } = rounds(work);
  const all = [patch, bed].filter((r) => r !== null);
  const last = all[all.length - 1] as NonNullable<typeof bed>;
  const ready = all.map((r) => notBefore(r, demand.needed));
  const steps: StepDraft[] = [
    isolate(work, {
      extra: dry(work)
        ? m('Drain and dry it: dry bonds hold longer, and it can be drained here.')
        : m(
            'Flow off, suction off and locked; nobody works alone over water; life-line and rescue at hand.',
          ),
    }),
    protect(work),
    step.prep(
      'try-dry',
      'look',
      'Try it dry',
      10,
      m(
        'Fitting or patch tried in place without gel, above water first: it sits, it can be reached, it can be held.',
      ),
      {
        hold: { kind: 'photo', label: m('Tried in place') },
      },
    ),
    ...removeOld(work),
    step.prep(
      'clean',
      'abrade',
      m('Clean to {grade}', { grade: work.grade ?? 'sound' }),
      gradeMinutes(work),
      m(
        'Scrape and scrub slime, scale and loose coating {lap} past it, under water too. New skin grows in an hour.',
        { lap: mm(LAP_MM) },
      ),
      {
        wrong: [wrong('Slippery under the glove', 'Scrub again: gel does not hold slime.')],
      },
    ),
    step.prep(
      'wipe',
      'wipe',
      'Wipe it clean',
      5,
      m('A clean cloth over it, one way; nothing but the gel touches it after.'),
    ),
    step.prep(
      'peel-tools',
      'ready',
      'Tools that peel clean',
      5,
      m(
        'Polypropylene spatulas and board, film on the board: gel does not stick to it. Gloves to the elbow, two pairs.',
      ),
      { uses: ['board'] },
    ),
    ...beforeMixing(work),
    ...(patch
      ? [
          ...mixSteps(work, patch),
          step.touch(
            patch,
            'wet-out',
            'Wet out on the board',
            m(
              '{cloths} cloths on the non-stick board, {lap} past the damage all round, gel through and on both faces, no dry place.',
              { cloths: CLOTHS, lap: mm(LAP_MM) },
            ),
            { figures: ['cloth'], uses: ['cloth'], people: 1 },
          ),
          step.touch(
            patch,
            'carry',
            'Carry and lay',
            m(
              'Carried flat on the board, slid on from one edge so that the water goes out ahead. Press from the middle, feather. Few strokes: stop when it pulls.',
            ),
            {
              wrong: [
                wrong('Water under it', 'Lift that edge once, press it out; no second time.'),
              ],
            },
          ),
        ]
      : []),
    ...(bed
      ? [
          ...mixSteps(work, bed),
          step.touch(
            bed,
            'bed',
            'Bed the fitting',
            m(
              'Gel in a ring on the fitting and in a ring on the old one. Down square with a twist until it comes out all round, {bed} thick. Feather the squeeze-out.',
              { bed: mm(work.buildMm) },
            ),
            {
              figures: ['round.main.total'],
              wrong: [
                wrong('None comes out on one side', 'Off at once, more gel there, down again.'),
              ],
            },
          ),
          step.build(
            bed,
            'hold',
            'form',
            'Hold it',
            5 * fittings(work),
            m('A weight or a prop on it, square; nobody touches it till it sets.'),
          ),
        ]
      : []),
    cleanTools(last),
    leave(work, last, m('Still water: no pump, no wash.')),
    lookAndTap(
      ready,
      'Gel all round, no gap, feathered. Prod the edge with the spatula: it does not lift.',
      [wrong('The edge lifts', 'Scrub it, gel over it while the rest holds.')],
    ),
    step.inspect(
      'sample',
      'Feel the sample',
      3,
      m('The sample kept in the same water: a fingernail leaves no mark.'),
      {
        wrong: [wrong('It marks', 'Cold water: wait twice as long, feel again.')],
      },
    ),
    step.inspect(
      'flow',
      'Flow back on',
      15,
      m('Half flow, look; then full. Dye at the joint shows a leak.'),
      { after: ready },
    ),
  ];
  return {
    rounds: all,
    steps,
    needs: [
      ...(patch
        ? [
            {
              kind: 'plain' as const,
              id: 'cloth',
              name: 'Glass cloth',
              for: m('the patch'),
              amount: clothMm2(work),
              quantity: 'area' as const,
              working: clothLines(work),
            },
          ]
        : []),
      {
        kind: 'plain',
        id: 'board',
        name: 'Non-stick board and film',
        for: m('wetting out and carrying'),
        amount: 1,
        quantity: 'count',
      },
      ...heldNeeds(work),
    ],
    figures: () =>
      patch
        ? [
            figureOf('cloth', 'Cloth', clothMm2(work), 'area', clothLines(work), [
              'damages.0.lengthMm',
              'damages.0.widthMm',
            ]),
          ]
        : [],
  };
}

export const method: Method<SumpSurvey> = {
  stepIds,
  figureIds: ['cloth'],
  schools: ['wet'],
  cautions: ['water', 'alone'],
  nextLookDays: LOOK_DAYS,
  removal: () => [m('Drain it, chisel along the bed, lift; grind off what stays.')],
  draft: (work) => {
    const made = draft(work);
    return {
      ...made,
      steps: [...made.steps, ...returnToService(work, LOOK_DAYS[work.survey.intent])],
    };
  },
};
