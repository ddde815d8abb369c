import { line } from '../calc/calc';
import { boltSequence } from '../geometry/boltSequence';
import { figureOf } from '../plan/figure';
import type { WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { defineMethod } from './method';
import { fingernail, hardness, inspect, lookAndTap, pressureSteps, tidy } from './parts/accept';
import { during, leave, postCure } from './parts/cure';
import { mixSteps } from './parts/mix';
import { flashMinutes } from './parts/pace';
import {
  degrease,
  gate,
  gradeStep,
  isolate,
  mask,
  mm,
  own,
  release,
  removeOld,
  wipe,
} from './parts/prep';
import { placeAll } from './parts/build';

type Work = WorkUp<SurveyOf<'F1'>>;

/** A face is flat enough to seal where a feeler of this thickness does not go under the straight edge, mm. */
const FLAT_MM = 0.1;

const order = ({ survey }: Work) => boltSequence({ count: survey.joint.bolts }).order.join(' ');

/** The face is cast against a copy of the good one, closed while wet, opened when it is hard. */
export const flangeMethod = defineMethod({
  family: 'F1',
  steps: (work: Work) => [
    isolate(work, {
      minutes: 40,
      text: 'Drain, vent, take the gasket out and bin it; old ones may hold asbestos: have it sampled first.',
    }),
    ...removeOld(work),
    own(
      'former',
      'Make the former',
      60,
      () =>
        'Copy the good face: a rigid, flat plate with its serrations and its bolt holes. Try it: it closes square on the studs.',
      {
        hold: {
          kind: 'reading',
          label: 'Feeler under a straight edge',
          quantity: 'length',
          min: null,
          max: FLAT_MM,
        },
        wrong: [
          {
            sign: 'It rocks',
            remedy: 'Scrape or lap it flat: the face can be no better than its former.',
          },
        ],
      },
    ),
    own(
      'template',
      'Cut the spreader',
      15,
      () =>
        'Notch a spreader to the depth with a ridge in the middle of the ring: closing the former then pushes the air outwards.',
    ),
    degrease(work),
    gradeStep(work, work.site.extentMm),
    mask(work.site.extentMm),
    release(
      work,
      `the former, the bores, and each of the ${work.survey.joint.bolts} studs and nuts`,
    ),
    own(
      'dry',
      'Let the release dry',
      10,
      () => 'Two coats, dry to the touch, or it prints through.',
      {
        hold: {
          kind: 'countdown',
          label: 'Release drying',
          minutes: flashMinutes(work, 'release'),
        },
      },
    ),
    wipe(work),
    gate(work),
    ...mixSteps(work),
    {
      id: 'wet-former',
      station: 'build',
      title: 'Brush into the former',
      text: () =>
        'A stiff brush, hard into every serration of the former. One batch coats both surfaces: the former and the metal.',
      minutes: placeAll(work) * 0.3,
      people: 2,
      hold: { kind: 'check' },
    },
    {
      id: 'wet-metal',
      station: 'build',
      title: 'Scrub into the metal',
      text: () =>
        `Scrub a thin coat hard into the bare metal. Build on it with the spreader, ${mm(work.buildMm)} and proud, a ridge along the middle of the ring.`,
      minutes: placeAll(work) * 0.5,
      people: 2,
      hold: { kind: 'check' },
      figures: ['coats', 'coat', 'total'],
      wrong: [
        { sign: 'A dip in the ridge', remedy: 'Fill it before closing: air stays in a dip.' },
        { sign: 'It pulls', remedy: 'Its life is over: scrape off, mix again.' },
      ],
    },
    {
      id: 'close',
      station: 'build',
      title: 'Close the former',
      text: () =>
        `Pull the tape. Close square, run the nuts up a little at a time in the order ${order(work)}. Squeeze-out all round says it is full. Trim it.`,
      minutes: placeAll(work) * 0.2,
      people: 2,
      hold: { kind: 'check' },
      figures: ['bolts'],
      wrong: [
        { sign: 'No squeeze-out on one side', remedy: 'Open at once, add there, close again.' },
      ],
    },
    leave(work, 'The studs stay as they are: do not nip them up again.'),
    during(
      'open',
      'handle',
      'Open the former',
      20,
      () => 'Nuts off in the same order. Jack it off square; wedges only outside the face.',
      {
        wrong: [
          {
            sign: 'It will not come',
            remedy: 'Wait longer, warm it gently. Never lever on the face.',
          },
        ],
      },
    ),
    ...postCure(work),
    lookAndTap('No gaps, dips or high spots, no soft spot, one colour. Tap all round: one sound.', [
      { sign: 'Gap or dip', remedy: 'Abrade, wipe, fill, close the former again.' },
      { sign: 'Soft spot or two colours', remedy: 'Badly mixed: cut it out and do it again.' },
      { sign: 'High spot', remedy: 'Scrape it with the straight edge and blue.' },
    ]),
    inspect(
      'flatness',
      'Flatness',
      10,
      () => `Straight edge across, four ways. A feeler of ${mm(FLAT_MM)} must not go under.`,
      {
        hold: { kind: 'reading', label: 'Widest gap', quantity: 'length', min: null, max: FLAT_MM },
      },
    ),
    ...hardness(work),
    ...(work.card.service.hardness ? [] : [fingernail(work)]),
    inspect(
      'dress',
      'Dress the edges',
      10,
      () =>
        'File the sharp flash off the inner edge and the bolt holes; product must not catch on it.',
    ),
    ...pressureSteps(work),
    tidy(work),
  ],
  needs: (work) => [
    { kind: 'aid', use: 'degreaser', for: 'the face and its edge', areaMm2: work.demand.prepMm2 },
    {
      kind: 'aid',
      use: 'release',
      for: 'former, bores, studs and nuts',
      areaMm2: work.demand.prepMm2 * 2,
      coats: 2,
    },
    { kind: 'aid', use: 'wipe', for: 'the prepared face', areaMm2: work.demand.prepMm2 },
    {
      kind: 'plain',
      id: 'gasket',
      name: 'New gasket',
      for: 'closing the joint',
      amount: 1,
      quantity: 'count',
    },
  ],
  figures: (work) => {
    const bolts = work.survey.joint.bolts;
    const sequence = boltSequence({ count: bolts });
    return [
      figureOf(
        'bolts',
        'Bolts, in a star',
        bolts,
        'count',
        [...sequence.working, line('', 'order', sequence.order.join(' '), bolts)],
        ['joint.bolts'],
      ),
    ];
  },
  removal: () => [
    'Warm the face over the card’s heat limit and chisel the ring off in pieces, or machine it away.',
    'The parent is untouched: it can be rebuilt again.',
  ],
  cautions: ['pressure'],
  nextLookDays: { lasting: 180, stopgap: 14 },
});
