import { line } from '../calc/calc';
import { beltPatch } from '../geometry/beltPatch';
import { figureOf } from '../plan/figure';
import { aidCode } from '../plan/supplies';
import type { WorkUp } from '../plan/workUp';
import { beltHole, COVER_MM, LAP_MM } from '../survey/f6';
import type { SurveyOf } from '../survey/survey';
import { say } from '../units/format';
import { defineMethod } from './method';
import { fingernail, hardness, inspect, lookAndTap, tidy } from './parts/accept';
import { build, coverIn, placeAll } from './parts/build';
import { during, leave } from './parts/cure';
import { mixSteps } from './parts/mix';
import { flashMinutes, HUMID_PCT, minutesOf } from './parts/pace';
import { degrease, gate, gradeStep, isolate, mm, own, removeOld } from './parts/prep';

type Work = WorkUp<SurveyOf<'F6'>>;

const sheet = ({ card }: Work) => card.packUnit === 'piece';
const through = ({ survey }: Work) => survey.damages.some((d) => d.shape !== 'gouge');
const patches = ({ survey, card }: Work) =>
  survey.damages.map((d) =>
    beltPatch({
      hole: beltHole(d),
      throughMm: d.shape === 'gouge' ? d.depthMm : d.beltMm,
      lapMm: LAP_MM,
      coverMm: COVER_MM,
      through: d.shape !== 'gouge',
      wastePct: card.wastePct,
    }),
  );

const pourSteps = (work: Work) => [
  ...(through(work)
    ? [
        build(
          'back',
          'Back the hole',
          5,
          () =>
            'A smooth plate under film, pressed up hard from behind: it keeps the rubber in and lets the air out at the top.',
        ),
      ]
    : []),
  ...(work.survey.belt.slopeDeg > 0
    ? [
        build(
          'dam',
          'Dam the low side',
          5,
          () =>
            `The belt lies at ${work.survey.belt.slopeDeg}°: a strip of putty on the low side, higher than the cover.`,
        ),
      ]
    : []),
  build(
    'pour',
    work.card.layer.maxMm.vertical > 5 ? 'Trowel the hole' : 'Pour the hole',
    placeAll(work) * 0.6,
    () => 'The hole first, from the bottom, in one place, so that the air leaves. Fill it level.',
    {
      people: 1,
      figures: ['holeMl', 'coverMl'],
      wrong: [{ sign: 'Bubbles rise', remedy: 'Prick them while it flows.' }],
    },
  ),
  build(
    'cover',
    'Carry it past, feather',
    placeAll(work) * 0.4,
    () =>
      `${mm(COVER_MM)} over the hole, down to nothing ${mm(LAP_MM)} past it all round. Then leave it alone: it levels by itself.`,
    {
      people: 1,
      wrong: [{ sign: 'It pulls strings', remedy: 'Its flow is over: stop, bin what is left.' }],
    },
  ),
];

const stripSteps = (work: Work) => [
  build(
    'cement-1',
    'First coat of cement',
    10,
    () => 'Thin, on belt and strip, brushed into the nap. Touch-dry.',
    {
      hold: {
        kind: 'countdown',
        label: 'First coat drying',
        minutes: minutesOf(work.card, 'tackFree', work),
      },
    },
  ),
  build(
    'cement-2',
    'Second coat',
    10,
    () => 'The same again; touch-dry means it pulls no string to the knuckle.',
    {
      hold: {
        kind: 'countdown',
        label: 'Second coat drying',
        minutes: minutesOf(work.card, 'tackFree', work),
      },
    },
  ),
  build(
    'strip',
    'Lay the strip',
    10 + placeAll(work),
    () => {
      const c = coverIn(work);
      return `${c ? `${c.strips} ${c.strips === 1 ? 'strip' : 'strips'}, ${say(c.stripWidthMm, 'length')} wide, ${say(c.marginGotMm, 'length')} past the rip each side. ` : ''}From one end, film drawn off as it goes: it cannot be moved once it touches.`;
    },
    {
      figures: ['strips'],
      wrong: [{ sign: 'A fold', remedy: 'Cut it out and inlay a piece, edges skived.' }],
    },
  ),
  build(
    'stitch',
    'Stitch it down',
    10,
    () => 'Roller from the centre out, hard, every line over the last: no air is left.',
    {
      wrong: [{ sign: 'A blister', remedy: 'Prick it, stitch it down.' }],
    },
  ),
];

export const beltMethod = defineMethod({
  family: 'F6',
  steps: (work: Work) => [
    isolate(work, {
      minutes: 10,
      text: 'Belt stopped, locked, run-back held; the load off the place.',
    }),
    ...removeOld(work),
    own('cut', 'Cut it clean', 8, () =>
      sheet(work)
        ? 'Round the corners of the rip. Skive the edges: a slope, no step, no cord cut.'
        : 'Cut loose rubber away to a round edge. No cord is cut.',
    ),
    degrease(work, { text: 'Until the rubber’s own colour returns.' }),
    gradeStep(work, LAP_MM, {
      text: 'Coarse, to a matt nap. Do not smear: a smear is burnt rubber.',
    }),
    own('brush', 'Brush it dry', 3, () => 'Brush the dust off dry. No solvent now, no hand.'),
    gate(work),
    own(
      'condition',
      'Condition',
      5,
      () =>
        `${aidCode(work, 'conditioner')} thin over the buffed rubber, ${say(flashMinutes(work, 'conditioner'), 'time')} to flash off${
          work.survey.readings.rhPct > HUMID_PCT ? ': the air is humid, so twice its time' : ''
        }.`,
      {
        hold: {
          kind: 'countdown',
          label: 'Flashing off',
          minutes: flashMinutes(work, 'conditioner'),
        },
        figures: ['supply.conditioner'],
        wrong: [{ sign: 'Left over its time', remedy: 'Buff lightly, condition again.' }],
      },
    ),
    ...(sheet(work) ? [] : mixSteps(work)),
    ...(sheet(work) ? stripSteps(work) : pourSteps(work)),
    leave(work, 'The belt stands.'),
    during(
      'tack',
      'tackFree',
      'Is it tack-free',
      2,
      () => 'A clean glove comes away clean. Then the backing comes off.',
    ),
    lookAndTap(
      'No bubbles, no open edge, feathered to nothing. It bends with the belt and does not lift.',
      [{ sign: 'An edge lifts', remedy: 'Cut it back to where it holds, buff, condition, fill.' }],
    ),
    ...hardness(work),
    ...(work.card.service.hardness ? [] : [fingernail(work)]),
    inspect(
      'run',
      'Run it slow',
      10,
      () =>
        'Once round, empty and slow, past scraper and rollers; watch the place come by. Then with load.',
      {
        wrong: [
          {
            sign: 'The scraper catches',
            remedy: 'Stop. Grind the edge down, lower the scraper’s press.',
          },
        ],
      },
    ),
    tidy(work),
  ],
  needs: (work) => [
    { kind: 'aid', use: 'degreaser', for: 'the belt round the hole', areaMm2: work.demand.prepMm2 },
    {
      kind: 'aid',
      use: 'conditioner',
      for: 'the buffed rubber',
      areaMm2: patches(work).reduce((sum, p) => sum + p.primerAreaMm2, 0),
    },
    ...(through(work) && !sheet(work)
      ? [
          {
            kind: 'plain' as const,
            id: 'backing',
            name: 'Backing plate and film',
            for: 'behind the hole',
            amount: 1,
            quantity: 'count' as const,
          },
        ]
      : []),
  ],
  figures: (work) => {
    const made = patches(work);
    const paths = work.bodies.flatMap((b) => b.body.paths);
    const sum = (of: (p: (typeof made)[number]) => number) => made.reduce((s, p) => s + of(p), 0);
    const lines = made.flatMap((p) => p.working);
    const c = coverIn(work);
    return [
      figureOf(
        'holeMl',
        'In the hole',
        sum((p) => p.holeMl),
        'volume',
        [
          ...lines,
          line(
            'Vh',
            'in the holes',
            'from above',
            sum((p) => p.holeMl),
            'ml',
          ),
        ],
        paths,
      ),
      figureOf(
        'coverMl',
        'In the cover',
        sum((p) => p.coverMl),
        'volume',
        [
          ...lines,
          line(
            'Vc',
            'in the covers',
            'from above',
            sum((p) => p.coverMl),
            'ml',
          ),
        ],
        paths,
      ),
      ...(c
        ? [
            figureOf(
              'strips',
              'Strips',
              c.strips,
              'count',
              [...c.working, line('n', 'strips', 'from above', c.strips)],
              paths,
            ),
          ]
        : []),
    ];
  },
  removal: (work) => [
    sheet(work)
      ? 'Cut along the edge, grip, peel back hard; grind the cement off.'
      : 'Cut round it, peel it, grind to the belt’s own rubber.',
    'When a splice is made it goes with the old length.',
  ],
  cautions: ['rubber-dust', 'moving'],
  nextLookDays: { lasting: 30, stopgap: 3 },
});
