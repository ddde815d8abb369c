import { line } from '../calc/calc';
import { uvPasses } from '../film/uvPasses';
import { closing, figureOf } from '../plan/figure';
import { aidCode } from '../plan/supplies';
import type { WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { say } from '../units/format';
import { defineMethod } from './method';
import { inspect, lookAndTap, tidy } from './parts/accept';
import { build, placeAll } from './parts/build';
import { during, leave } from './parts/cure';
import { mixSteps } from './parts/mix';
import { flashMinutes, gradeMinutes } from './parts/pace';
import { approval, gate, isolate, mm, own } from './parts/prep';

type Work = WorkUp<SurveyOf<'F15'>>;

const pins = ({ survey }: Work) => survey.damages.reduce((sum, d) => sum + d.pins, 0);
/** Passes under the lamp, and the seconds of each; null for what needs no lamp. */
const passes = ({ card, survey, buildMm }: Work) =>
  card.mix.kind === 'light-cured'
    ? uvPasses({
        depthMm: buildMm,
        depthPerPassMm: card.mix.depthPerPassMm,
        doseJcm2: card.mix.doseJcm2,
        irradianceWcm2: survey.board.lampWcm2,
        filler: card.mix.filler,
      })
    : null;
const seconds = (x: number) => say(x / 60, 'time');

export const boardMethod = defineMethod({
  family: 'F15',
  steps: (work: Work) => [
    ...(work.survey.board.mains
      ? [
          approval(
            'mains',
            'electronics-shop',
            'Mains on this part: creepage and clearance must come back to the maker’s.',
          ),
        ]
      : []),
    isolate(work, { text: 'Unplugged; capacitors discharged and proved; wrist strap on.' }),
    own(
      'photo',
      'Draw it first',
      10,
      () =>
        'Every part, track and colour near the burn, photographed and drawn: it is built back from that.',
      {
        hold: { kind: 'photo', label: 'The board before' },
      },
    ),
    own(
      'parts',
      'Parts out',
      15,
      () => 'Burnt parts and those in the way out; why it burnt is found and put right first.',
    ),
    own(
      'mill',
      'Mill out the char',
      gradeMinutes(work),
      () =>
        'Small burr, until the laminate is its own colour: char conducts. Edges stepped. With extraction and a mask.',
      { wrong: [{ sign: 'Brown shows', remedy: 'Mill on: it carbonises again from there.' }] },
    ),
    own('clean', 'Alcohol', 5, () => `${aidCode(work, 'wipe')} and a brush, dry with clean air.`, {
      hold: { kind: 'countdown', label: 'Alcohol drying', minutes: flashMinutes(work, 'wipe') },
    }),
    own(
      'dam',
      'Dam below, formers in',
      12,
      () =>
        `Tape below, pressed tight. ${pins(work) > 0 ? `${pins(work)} spare legs, waxed, stand where the holes were.` : 'No hole to form.'}`,
      {
        figures: ['pins'],
        wrong: [
          { sign: 'It creeps under the tape', remedy: 'Press again, let the first pass be thin.' },
        ],
      },
    ),
    gate(work),
    ...mixSteps(work),
    build(
      'passes',
      'Fill in passes',
      placeAll(work) + (passes(work)?.totalSeconds ?? 0) / 60 + work.survey.damages.length * 4,
      () => {
        const lamp = passes(work);
        return lamp
          ? `${lamp.passes} ${lamp.passes === 1 ? 'pass' : 'passes'} to ${mm(work.buildMm)}: fill no deeper than it cures, ${seconds(lamp.secondsPerPass)} of lamp each. Goggles for the lamp, everybody.`
          : `Fill to ${mm(work.buildMm)}, level.`;
      },
      {
        figures: ['passes', 'passSeconds', 'lampSeconds'],
        wrong: [
          { sign: 'A bubble', remedy: 'A needle, before the lamp.' },
          {
            sign: 'Soft below',
            remedy: 'Too deep a pass or a weak lamp: mill it out, thinner passes.',
          },
        ],
      },
    ),
    leave(work),
    during(
      'formers',
      'handle',
      'Ease the formers out',
      8,
      () => 'Warm the legs with the iron for a second, turn, draw. Tape off.',
    ),
    lookAndTap('Level both faces, no bubble, no amber. A pick leaves no mark.', [
      { sign: 'A pick marks it', remedy: 'More lamp from both faces; still soft: mill it out.' },
    ]),
    inspect(
      'insulation',
      'Insulation',
      10,
      () =>
        'Track to track, and across the fill, at the maker’s test voltage. Not on a live board.',
      {
        wrong: [{ sign: 'It leaks', remedy: 'Char is left: mill it out again.' }],
      },
    ),
    inspect(
      'creepage',
      'Creepage',
      5,
      () =>
        'Distance over the surface between bare metal, as the maker made it or more; lacquer back on.',
    ),
    inspect(
      'function',
      'Try it',
      15,
      () => 'On a current-limited supply first, then in its place, watched through one full cycle.',
    ),
    tidy(work),
  ],
  needs: (work) => [
    { kind: 'aid', use: 'wipe', for: 'the milled place', areaMm2: work.demand.prepMm2 * 10 },
    {
      kind: 'plain',
      id: 'tape',
      name: 'Heat-proof tape',
      for: 'the dam',
      amount: 1,
      quantity: 'count',
    },
    ...(pins(work) > 0
      ? [
          {
            kind: 'plain' as const,
            id: 'legs',
            name: 'Spare component legs',
            for: 'forming the holes',
            amount: pins(work),
            quantity: 'count' as const,
          },
        ]
      : []),
  ],
  figures: (work) => {
    const lamp = passes(work);
    const paths = ['damages.0.depthMm', 'board.lampWcm2'];
    const count = figureOf(
      'pins',
      'Holes to form',
      pins(work),
      'count',
      [line('n', 'holes', 'survey', pins(work), '', 'survey')],
      ['damages.0.pins'],
    );
    if (!lamp) return [count];
    const end = closing(lamp.working);
    return [
      count,
      figureOf('passes', 'Passes', lamp.passes, 'count', end('n', 'passes', lamp.passes), paths),
      figureOf(
        'passSeconds',
        'Lamp a pass',
        lamp.secondsPerPass / 60,
        'time',
        end('t', 'lamp a pass', lamp.secondsPerPass / 60, 'min'),
        paths,
      ),
      figureOf(
        'lampSeconds',
        'Lamp in all',
        lamp.totalSeconds / 60,
        'time',
        end('T', 'lamp in all', lamp.totalSeconds / 60, 'min'),
        paths,
      ),
    ];
  },
  removal: () => ['Mill it out again; a new board is the lasting answer.'],
  cautions: ['lamp', 'discharge', 'board'],
  nextLookDays: { lasting: 180, stopgap: 30 },
});
