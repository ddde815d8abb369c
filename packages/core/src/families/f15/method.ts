import { line } from '../../calc/calc';
import { uvPasses } from '../../film/uvPasses';
import { joined, m, minutes, mm } from '../../message/message';
import { returnToService, lookAndTap } from '../../methods/accept';
import { cleanTools, mainSpec } from '../../methods/build';
import { leave } from '../../methods/cure';
import { mixSteps, mixTouch } from '../../methods/mix';
import { flashMinutes, gradeMinutes } from '../../methods/pace';
import { approval, coverFirst, isolate, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import { closing, figureOf } from '../../work/figure';
import { aidName } from '../../work/aids';
import type { Work } from '../../work/work';
import type { Method } from '../../family/family';
import type { BoardSurvey } from './survey';

const stepIds = [
  'parts',
  'mill',
  'formers-in',
  'passes',
  'formers',
  'insulation',
  'creepage',
  'function',
] as const;
const step = stepsOf(stepIds);
type W = Work<BoardSurvey>;

const LOOK_DAYS = { lasting: 180, stopgap: 30 };
/** Setting up the lamp over one burn, minutes for each pass. */
const LAMP_SET_MIN = 2;
/** The area cleaned with alcohol, as a multiple of the milled area. */
const WIPE_TIMES = 10;

const pins = ({ survey }: W) => survey.damages.reduce((s, d) => s + d.pins, 0);
/** Lamp passes for each burn, and the seconds of each; null if it needs no lamp. */
const lamps = ({ card, survey }: W) => {
  const { mix } = card;
  if (mix.kind !== 'light-cured') return null;
  return survey.damages.map((d) =>
    uvPasses({
      depthMm: d.depthMm,
      depthPerPassMm: mix.depthPerPassMm,
      doseJcm2: mix.doseJcm2,
      irradianceWcm2: survey.board.lampWcm2,
      filler: mix.filler,
    }),
  );
};

export const method: Method<BoardSurvey> = {
  stepIds,
  figureIds: ['pins', 'passes', 'passSeconds', 'lampSeconds'],
  schools: [],
  cautions: ['lamp', 'discharge'],
  nextLookDays: LOOK_DAYS,
  removal: () => [m('Mill it out again; a new board is the lasting answer.')],
  draft: (work) => {
    const { survey, demand } = work;
    const burns = survey.damages.length;
    const lamp = lamps(work);
    const passes = lamp?.reduce((s, l) => s + l.passes, 0) ?? burns;
    const seconds = lamp?.reduce((s, l) => s + l.totalSeconds, 0) ?? 0;
    const each = lamp?.[0]?.secondsPerPass ?? 0;
    const main = work.round(
      mainSpec(work, {
        id: 'main',
        purpose: 'fill',
        title: m('Board resin'),
        areaMm2: 0,
        overfillPct: 0,
        touches: [
          mixTouch(work.card),
          { name: 'passes', placing: 1, spread: seconds / 60 + passes * LAMP_SET_MIN },
        ],
      }),
    );
    const ready = [notBefore(main, demand.needed)];
    return {
      rounds: [main],
      steps: [
        ...(survey.board.mains
          ? [
              approval(
                'electronics-shop',
                m('Mains on this part: creepage and clearance must come back to the maker’s.'),
              ),
            ]
          : []),
        isolate(work, { extra: m('Unplugged; capacitors discharged and proved; wrist strap on.') }),
        step.prep(
          'photo',
          'look',
          'Draw it first',
          10,
          joined([
            coverFirst(work),
            m(
              'Every part, track and colour near the burn, photographed with a rule and drawn: it is built back from that.',
            ),
          ]),
          {
            hold: { kind: 'photo', label: m('The board before, with a rule') },
          },
        ),
        step.prep(
          'parts',
          'open-up',
          'Parts out',
          15 * burns,
          m('Burnt parts and those in the way out; why it burnt is found and put right first.'),
        ),
        ...removeOld(work),
        step.prep(
          'mill',
          'abrade',
          'Mill out the char',
          gradeMinutes(work),
          m(
            'Small burr, until the laminate is its own colour: char conducts. Edges stepped. With extraction and a mask.',
          ),
          {
            wrong: [wrong('Brown shows', 'Mill on: it carbonises again from there.')],
          },
        ),
        step.prep(
          'dust-off',
          'dust-off',
          'Dust off',
          3,
          m('Soft brush and vacuum, no rag: dust under the fill is a path.'),
        ),
        step.prep(
          'wipe',
          'wipe',
          'Alcohol',
          5,
          m('{aid} and a brush, {flash} to dry, clean air.', {
            aid: aidName(work, 'wipe'),
            flash: minutes(flashMinutes(work, 'wipe')),
          }),
          {
            hold: {
              kind: 'countdown',
              label: m('Alcohol drying'),
              minutes: flashMinutes(work, 'wipe'),
            },
            uses: ['wipe'],
          },
        ),
        step.prep(
          'formers-in',
          'dam',
          'Dam below, formers in',
          6 * burns + pins(work),
          m(
            'Tape below, pressed tight. {n, plural, =0 {No hole to form.} one {One spare leg, waxed, stands where the hole was.} other {# spare legs, waxed, stand where the holes were.}}',
            { n: pins(work) },
          ),
          {
            figures: ['pins'],
            uses: ['tape', ...(pins(work) > 0 ? ['legs'] : [])],
            wrong: [wrong('It creeps under the tape', 'Press again, let the first pass be thin.')],
          },
        ),
        ...beforeMixing(work),
        ...mixSteps(work, main),
        step.touch(
          main,
          'passes',
          'Fill in passes',
          lamp
            ? m(
                '{n, plural, one {One pass} other {# passes}} in all to {deep}: no deeper than it cures, {each} of lamp each. Goggles for the lamp, everybody.',
                { n: passes, deep: mm(work.buildMm), each: minutes(each / 60) },
              )
            : m('Fill to {deep}, level.', { deep: mm(work.buildMm) }),
          {
            people: 1,
            figures: lamp ? ['passes', 'passSeconds', 'lampSeconds'] : [],
            ...(lamp
              ? { timed: { label: m('Under the lamp'), minutes: each / 60, times: passes } }
              : {}),
            wrong: [
              wrong('A bubble', 'A needle, before the lamp.'),
              wrong('Soft below', 'Too deep a pass or a weak lamp: mill it out, thinner passes.'),
            ],
          },
        ),
        cleanTools(main),
        step.during(
          main,
          'formers',
          'tackFree',
          'Ease the formers out',
          8,
          m(
            'At once, while it is warm: warm the legs with the iron for a second, turn, draw. Tape off.',
          ),
        ),
        leave(work, main),
        lookAndTap(ready, 'Level both faces, no bubble, no amber. A pick leaves no mark.', [
          wrong('A pick marks it', 'More lamp from both faces; still soft: mill it out.'),
        ]),
        step.inspect(
          'insulation',
          'Insulation',
          10,
          m(
            'Track to track, and across the fill, at the maker’s test voltage. Not on a live board.',
          ),
          {
            wrong: [wrong('It leaks', 'Char is left: mill it out again.')],
          },
        ),
        step.inspect(
          'creepage',
          'Creepage',
          5,
          m(
            'Distance over the surface between bare metal, as the maker made it or more; lacquer back on.',
          ),
        ),
        step.inspect(
          'function',
          'Try it',
          15,
          m(
            'On a current-limited supply first, then in its place, watched through one full cycle.',
          ),
          { after: ready },
        ),
        ...returnToService(work, LOOK_DAYS[survey.intent]),
      ],
      needs: [
        {
          kind: 'aid',
          use: 'wipe',
          for: m('the milled place'),
          areaMm2: demand.prepMm2 * WIPE_TIMES,
        },
        {
          kind: 'plain',
          id: 'tape',
          name: 'Heat-proof tape',
          for: m('the dam'),
          amount: burns,
          quantity: 'count',
        },
        ...(pins(work) > 0
          ? [
              {
                kind: 'plain' as const,
                id: 'legs',
                name: 'Spare component legs',
                for: m('forming the holes'),
                amount: pins(work),
                quantity: 'count' as const,
              },
            ]
          : []),
        ...heldNeeds(work),
      ],
      figures: () => {
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
        const end = closing(lamp.flatMap((l) => l.working));
        return [
          count,
          figureOf('passes', 'Passes', passes, 'count', end('n', 'passes', passes), paths),
          figureOf(
            'passSeconds',
            'Lamp a pass',
            each / 60,
            'time',
            end('t', 'lamp a pass', each / 60, 'min'),
            paths,
          ),
          figureOf(
            'lampSeconds',
            'Lamp in all',
            seconds / 60,
            'time',
            end('T', 'lamp in all', seconds / 60, 'min'),
            paths,
          ),
        ];
      },
    };
  },
};
