import { line } from '../calc/calc';
import { rubberCrumb } from '../mix/rubberCrumb';
import { figureOf } from '../plan/figure';
import { aidCode } from '../plan/supplies';
import type { WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { defineMethod } from './method';
import { fingernail, inspect, lookAndTap, tidy } from './parts/accept';
import { build, placeAll } from './parts/build';
import { leave } from './parts/cure';
import { mixSteps } from './parts/mix';
import { gate, gradeStep, isolate, mm, own, protect, removeOld } from './parts/prep';

type Work = WorkUp<SurveyOf<'F16'>>;

const crumb = ({ card, grossMl }: Work) =>
  card.mix.kind === 'crumb'
    ? rubberCrumb({
        volumeL: grossMl / 1000,
        bulkDensityKgL: card.mix.bulkDensityKgL,
        compaction: card.mix.compaction,
        binderPct: card.mix.binderPct,
        primerShare: card.mix.primerShare,
        wastePct: 0,
      })
    : null;
const cutOut = ({ survey }: Work) => survey.damages.some((d) => d.shape === 'spot');

export const mattingMethod = defineMethod({
  family: 'F16',
  steps: (work: Work) => [
    isolate(work, {
      minutes: 5,
      text: 'Closed to people; a dry day, and dry until its time is up.',
    }),
    protect(),
    ...removeOld(work),
    ...(cutOut(work)
      ? [
          own(
            'cut',
            'Cut out loose',
            15,
            () => 'Cut square to where it holds, straight edges, down to the base.',
          ),
        ]
      : []),
    gradeStep(work, 0),
    own('dry', 'Dry and swept', 5, () => 'Bone dry, swept, vacuumed: binder foams on a wet base.', {
      wrong: [
        { sign: 'A dark, damp place', remedy: 'Warm air, wait. Not today if it comes back.' },
      ],
    }),
    own('dry-day', 'Dry day', 2, () => 'No rain in the forecast until it is open; cover at hand.'),
    gate(work),
    ...mixSteps(work),
    build(
      'prime',
      'Prime edges and base',
      10,
      () => 'Thin, by roller, on the base and up the edges; tacky, no puddle.',
      { figures: ['primer'] },
    ),
    build(
      'place',
      'Place it',
      placeAll(work) * 0.6,
      () => `Spread by rake, ${mm(work.buildMm)} and a little proud, edges first.`,
      {
        people: 2,
        figures: ['granules', 'binder'],
      },
    ),
    build(
      'trowel',
      'Compact and trowel',
      placeAll(work) * 0.4,
      () =>
        `Trowel misted with ${aidCode(work, 'release')}; never spray the mat. Compact from all sides, level with what is beside it.`,
      {
        people: 2,
        wrong: [
          { sign: 'It lifts with the trowel', remedy: 'Mist the trowel again, less pressure.' },
        ],
      },
    ),
    leave(work, 'Closed until the card’s time is up; covered if it rains.'),
    lookAndTap('Level at the edges, no loose grain under a stiff brush.', [
      {
        sign: 'Grains brush out',
        remedy: 'Starved: roll a thin coat of binder over it. Deep: cut out.',
      },
      { sign: 'An open edge', remedy: 'Prime it, fill it, press.' },
    ]),
    fingernail(work),
    ...(work.survey.matting.drains
      ? [
          inspect('drain', 'Pail of water', 3, () => 'It runs through, none stands.', {
            wrong: [{ sign: 'It stands', remedy: 'Too much binder: drill through, or lay again.' }],
          }),
        ]
      : []),
    inspect('trip', 'No trip', 2, () => 'Straight edge over the joint: nothing to catch a foot.', {
      hold: { kind: 'reading', label: 'Step at the edge', quantity: 'length', min: null, max: 3 },
    }),
    tidy(work),
  ],
  needs: () => [
    { kind: 'aid', use: 'release', for: 'the trowels', areaMm2: 200_000 },
    {
      kind: 'plain',
      id: 'cover',
      name: 'Rain cover',
      for: 'while it cures',
      amount: 1,
      quantity: 'count',
    },
  ],
  figures: (work) => {
    const made = crumb(work);
    if (!made) return [];
    const paths = work.bodies.flatMap((b) => b.body.paths);
    const each = (id: string, label: string, symbol: string, kg: number) =>
      figureOf(
        id,
        label,
        kg * 1000,
        'mass',
        [...made.working, line(symbol, label.toLowerCase(), 'from above', kg * 1000, 'g')],
        paths,
      );
    return [
      each('granules', 'Granules', 'mg', made.granulesKg),
      each('binder', 'Binder in all', 'mb', made.binderKg),
      each('primer', 'Of it to prime', 'mp', made.primerKg),
    ];
  },
  removal: () => ['Cut it in strips, lever it off; grind the binder off the base.'],
  cautions: ['rubber-dust'],
  nextLookDays: { lasting: 180, stopgap: 30 },
});
