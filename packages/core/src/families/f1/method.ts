import { line } from '../../calc/calc';
import { boltSequence } from '../../geometry/boltSequence';
import { m, mm } from '../../message/message';
import {
  hardness,
  returnToService,
  lookAndTap,
  pressureFigures,
  pressureSteps,
} from '../../methods/accept';
import { cleanTools, mainSpec, overfill } from '../../methods/build';
import { leave } from '../../methods/cure';
import { mixSteps, mixTouch } from '../../methods/mix';
import { isolate, protect, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import {
  degrease,
  degreaserNeed,
  dustOff,
  gradeStep,
  mask,
  release,
  wipe,
  wipeNeed,
} from '../../methods/prep';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import { figureOf } from '../../work/figure';
import type { Work } from '../../work/work';
import type { Method } from '../../family/family';
import type { FlangeSurvey } from './survey';

const stepIds = [
  'former',
  'template',
  'wet-former',
  'wet-metal',
  'close',
  'open',
  'gasket',
] as const;
const step = stepsOf(stepIds);

/** A face is flat enough to seal if a feeler of this thickness does not go under the straight edge, mm. */
const FLAT_MM = 0.1;
/** Share of the card’s placing time: spreading a ring is faster than filling a pocket. */
const SPREAD = { former: 0.1, metal: 0.25 };
/** Pulling the tape and closing square; half a minute for each stud; trimming squeeze-out. Minutes. */
const CLOSE_MIN = 3;
const STUD_MIN = 0.5;
const TRIM_MIN = 3;
const LOOK_DAYS = { lasting: 180, stopgap: 14 };

type W = Work<FlangeSurvey>;
const order = ({ survey }: W) => boltSequence({ count: survey.joint.bolts }).order.join(' ');

/** The face is cast against a copy of the good one, closed while wet, opened when hard. */
export const method: Method<FlangeSurvey> = {
  stepIds,
  figureIds: ['bolts'],
  schools: ['proud'],
  cautions: ['pressure'],
  nextLookDays: LOOK_DAYS,
  removal: () => [
    m(
      'Warm the face over the card’s heat limit and chisel the ring off in pieces, or machine it away.',
    ),
    m('The parent is untouched: it can be rebuilt again.'),
  ],
  draft: (work) => {
    const { survey, demand, site } = work;
    const { bolts } = survey.joint;
    const main = work.round(
      mainSpec(work, {
        id: 'main',
        purpose: 'build',
        title: m('The face'),
        whole: true,
        overfillPct: overfill(work) || site.overfillPct,
        touches: [
          mixTouch(work.card),
          { name: 'wet-former', placing: SPREAD.former },
          { name: 'wet-metal', placing: SPREAD.metal },
          { name: 'close', fixed: CLOSE_MIN + STUD_MIN * bolts + TRIM_MIN },
        ],
      }),
    );
    const ready = [notBefore(main, demand.needed)];
    return {
      rounds: [main],
      steps: [
        isolate(work, {
          minutes: 40,
          extra: m(
            'Drain, vent, take the gasket out and bin it; old ones may hold asbestos: have it sampled first.',
          ),
        }),
        protect(work),
        step(
          'former',
          'prep',
          'form',
          'Make the former',
          60,
          m(
            'Copy the good face: a rigid, flat plate with its serrations and its bolt holes. Try it: it closes square on the studs. Flat to {flat}.',
            { flat: mm(FLAT_MM) },
          ),
          {
            hold: {
              kind: 'reading',
              label: m('Feeler under a straight edge'),
              quantity: 'length',
              min: null,
              max: FLAT_MM,
            },
            uses: ['former'],
            wrong: [
              wrong(
                'It rocks',
                'Scrape or lap it flat: the face can be no better than its former.',
              ),
            ],
          },
        ),
        ...removeOld(work),
        degrease(work),
        gradeStep(work, site.extentMm, { extra: m('Threads and bores plugged before it.') }),
        dustOff(),
        ...release(
          work,
          m('the former, the bores, and each of the {bolts} studs and nuts', { bolts }),
        ),
        mask(site.extentMm),
        step(
          'template',
          'prep',
          'form',
          'Cut the spreader',
          15,
          m(
            'Notch a spreader to {depth} with a ridge in the middle of the ring: closing the former then pushes the air outwards.',
            { depth: mm(work.buildMm) },
          ),
          { figures: ['coat'] },
        ),
        wipe(work),
        ...beforeMixing(work),
        ...mixSteps(work, main),
        step.touch(
          main,
          'wet-former',
          'Brush into the former',
          m(
            'A stiff brush, hard into every serration of the former. One batch coats both faces: the former and the metal.',
          ),
        ),
        step.touch(
          main,
          'wet-metal',
          'Scrub into the metal',
          m(
            'Scrub a thin coat hard into the bare metal. Build on it with the spreader, {build} and proud, a ridge along the middle of the ring.',
            { build: mm(work.buildMm) },
          ),
          {
            figures: ['coat', 'total'],
            wrong: [
              wrong('A dip in the ridge', 'Fill it before closing: air stays in a dip.'),
              wrong('It pulls', 'Its life is over: scrape off, mix again.'),
            ],
          },
        ),
        step.touch(
          main,
          'close',
          'Close the former',
          () =>
            m(
              'Pull the tape. Close square, run the nuts up a little at a time in the order {sequence}. Squeeze-out all round says it is full. Trim it, all inside the life.',
              { sequence: order(work) },
            ),
          {
            figures: ['bolts'],
            wrong: [wrong('No squeeze-out on one side', 'Open at once, add there, close again.')],
          },
        ),
        cleanTools(main),
        leave(work, main, m('The studs stay as they are: do not nip them up again.')),
        step.during(
          main,
          'open',
          'handle',
          'Open the former',
          20,
          m('Nuts off in the same order. Jack it off square; wedges only outside the face.'),
          {
            wrong: [
              wrong('It will not come', 'Wait longer, warm it gently. Never lever on the face.'),
            ],
          },
        ),
        lookAndTap(
          ready,
          'No gaps, dips or high spots, no soft spot, one colour. Tap all round: one sound.',
          [
            wrong('Gap or dip', 'Abrade, wipe, fill, close the former again.'),
            wrong('Soft spot or two colours', 'Badly mixed: cut it out and do it again.'),
            wrong('High spot', 'Scrape it with the straight edge and blue.'),
          ],
        ),
        step.inspect(
          'dress',
          'Dress the inner edge',
          10,
          m(
            'File the sharp flash off the inner edge and the bolt holes: product must not catch on it.',
          ),
          { does: 'finish' },
        ),
        step.inspect(
          'flatness',
          'Flatness',
          10,
          m('Straight edge across, four ways. A feeler of {flat} must not go under.', {
            flat: mm(FLAT_MM),
          }),
          {
            hold: {
              kind: 'reading',
              label: m('Widest gap'),
              quantity: 'length',
              min: null,
              max: FLAT_MM,
            },
          },
        ),
        ...hardness(work),
        step.inspect(
          'gasket',
          'Gasket and bolts',
          15,
          () =>
            m('New gasket, studs clean and oiled, tightened in the order {sequence}.', {
              sequence: order(work),
            }),
          { does: 'finish', uses: ['gasket'], figures: ['bolts'] },
        ),
        ...pressureSteps(work, ready),
        ...returnToService(work, LOOK_DAYS[survey.intent]),
      ],
      needs: [
        degreaserNeed(work, m('the face and its edge')),
        {
          kind: 'aid',
          use: 'release',
          for: m('former, bores, studs and nuts'),
          areaMm2: demand.prepMm2 * 2,
          coats: 2,
        },
        wipeNeed(work, m('the prepared face')),
        {
          kind: 'plain',
          id: 'former',
          name: 'Plate for the former',
          for: m('copying the good face'),
          amount: 1,
          quantity: 'count',
        },
        {
          kind: 'plain',
          id: 'gasket',
          name: 'New gasket',
          for: m('closing the joint'),
          amount: 1,
          quantity: 'count',
        },
        ...heldNeeds(work),
      ],
      figures: () => {
        const star = boltSequence({ count: bolts });
        return [
          figureOf(
            'bolts',
            'Bolts, in a star',
            bolts,
            'count',
            [...star.working, line('', 'order', star.order.join(' '), bolts)],
            ['joint.bolts'],
          ),
          ...pressureFigures(work),
        ];
      },
    };
  },
};
