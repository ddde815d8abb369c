import { line } from '../../calc/calc';
import { beltPatch } from '../../geometry/beltPatch';
import { m, minutes, mm, q } from '../../message/message';
import { returnToService, hardness, lookAndTap } from '../../methods/accept';
import { cleanTools, mainSpec } from '../../methods/build';
import { leave } from '../../methods/cure';
import { filmRound } from '../../methods/film';
import { mixSteps, mixTouch } from '../../methods/mix';
import { isHumid } from '../../methods/pace';
import { isolate, protect, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import { degrease, degreaserNeed, gradeStep } from '../../methods/prep';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import { figureOf } from '../../work/figure';
import { timeTo, type Round } from '../../work/round';
import type { After, StepDraft } from '../../work/step';
import type { Work } from '../../work/work';
import type { Method } from '../../family/family';
import { beltHole, COVER_MM, LAP_MM, type BeltSurvey } from './survey';

const stepIds = [
  'cut',
  'back',
  'dam',
  'condition',
  'pour',
  'cover',
  'cement-1',
  'cement-2',
  'strip',
  'stitch',
  'tack-free',
  'run',
] as const;
const step = stepsOf(stepIds);
type W = Work<BeltSurvey>;

const LOOK_DAYS = { lasting: 30, stopgap: 3 };
/** Shares of the placing time: the hole first, then the cover. */
const POUR = { hole: 0.6, cover: 0.4 };
/** Minutes to lay and stitch one strip. */
const STRIP_MIN = 6;
const STITCH_MIN = 4;
/** Thinner than this it levels by itself and is poured; what stands on a wall is trowelled, mm. */
const STANDS_MM = 5;

const isSheet = ({ card }: W) => card.packUnit === 'piece';
const through = ({ survey }: W) => survey.damages.filter((d) => d.shape !== 'gouge').length;
const patches = ({ survey }: W) =>
  survey.damages.map((d) =>
    beltPatch({
      hole: beltHole(d),
      throughMm: d.shape === 'gouge' ? d.depthMm : d.beltMm,
      lapMm: LAP_MM,
      coverMm: COVER_MM,
      through: d.shape !== 'gouge',
      wastePct: 0,
    }),
  );

/** The conditioner flashes off, longer in humid air, and is covered within its open time. */
const flashed = (work: W, round: Round): After => {
  const flash = timeTo(round, 'tackFree', 0);
  return {
    round: round.id,
    at: 'tackFree',
    until: 'overcoatCloses',
    leastMin: flash?.ok && isHumid(work) ? flash.minutes * 2 : 0,
    missed: 'condition',
    why: m('Conditioner: flashed off, and still open.'),
  };
};

function pourSteps(work: W, main: Round, after: After): StepDraft[] {
  const stands = work.card.layer.maxMm.vertical > STANDS_MM;
  return [
    ...mixSteps(work, main, [after]),
    step.touch(
      main,
      'pour',
      stands ? 'Trowel the hole' : 'Pour the hole',
      m('The hole first, from the bottom, in one place, so that the air leaves. Fill it level.'),
      {
        people: 1,
        figures: ['holeMl', 'coverMl'],
        wrong: [wrong('Bubbles rise', 'Prick them while it flows.')],
      },
    ),
    step.touch(
      main,
      'cover',
      'Carry it past, feather',
      m(
        '{cover} over the hole, down to nothing {lap} past it all round. Then leave it alone: it levels by itself.',
        { cover: mm(COVER_MM), lap: mm(LAP_MM) },
      ),
      {
        people: 1,
        wrong: [wrong('It pulls strings', 'Its flow is over: stop, bin what is left.')],
      },
    ),
  ];
}

export const method: Method<BeltSurvey> = {
  stepIds,
  figureIds: ['holeMl', 'coverMl', 'strips', 'conditioned'],
  schools: [],
  cautions: ['rubber-dust', 'moving'],
  nextLookDays: LOOK_DAYS,
  removal: (work) => [
    isSheet(work)
      ? m('Cut along the edge, grip, peel back hard; grind the cement off.')
      : m('Cut round it, peel it, grind to the belt’s own rubber.'),
    m('When a splice is made it goes with the old length.'),
  ],
  draft: (work) => {
    const { survey, demand, card } = work;
    const made = patches(work);
    const sum = (of: (p: (typeof made)[number]) => number) => made.reduce((s, p) => s + of(p), 0);
    const primed = sum((p) => p.primerAreaMm2);
    const covers = work.covers?.ok ? work.covers.covers : [];
    const strips = covers.reduce((s, c) => s + c.strips, 0);
    const conditioner = filmRound(work, {
      id: 'conditioner',
      purpose: 'conditioner',
      title: m('Conditioner'),
      areaMm2: primed,
      touch: 'condition',
      need: { under: card },
    });
    const cemented = covers.reduce(
      (s, c) => s + 2 * c.strips * c.stripWidthMm * (card.sheet?.lengthMm ?? 0),
      0,
    );
    const cement = (n: 1 | 2) =>
      work.round(
        mainSpec(work, {
          id: `cement-${n}`,
          purpose: 'cement',
          title: m('Cement, coat {n}', { n }),
          netMl: (cemented * (card.wetFilmUm ?? 150)) / 1e6,
          areaMm2: 0,
          pieces: 0,
          buildMm: (card.wetFilmUm ?? 150) / 1000,
          working: undefined,
          touches: [mixTouch(card), { name: `cement-${n}`, placing: 1 }],
          needed: n === 2 ? demand.needed : null,
        }),
      );
    const sheet = isSheet(work) ? { first: cement(1), second: cement(2) } : null;
    const strip = sheet
      ? work.round(
          mainSpec(work, {
            id: 'main',
            purpose: 'cover',
            title: m('Strip'),
            netMl: 0,
            areaMm2: 0,
            pieces: covers.reduce((s, c) => s + c.sheets, 0),
            working: undefined,
            touches: [],
            needed: null,
          }),
        )
      : null;
    const main = sheet
      ? null
      : work.round(
          mainSpec(work, {
            id: 'main',
            purpose: 'fill',
            title: m('Rubber'),
            areaMm2: 0,
            touches: [
              mixTouch(card),
              { name: 'pour', placing: POUR.hole },
              { name: 'cover', placing: POUR.cover },
            ],
          }),
        );
    const last = sheet?.second ?? (main as Round);
    const ready = [notBefore(last, demand.needed)];
    const { slopeDeg } = survey.belt;
    const holes = through(work);
    const after = flashed(work, conditioner);
    return {
      rounds: [
        conditioner,
        ...(sheet ? [sheet.first, sheet.second] : []),
        ...(strip ? [strip] : []),
        ...(main ? [main] : []),
      ],
      steps: [
        isolate(work, {
          minutes: 10,
          extra: m('Belt stopped, locked, run-back held; the load off the place.'),
        }),
        protect(work),
        ...removeOld(work),
        step.prep(
          'cut',
          'open-up',
          'Cut it clean',
          8 * survey.damages.length,
          sheet
            ? m('Round the corners of the rip. Skive the edges: a slope, no step, no cord cut.')
            : m('Cut loose rubber away to a round edge. No cord is cut.'),
        ),
        degrease(work),
        gradeStep(work, LAP_MM, {
          extra: m('Coarse, low speed, to a matt nap. Do not smear: a smear is burnt rubber.'),
        }),
        step.prep(
          'dust-off',
          'dust-off',
          'Brush it dry',
          3,
          m(
            'Brush the dust off dry. No solvent now, no hand: from here nothing greasy touches it.',
          ),
        ),
        ...(holes > 0 && !sheet
          ? [
              step.prep(
                'back',
                'dam',
                'Back the hole',
                5 * holes,
                m(
                  'A smooth plate under film, pressed up hard from behind: it keeps the rubber in and lets the air out at the top.',
                ),
                { uses: ['backing'] },
              ),
            ]
          : []),
        ...(slopeDeg > 0 && !sheet
          ? [
              step.prep(
                'dam',
                'dam',
                'Dam the low side',
                5 * survey.damages.length,
                m(
                  'The belt lies at {deg}°: a strip of putty on the low side, {high} high, higher than the cover.',
                  { deg: slopeDeg, high: mm(COVER_MM + 5) },
                ),
                { uses: ['dam'] },
              ),
            ]
          : []),
        ...beforeMixing(work),
        ...mixSteps(work, conditioner),
        step.touch(
          conditioner,
          'condition',
          'Condition',
          m(
            '{card} thin over the buffed rubber, {amount}. {flash} to flash off{humid, select, yes {: the air is humid, so twice its time} other {}}.',
            {
              card: conditioner.card.code,
              amount: q(conditioner.mixMl, 'volume'),
              flash: minutes(
                Math.max(('leastMin' in after ? after.leastMin : 0) ?? 0, flashOf(conditioner)),
              ),
              humid: isHumid(work) ? 'yes' : 'no',
            },
          ),
          {
            people: 1,
            figures: ['round.conditioner.total', 'cure.conditioner.tackFree'],
            wrong: [wrong('Left over its time', 'Buff lightly, dust off, condition again.')],
          },
        ),
        ...(sheet && strip
          ? [
              ...mixSteps(work, sheet.first, [after]),
              step.touch(
                sheet.first,
                'cement-1',
                'First coat of cement',
                m('Thin, on belt and strip, brushed into the nap. Left until it is dry.'),
                { people: 1, figures: ['round.cement-1.total'] },
              ),
              ...mixSteps(work, sheet.second, [
                {
                  round: sheet.first.id,
                  at: 'tackFree',
                  until: 'overcoatCloses',
                  missed: 'condition',
                  why: m('First coat dry, and still live.'),
                },
              ]),
              step.touch(
                sheet.second,
                'cement-2',
                'Second coat',
                m('The same again; touch-dry means it pulls no string to the knuckle.'),
                { people: 1, figures: ['round.cement-2.total'] },
              ),
              step.build(
                strip,
                'strip',
                'place',
                'Lay the strip',
                STRIP_MIN * strips,
                m(
                  '{n, plural, one {One strip} other {# strips}}, {width} wide, {margin} past the rip each side. From one end, film drawn off as it goes: it cannot be moved once it touches.',
                  {
                    n: strips,
                    width: mm(covers[0]?.stripWidthMm ?? 0),
                    margin: mm(covers[0]?.marginGotMm ?? 0),
                  },
                ),
                {
                  people: 2,
                  figures: ['strips'],
                  uses: () => [card.code],
                  after: [
                    {
                      round: sheet.second.id,
                      at: 'tackFree',
                      until: 'overcoatCloses',
                      missed: 'condition',
                      why: m('Cement touch-dry, inside its open time.'),
                    },
                  ],
                  wrong: [wrong('A fold', 'Cut it out and inlay a piece, edges skived.')],
                },
              ),
              step.build(
                strip,
                'stitch',
                'place',
                'Stitch it down',
                STITCH_MIN * strips,
                m('Roller from the centre out, hard, every line over the last: no air is left.'),
                {
                  wrong: [wrong('A blister', 'Prick it, stitch it down.')],
                },
              ),
            ]
          : pourSteps(work, main as Round, after)),
        cleanTools(last),
        leave(work, last, m('The belt stands.')),
        step.during(
          last,
          'tack-free',
          'tackFree',
          'Is it tack-free',
          2,
          m('A clean glove comes away clean. Then the backing comes off.'),
        ),
        lookAndTap(
          ready,
          'No bubbles, no open edge, feathered to nothing. It bends with the belt and does not lift.',
          [wrong('An edge lifts', 'Cut it back to where it holds, buff, condition, fill.')],
        ),
        ...hardness(work),
        step.inspect(
          'run',
          'Run it slow',
          10,
          m(
            'Once round, empty and slow, past scraper and rollers; watch the place come by. Then with load.',
          ),
          {
            after: ready,
            wrong: [
              wrong('The scraper catches', 'Stop. Grind the edge down, lower the scraper’s press.'),
            ],
          },
        ),
        ...returnToService(work, LOOK_DAYS[survey.intent]),
      ],
      needs: [
        degreaserNeed(work, m('the belt round the hole')),
        ...(holes > 0 && !sheet
          ? [
              {
                kind: 'plain' as const,
                id: 'backing',
                name: 'Backing plate and film',
                for: m('behind the hole'),
                amount: holes,
                quantity: 'count' as const,
              },
            ]
          : []),
        ...(slopeDeg > 0 && !sheet
          ? [
              {
                kind: 'plain' as const,
                id: 'dam',
                name: 'Dam putty',
                for: m('the low side'),
                amount: survey.damages.length,
                quantity: 'count' as const,
              },
            ]
          : []),
        ...heldNeeds(work),
      ],
      figures: () => {
        const paths = work.bodies.flatMap((b) => b.body.paths);
        const lines = made.flatMap((p) => p.working);
        const ofPatch = (
          id: string,
          label: string,
          symbol: string,
          of: (p: (typeof made)[number]) => number,
        ) =>
          figureOf(
            id,
            label,
            sum(of),
            'volume',
            [...lines, line(symbol, label.toLowerCase(), 'from above', sum(of), 'ml')],
            paths,
          );
        return [
          ofPatch('holeMl', 'In the hole', 'Vh', (p) => p.holeMl),
          ofPatch('coverMl', 'In the cover', 'Vc', (p) => p.coverMl),
          figureOf(
            'conditioned',
            'Conditioned',
            primed,
            'area',
            [...lines, line('A', 'conditioned', 'from above', primed, 'mm²')],
            paths,
          ),
          ...(covers.length > 0
            ? [
                figureOf(
                  'strips',
                  'Strips',
                  strips,
                  'count',
                  [
                    ...covers.map((c) =>
                      line('n', 'strips', 'length and margins over the sheet', c.strips),
                    ),
                    line('n', 'strips', 'in all', strips),
                  ],
                  paths,
                ),
              ]
            : []),
        ];
      },
    };
  },
};

const flashOf = (round: Round): number => {
  const at = timeTo(round, 'tackFree', 0);
  return at?.ok ? at.minutes : 0;
};
