import { line } from '../calc/calc';
import { figureOf } from '../plan/figure';
import { helperCode } from '../plan/supplies';
import type { WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { say } from '../units/format';
import { defineMethod } from './method';
import { fingernail, inspect, lookAndTap, pressureSteps, tidy } from './parts/accept';
import { build, coatSteps } from './parts/build';
import { leave } from './parts/cure';
import { mixSteps } from './parts/mix';
import { degrease, gate, gradeStep, isolate, mm, own, protect, removeOld } from './parts/prep';
import { isWrap, layTape, WRAP_OFF, wrapFigures } from './parts/wrap';

type Work = WorkUp<SurveyOf<'F4'>>;

/** A plug is wanted before the wrap unless the wrap is to do it alone. */
const plugged = (work: Work) => isWrap(work) && work.context.schools?.plug !== 'wrap';
const plugMl = ({ bodies }: Work) => bodies.reduce((sum, b) => sum + b.volume.grossMl, 0);
const extent = ({ wrap, demand, site }: Work) =>
  wrap ? (demand.wrap?.extentMm ?? site.extentMm) : site.extentMm * 2;

const plugSteps = (work: Work) =>
  plugged(work)
    ? [
        build(
          'plug',
          'Plug it',
          8,
          () =>
            `Cut at least ${say(plugMl(work), 'volume')} of ${helperCode(work, 'plug')}, knead to one colour, press hard into the hole, feather the edges. Wait until it is tack-free.`,
          {
            figures: ['supply.plug'],
            wrong: [
              {
                sign: 'Even plugged it seeps',
                remedy: 'Go on: tight plies are the second line. Running: stop, drain further.',
              },
            ],
          },
        ),
      ]
    : [];

export const pipeLeakMethod = defineMethod({
  family: 'F4',
  steps: (work: Work) => [
    isolate(work, { text: 'Shut both ways, drain below the leak, vent.' }),
    own(
      'mark',
      'Mark the leak',
      5,
      () => 'Circle it; draw where the wrap begins and ends. Photograph it.',
      {
        hold: { kind: 'photo', label: 'The leak, marked' },
      },
    ),
    protect(),
    ...removeOld(work),
    degrease(work),
    gradeStep(work, extent(work), { text: 'All round, power tool rather than hand tool.' }),
    own('dry', 'Dry it', 10, () =>
      work.card.damp === 'dry'
        ? 'Dry all round; no drop comes from the hole.'
        : `It may be ${work.card.damp === 'wet' || work.card.damp === 'under-water' ? 'wet' : 'damp'}; no stream comes from the hole.`,
    ),
    gate(work),
    ...mixSteps(work),
    ...plugSteps(work),
    ...(isWrap(work)
      ? [
          ...layTape(work, {}),
          build(
            'press',
            'Press and twist',
            6,
            () =>
              'Wet gloves. Press and twist along the lay, round and round, until the foam stops and it is no longer tacky. Minutes count.',
            { wrong: [{ sign: 'It lifts', remedy: 'Hold it down to the set.' }] },
          ),
          build(
            'film',
            'Over-wrap',
            4,
            () =>
              'Elastic film over it, tight, pricked with a pin: it presses the plies and lets the gas out.',
          ),
        ]
      : coatSteps(work, {
          first: 'Press it hard into the hole so that it keys behind, spread it past the edge,',
          last: 'Feather the edge with a wet finger.',
          people: 1,
        })),
    leave(work, 'No pressure on it.'),
    lookAndTap('One colour, no dry cloth, no lifted edge. Tap round it: one sound.', [
      { sign: 'Lifted edge', remedy: 'Grind it back to where it holds, wrap over.' },
      { sign: 'Soft when tapped', remedy: 'It foamed too much or set in water: take it off.' },
    ]),
    fingernail(work),
    ...pressureSteps(work),
    inspect(
      'label',
      'Tag it',
      3,
      () => 'A tag on the pipe: what, when, who, and when it is looked at again.',
    ),
    tidy(work),
  ],
  needs: (work) => [
    { kind: 'aid', use: 'degreaser', for: 'the pipe round the leak', areaMm2: work.demand.prepMm2 },
    ...(plugged(work)
      ? [
          {
            kind: 'help' as const,
            help: 'plug' as const,
            for: 'the plug',
            ml: plugMl(work),
            paths: work.bodies.flatMap((b) => b.body.paths),
          },
        ]
      : []),
    {
      kind: 'plain',
      id: 'film',
      name: 'Elastic film',
      for: 'over-wrap',
      amount: 1,
      quantity: 'count',
    },
    {
      kind: 'plain',
      id: 'water',
      name: 'Clean water, 20 °C',
      for: 'soaking',
      amount: 3000,
      quantity: 'volume',
    },
  ],
  figures: (work) => [
    ...wrapFigures(work),
    figureOf('wrapFrom', 'Prepared past the leak', extent(work), 'length', [
      line(
        'x',
        'prepared past the leak, each way',
        isWrap(work) ? 'low-pressure wrap' : 'plug',
        extent(work),
        'mm',
      ),
    ]),
  ],
  removal: (work) =>
    isWrap(work)
      ? WRAP_OFF
      : [`Chisel the plug out; ${mm(work.site.extentMm)} round it grind clean.`],
  cautions: ['pressure'],
  nextLookDays: { lasting: 90, stopgap: 7 },
});
