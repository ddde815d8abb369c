import { line } from '../calc/calc';
import { figureOf } from '../plan/figure';
import type { WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { defineMethod } from './method';
import { inspect, lookAndTap, tidy } from './parts/accept';
import { build, placeAll } from './parts/build';
import { leave } from './parts/cure';
import { mixSteps } from './parts/mix';
import { gradeMinutes } from './parts/pace';
import { gate, isolate, mm, own, removeOld } from './parts/prep';

type Work = WorkUp<SurveyOf<'F13'>>;

/** Glass cloths of a patch, wetted out one on the other. */
const CLOTHS = 2;
/** Laid this far past the damage, mm. */
const LAP_MM = 50;

const bedded = ({ survey }: Work) => survey.damages.some((d) => d.shape === 'fitting');
const patched = ({ survey }: Work) => survey.damages.some((d) => d.shape === 'patch');
const dry = ({ context, survey }: Work) => context.schools?.wet !== 'wet' && survey.sump.drainable;
const clothMm2 = ({ survey }: Work) =>
  survey.damages.reduce(
    (sum, d) =>
      sum +
      (d.shape === 'patch' ? (d.lengthMm + 2 * LAP_MM) * (d.widthMm + 2 * LAP_MM) * CLOTHS : 0),
    0,
  );

const clothLines = (work: Work) => [
  line(
    'A',
    'cloth',
    `both sides grown by ${2 * LAP_MM} mm, ${CLOTHS} cloths`,
    clothMm2(work),
    'mm²',
  ),
];

export const sumpMethod = defineMethod({
  family: 'F13',
  steps: (work: Work) => [
    isolate(work, {
      text: dry(work)
        ? 'Drain and dry it: dry bonds hold longer, and it can be drained here.'
        : 'Flow off, suction off and locked; nobody works alone over water; life-line and rescue at hand.',
    }),
    own(
      'dry-run',
      'Try it dry',
      10,
      () =>
        'Fitting or patch tried in place without gel: it sits, it can be reached, it can be held.',
      {
        hold: { kind: 'photo', label: 'Tried in place' },
      },
    ),
    ...removeOld(work),
    own(
      'clean',
      `Clean to ${work.grade ?? 'sound'}`,
      gradeMinutes(work),
      () =>
        `Scrape and scrub slime, scale and loose coating ${mm(LAP_MM)} past it, then a clean cloth: under water too. New skin grows in an hour.`,
      {
        wrong: [
          { sign: 'Slippery under the glove', remedy: 'Scrub again: gel does not hold slime.' },
        ],
      },
    ),
    own(
      'tools',
      'Tools that peel clean',
      5,
      () => 'Polypropylene spatulas and board, film on the board; gloves to the elbow, two pairs.',
    ),
    gate(work),
    ...mixSteps(work),
    ...(patched(work)
      ? [
          build(
            'wet-out',
            'Wet out on the board',
            8,
            () =>
              `${CLOTHS} cloths on the non-stick board, ${mm(LAP_MM)} past the damage all round, gel through and on both faces, no dry place.`,
            { figures: ['cloth'] },
          ),
          build(
            'carry',
            'Carry and lay',
            placeAll(work) / (bedded(work) ? 2 : 1),
            () =>
              'Carried flat on the board, slid on from one edge so that the water goes out ahead. Press from the middle, feather. Few strokes: stop when it pulls.',
            {
              people: 2,
              wrong: [
                {
                  sign: 'Water under it',
                  remedy: 'Lift that edge once, press it out; no second time.',
                },
              ],
            },
          ),
        ]
      : []),
    ...(bedded(work)
      ? [
          build(
            'bed',
            'Bed the fitting',
            placeAll(work) / (patched(work) ? 2 : 1),
            () =>
              'Gel in a ring on the fitting and in a ring on the old one. Down square with a twist until it comes out all round. Feather the squeeze-out.',
            {
              people: 2,
              figures: ['coat'],
              wrong: [
                {
                  sign: 'None comes out on one side',
                  remedy: 'Off at once, more gel there, down again.',
                },
              ],
            },
          ),
          build(
            'hold',
            'Hold it',
            5,
            () => 'A weight or a prop on it, square; nobody touches it till it sets.',
          ),
        ]
      : []),
    leave(work, 'Still water: no pump, no wash.'),
    lookAndTap(
      'Gel all round, no gap, feathered. Prod the edge with the spatula: it does not lift.',
      [{ sign: 'The edge lifts', remedy: 'Scrub it, gel over it while the rest holds.' }],
    ),
    inspect(
      'sample',
      'Feel the sample',
      3,
      () => 'The sample kept in the same water: a fingernail leaves no mark.',
      {
        wrong: [{ sign: 'It marks', remedy: 'Cold water: wait twice as long, feel again.' }],
      },
    ),
    inspect(
      'flow',
      'Flow back on',
      15,
      () => 'Half flow, look; then full. Dye at the joint shows a leak.',
    ),
    tidy(work),
  ],
  needs: (work) => [
    ...(patched(work)
      ? [
          {
            kind: 'plain' as const,
            id: 'cloth',
            name: 'Glass cloth',
            for: 'the patch',
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
      for: 'wetting out and carrying',
      amount: 1,
      quantity: 'count',
    },
  ],
  figures: (work) =>
    patched(work)
      ? [
          figureOf('cloth', 'Cloth', clothMm2(work), 'area', clothLines(work), [
            'damages.0.lengthMm',
            'damages.0.widthMm',
          ]),
        ]
      : [],
  removal: () => ['Drain it, chisel along the bed, lift; grind off what stays.'],
  cautions: ['water', 'alone'],
  nextLookDays: { lasting: 120, stopgap: 14 },
});
