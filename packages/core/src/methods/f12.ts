import { line } from '../calc/calc';
import { figureOf } from '../plan/figure';
import { partsFor, solidsFor } from '../plan/weighing';
import { aidCode } from '../plan/supplies';
import { minutesTo, type WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { say } from '../units/format';
import { defineMethod } from './method';
import { fingernail, inspect, lookAndTap, tidy } from './parts/accept';
import { build, coatSteps } from './parts/build';
import { leave } from './parts/cure';
import { mixSteps } from './parts/mix';
import { degrease, gate, gradeStep, isolate, mm, own, protect, removeOld } from './parts/prep';

type Work = WorkUp<SurveyOf<'F12'>>;

const dissolved = ({ card }: Work) => card.mix.kind === 'dissolved';
const cracked = ({ survey }: Work) => survey.damages.some((d) => d.shape === 'crack');
/** The shell is keyed and laid over this far past the damage, mm. */
const reach = ({ survey, site }: Work) =>
  Math.max(site.extentMm, ...survey.damages.map((d) => d.wallMm * 3));
const parts = ({ card, grossMl, survey }: Work) =>
  partsFor(card, grossMl, 'patch', survey.surface.slope);

export const tankMethod = defineMethod({
  family: 'F12',
  steps: (work: Work) => [
    isolate(work, {
      text: 'Empty, flush until neutral, outlets blanked. Never enter a tank without a permit.',
    }),
    protect(
      dissolved(work)
        ? { text: 'No flame, no spark, no hot surface within five metres; air blown through.' }
        : undefined,
    ),
    ...removeOld(work),
    own('name', 'Which plastic is it', 5, () =>
      dissolved(work)
        ? 'A drop of the solvent on a hidden place: it must go tacky. If it does not, it is another plastic and this filler lets go.'
        : 'Read the mark on the shell: it decides what holds.',
    ),
    ...(cracked(work)
      ? [
          own(
            'drill',
            'Drill the ends',
            8,
            () => 'A 3 mm hole at each end of the crack, or it runs on.',
          ),
        ]
      : []),
    own(
      'vee',
      'Open it up',
      10,
      () => 'Vee it out from the outside, not through: the filler keys on the slope.',
    ),
    degrease(work),
    gradeStep(work, reach(work)),
    own(
      'wipe',
      'Solvent wipe',
      5,
      () =>
        `${dissolved(work) ? 'The filler’s own solvent' : aidCode(work, 'wipe')}, one way, once. Dry.`,
    ),
    own(
      'plug',
      'Plug every outlet',
      10,
      () =>
        'Each outlet and every hole below plugged before anything is poured: what runs in sets in the pipe.',
    ),
    gate(work),
    ...mixSteps(work),
    ...coatSteps(work, {
      first: dissolved(work)
        ? 'Press it into the vee, lid on between; thin coats, each let go hard,'
        : 'Knead to one colour, press it in so that it keys behind,',
      last: `Lay it ${mm(reach(work))} past the damage and feather it.`,
      people: 1,
    }),
    build(
      'cloth',
      'Lid on, tools clean',
      3,
      () => 'Lid on at once. Tools into the solvent before it sets.',
    ),
    leave(
      work,
      dissolved(work)
        ? `Hard soon, but long from cured: ${timeToWater(work)} before water, longer where it is thick.`
        : 'A stop-gap: quick, and to be redone.',
    ),
    lookAndTap('No pit, no white edge, no bubble. Tap: one sound with the shell.', [
      { sign: 'Soft under the skin', remedy: 'Solvent is still in it: wait; warm air, no flame.' },
      { sign: 'White and brittle edge', remedy: 'Another plastic: off with it, find out which.' },
    ]),
    fingernail(work),
    inspect(
      'fill',
      'Fill and watch',
      30,
      () => 'Water first: to half, then full. Dry outside for half an hour, then the product.',
      {
        wrong: [{ sign: 'It weeps', remedy: 'Empty, dry, key, lay over from the outside.' }],
      },
    ),
    tidy(work),
  ],
  needs: (work) => {
    const made = parts(work);
    return [
      { kind: 'aid', use: 'degreaser', for: 'the shell', areaMm2: work.demand.prepMm2 },
      ...(dissolved(work) && made
        ? [
            {
              kind: 'plain' as const,
              id: 'plugs',
              name: 'Plugs and tape',
              for: 'every outlet',
              amount: 1,
              quantity: 'count' as const,
            },
          ]
        : [
            {
              kind: 'aid' as const,
              use: 'wipe' as const,
              for: 'the keyed shell',
              areaMm2: work.demand.prepMm2,
            },
          ]),
    ];
  },
  figures: (work) => {
    const { mix } = work.card;
    const made = parts(work);
    if (mix.kind !== 'dissolved' || !made) return [];
    const solids = solidsFor(mix, work.survey.surface.slope);
    const paths = [...work.bodies.flatMap((b) => b.body.paths), 'surface.slope'];
    const common = [
      line('V', 'filler', 'from the damage', work.grossMl, 'ml'),
      line(
        's',
        'solids',
        work.survey.surface.slope === 'level' ? 'syrup for a flat' : 'paste for a wall',
        solids * 100,
        '%',
        `card ${work.card.code}`,
      ),
    ];
    return [
      figureOf(
        'pellets',
        'Pellets',
        made.aG,
        'mass',
        [...common, line('mp', 'pellets', `V·${mix.density}·s`, made.aG, 'g')],
        paths,
      ),
      figureOf(
        'solvent',
        'Solvent',
        made.bG / mix.solventDensityGml,
        'volume',
        [
          ...common,
          line('ms', 'solvent', `V·${mix.density}·(1 − s)`, made.bG, 'g'),
          line(
            'Vs',
            'solvent',
            `ms/${mix.solventDensityGml}`,
            made.bG / mix.solventDensityGml,
            'ml',
          ),
        ],
        paths,
      ),
    ];
  },
  removal: (work) => [
    dissolved(work)
      ? 'It is one with the shell: it is cut out with it.'
      : 'Chisel the putty out; key and fill again.',
  ],
  cautions: ['no-ignition', 'no-ship'],
  nextLookDays: { lasting: 120, stopgap: 7 },
});

function timeToWater(work: Work): string {
  const minutes = minutesTo(work, 'immersion');
  return minutes === null ? 'the card’s time' : say(minutes, 'time');
}
