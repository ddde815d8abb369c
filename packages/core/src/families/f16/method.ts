import { line } from '../../calc/calc';
import { rubberCrumb } from '../../mix/rubberCrumb';
import { grams, m, mm } from '../../message/message';
import { fingernail, returnToService, lookAndTap } from '../../methods/accept';
import { cleanTools, mainSpec } from '../../methods/build';
import { leave } from '../../methods/cure';
import { mixSteps, mixTouch } from '../../methods/mix';
import { isolate, protect, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import { dustOff, gradeStep } from '../../methods/prep';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import { figureOf } from '../../work/figure';
import { aidName } from '../../work/aids';
import type { Work } from '../../work/work';
import type { Method } from '../../family/family';
import type { MattingSurvey } from './survey';

const stepIds = ['cut', 'dry-day', 'prime', 'rake', 'trowel', 'drain', 'trip'] as const;
const step = stepsOf(stepIds);
type W = Work<MattingSurvey>;

const LOOK_DAYS = { lasting: 180, stopgap: 30 };
/** Share of a batch’s minutes for raking; the rest is compacting and trowelling, both within its working life. */
const RAKE = 0.6;
const TROWEL = 0.4;
/** Density of the binder, g/ml. */
const BINDER_GML = 1.1;
/** A step at the edge that is no trip hazard, mm. */
const TRIP_MM = 3;
/** Above this area the trowels are misted, mm². */
const MIST_MM2 = 200_000;

const spots = ({ survey }: W) => survey.damages.filter((d) => d.shape === 'spot').length;

export const method: Method<MattingSurvey> = {
  stepIds,
  figureIds: ['granules', 'binder', 'primer'],
  schools: [],
  cautions: ['rubber-dust'],
  nextLookDays: LOOK_DAYS,
  removal: () => [m('Cut it in strips, lever it off; grind the binder off the base.')],
  draft: (work) => {
    const { survey, demand, card } = work;
    const { mix } = card;
    const main = work.round(
      mainSpec(work, {
        id: 'main',
        purpose: 'fill',
        title: m('Crumb'),
        areaMm2: 0,
        touches: [
          mixTouch(card),
          { name: 'rake', placing: RAKE },
          { name: 'trowel', placing: TROWEL },
        ],
      }),
    );
    const crumb =
      mix.kind === 'crumb'
        ? rubberCrumb({
            volumeL: main.mixMl / 1000,
            bulkDensityKgL: mix.bulkDensityKgL,
            compaction: mix.compaction,
            binderPct: mix.binderPct,
            primerShare: mix.primerShare,
            wastePct: 0,
          })
        : null;
    const primerG = (crumb?.primerKg ?? 0) * 1000;
    // Taken from the set's own binder: no extra pack.
    const prime = work.round(
      mainSpec(work, {
        id: 'prime',
        purpose: 'primer',
        title: m('Primer'),
        netMl: primerG / BINDER_GML / (1 + card.wastePct / 100),
        areaMm2: 0,
        buildMm: 0.2,
        pieces: 0,
        unweighed: true,
        working: undefined,
        touches: [
          { name: 'mix', fixed: 1 },
          { name: 'prime', fixed: 5 + demand.prepMm2 / 1e6 },
        ],
        needed: null,
      }),
    );
    const ready = [notBefore(main, demand.needed)];
    return {
      rounds: [prime, main],
      steps: [
        isolate(work, {
          minutes: 5,
          extra: m('Closed to people; a dry day, and dry until its time is up.'),
        }),
        protect(work),
        ...removeOld(work),
        ...(spots(work) > 0
          ? [
              step.prep(
                'cut',
                'open-up',
                'Cut out loose',
                15 * spots(work),
                m('Cut square to where it holds, straight edges, down to the base.'),
              ),
            ]
          : []),
        gradeStep(work, 0),
        dustOff('Sweep, then vacuum; edges too.'),
        step.prep(
          'dry',
          'dry',
          'Bone dry',
          5,
          m('Bone dry: binder foams on a wet base. Wood or stone beside it covered.'),
          {
            wrong: [wrong('A dark, damp place', 'Warm air, wait. Not today if it comes back.')],
          },
        ),
        step.prep(
          'dry-day',
          'look',
          'Dry day',
          2,
          m('No rain in the forecast until it is open; cover at hand.'),
          { uses: ['cover'] },
        ),
        ...beforeMixing(work),
        ...mixSteps(work, prime).filter((s) => s.name !== 'lay-out'),
        step.touch(
          prime,
          'prime',
          'Prime edges and base',
          m(
            '{amount} of the binder, thin, by roller, on the base and up the edges; tacky, no puddle.',
            { amount: grams(primerG) },
          ),
          {
            people: 1,
            figures: ['primer'],
          },
        ),
        ...mixSteps(work, main, [
          {
            round: prime.id,
            at: 'overcoatOpens',
            until: 'overcoatCloses',
            missed: 'condition',
            why: m('Primer tacky, not dry.'),
          },
        ]),
        step.touch(
          main,
          'rake',
          'Place it',
          m('Spread by rake, {deep} and a little proud, edges first.', { deep: mm(work.buildMm) }),
          { figures: ['granules', 'binder'] },
        ),
        step.touch(
          main,
          'trowel',
          'Compact and trowel',
          m(
            'Trowel misted with {aid}; never spray the mat. Compact from all sides, level with what is beside it.',
            { aid: aidName(work, 'release') },
          ),
          {
            uses: ['release'],
            wrong: [wrong('It lifts with the trowel', 'Mist the trowel again, less pressure.')],
          },
        ),
        cleanTools(main),
        leave(work, main, m('Closed until the card’s time is up; covered if it rains.')),
        lookAndTap(ready, 'Level at the edges, no loose grain under a stiff brush.', [
          wrong('Grains brush out', 'Starved: roll a thin coat of binder over it. Deep: cut out.'),
          wrong('An open edge', 'Prime it, fill it, press.'),
        ]),
        fingernail(work),
        ...(survey.matting.drains
          ? [
              step.inspect('drain', 'Pail of water', 3, m('It runs through, none stands.'), {
                wrong: [wrong('It stands', 'Too much binder: drill through, or lay again.')],
              }),
            ]
          : []),
        step.inspect(
          'trip',
          'No trip',
          2,
          m('Straight edge over the joint: {most} at most, nothing to catch a foot.', {
            most: mm(TRIP_MM),
          }),
          {
            hold: {
              kind: 'reading',
              label: m('Step at the edge'),
              quantity: 'length',
              min: null,
              max: TRIP_MM,
            },
          },
        ),
        ...returnToService(work, LOOK_DAYS[survey.intent]),
      ],
      needs: [
        { kind: 'aid', use: 'release', for: m('the trowels'), areaMm2: MIST_MM2 },
        {
          kind: 'plain',
          id: 'cover',
          name: 'Rain cover',
          for: m('while it cures'),
          amount: 1,
          quantity: 'count',
        },
        ...heldNeeds(work),
      ],
      figures: () => {
        if (!crumb) return [];
        const paths = work.bodies.flatMap((b) => b.body.paths);
        const each = (id: string, label: string, symbol: string, kg: number) =>
          figureOf(
            id,
            label,
            kg * 1000,
            'mass',
            [...crumb.working, line(symbol, label.toLowerCase(), 'from above', kg * 1000, 'g')],
            paths,
          );
        return [
          each('granules', 'Granules', 'mg', crumb.granulesKg),
          each('binder', 'Binder in all', 'mb', crumb.binderKg),
          each('primer', 'Of it to prime', 'mp', crumb.primerKg),
        ];
      },
    };
  },
};
