import { m, mm } from '../../message/message';
import {
  returnToService,
  hardness,
  holidayTest,
  holidayVolts,
  lookAndTap,
  pressureFigures,
  pressureSteps,
  thickness,
} from '../../methods/accept';
import { cleanTools, coatRounds, coatSteps, isStruckFlush } from '../../methods/build';
import { leave } from '../../methods/cure';
import { mixTouch } from '../../methods/mix';
import { gradeMinutes } from '../../methods/pace';
import { approval, isolate, protect, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import {
  degrease,
  degreaserNeed,
  dustOff,
  gradeStep,
  mask,
  release,
  sweat,
  wipe,
  wipeNeed,
} from '../../methods/prep';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import { endingIn, figureOf } from '../../work/figure';
import type { Work } from '../../work/work';
import type { Method } from '../../family/family';
import type { RebuildSurvey } from './survey';

const stepIds = ['open-up', 'close-former', 'machine'] as const;
const step = stepsOf(stepIds);
type W = Work<RebuildSurvey>;

const LOOK_DAYS = { lasting: 90, stopgap: 7 };
/** A lining below this thickness is measured and tested for pinholes, mm. */
const THIN_MM = 1.5;
/** Below this wall thickness the paste would carry pressure, mm. */
const THIN_WALL_MM = 3;
/** Minutes to close a former round one seat. */
const CLOSE_MIN = 4;

/** Whether the damage runs round an axis: it is shaped by a former or by machining. */
const isRound = ({ survey }: W) =>
  survey.damages.some((d) => d.shape === 'seat' || d.shape === 'bore');
const isLining = (work: W) => work.buildMm <= THIN_MM && work.coats > 1;
const engineered = ({ bodies }: W) =>
  bodies.some(({ body }) => body.remainingMm !== null && body.remainingMm < THIN_WALL_MM);
/** Old castings absorb salt and oil: heat drives both out. */
const drank = ({ survey }: W) =>
  survey.parent.salts ||
  survey.parent.skin === 'oil-soaked' ||
  (survey.parent.material === 'cast-iron' && survey.service.medium === 'oil');

export const method: Method<RebuildSurvey> = {
  stepIds,
  figureIds: [],
  schools: ['proud'],
  cautions: [],
  nextLookDays: LOOK_DAYS,
  removal: () => [
    m('Grind it off, or warm it over its heat limit and chisel it away in pieces.'),
    m('Machine a seat back to the parent.'),
  ],
  draft: (work) => {
    const { survey, site, card, demand } = work;
    const edge = card.layer.minEdgeMm;
    const { machined } = survey.parent;
    const formed = isRound(work) && !machined;
    const rounds = coatRounds(work, {
      touches: [
        mixTouch(card),
        { name: 'place', placing: 1 },
        ...(formed ? [{ name: 'close-former', fixed: CLOSE_MIN }] : []),
      ],
    });
    const last = rounds[rounds.length - 1] as (typeof rounds)[number];
    const ready = [notBefore(last, demand.needed)];
    const coats = coatSteps(work, rounds, {
      first: m(
        'Scrub a thin wetting coat hard into the profile with a stiff brush. Without waiting, build on it,',
      ),
      last: formed
        ? undefined
        : machined
          ? m('Leave {allowance} on for the tool.', { allowance: mm(site.machiningMm) })
          : isStruckFlush(work)
            ? m('Strike it flush to the template while soft; pull the tape while wet.')
            : m('Leave it proud by {over} %, pull the tape while wet.', { over: site.overfillPct }),
    });
    // The former closes on each coat while it is wet, within its working life.
    const built = formed
      ? coats.flatMap((s) =>
          s.name === 'place' && s.round
            ? [
                s,
                step.touch(
                  rounds.find((r) => r.id === s.round?.id) ?? last,
                  'close-former',
                  'Close the former',
                  m('Close it square round the seat, squeeze-out all round; trim it.'),
                ),
              ]
            : [s],
        )
      : coats;
    const grinds = !machined && !formed && !isStruckFlush(work);
    return {
      rounds,
      steps: [
        ...(engineered(work)
          ? [
              approval(
                'pressure-engineer',
                m('Under {least} of wall is left: the lining must not be the wall.', {
                  least: mm(THIN_WALL_MM),
                }),
              ),
            ]
          : []),
        isolate(work, { extra: m('Drain and flush it. Entry permit where a person goes in.') }),
        protect(work),
        ...removeOld(work),
        degrease(work),
        step.prep(
          'open-up',
          'open-up',
          'Cut the edge square',
          gradeMinutes(work) * 0.7,
          m(
            'Cut back to sound metal. Edge square, {edge} deep or more all round: no feather edge.',
            { edge: mm(edge) },
          ),
          {
            sparks: survey.site.area === 'safe',
            hold: {
              kind: 'reading',
              label: m('Edge depth'),
              quantity: 'length',
              min: edge,
              max: null,
            },
            figures: ['minEdge'],
            wrong: [
              wrong('Edge runs out to nothing', m('Undercut it to {edge}.', { edge: mm(edge) })),
            ],
          },
        ),
        ...(drank(work) ? [sweat()] : []),
        gradeStep(work, site.extentMm, {
          extra:
            drank(work) && m('Blast again after the sweating: the heat brings scale and salt up.'),
        }),
        dustOff(),
        ...release(
          work,
          formed
            ? m('the former, the keyway, and all threads')
            : m('studs, bores and faces that must come apart'),
        ),
        mask(site.extentMm),
        wipe(work),
        ...beforeMixing(work),
        ...built,
        cleanTools(last),
        leave(work, last),
        lookAndTap(ready),
        ...hardness(work),
        ...(machined
          ? [
              step.inspect(
                'machine',
                'Machine to size',
                60,
                m(
                  'Cut to the finished size. Speeds and feeds are the machinist’s. Wet, or with extraction.',
                ),
                {
                  does: 'finish',
                  after: card.cure.milestones.machine ? [notBefore(last, 'machine')] : [],
                },
              ),
            ]
          : grinds
            ? [
                step.inspect(
                  'dress',
                  'Grind it flush',
                  20,
                  m('Grind flush to the template. Mask on. Then dust off and wipe.'),
                  {
                    does: 'finish',
                    sparks: true,
                  },
                ),
              ]
            : []),
        ...(isLining(work)
          ? [
              thickness(
                work.buildMm,
                5,
                m('Dry film gauge, five places or more, {target}; the thin edges among them.', {
                  target: mm(work.buildMm),
                }),
              ),
              holidayTest(work.buildMm),
            ]
          : []),
        ...pressureSteps(work, ready),
        ...returnToService(work, LOOK_DAYS[survey.intent]),
      ],
      needs: [
        degreaserNeed(work, m('the damage and round it')),
        {
          kind: 'aid',
          use: 'release',
          for: m('what must come apart'),
          areaMm2: demand.prepMm2 / 2,
          coats: 2,
        },
        wipeNeed(work, m('the prepared metal')),
        ...heldNeeds(work),
      ],
      figures: () => {
        const { volts, working } = holidayVolts(work.buildMm);
        return [
          ...pressureFigures(work),
          ...(isLining(work) && volts !== null
            ? [figureOf('holiday', 'Holiday test, volts', volts, 'count', endingIn(working, 'V'))]
            : []),
        ];
      },
    };
  },
};
