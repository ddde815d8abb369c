import type { WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { defineMethod } from './method';
import { hardness, inspect, lookAndTap, pressureSteps, thickness, tidy } from './parts/accept';
import { coatSteps, strikes } from './parts/build';
import { leave, postCure } from './parts/cure';
import { mixSteps } from './parts/mix';
import { gradeMinutes } from './parts/pace';
import {
  approval,
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

type Work = WorkUp<SurveyOf<'F2'>>;

/** Whether the damage runs round an axis: a former then closes on it. */
const isRound = ({ survey }: Work) =>
  survey.damages.some((d) => d.shape === 'seat' || d.shape === 'bore');
/** A lining so thin that it is measured, and tested for pinholes. */
const THIN_MM = 1.5;
const isLining = (work: Work) => work.buildMm <= THIN_MM && work.coats > 1;

const openUp = (work: Work) => {
  const edge = mm(work.card.layer.minEdgeMm);
  return own(
    'open-up',
    'Cut the edge square',
    gradeMinutes(work) * 0.7,
    () => `Cut back to sound metal. Edge square, ${edge} deep or more all round: no feather edge.`,
    {
      hold: {
        kind: 'reading',
        label: 'Edge depth',
        quantity: 'length',
        min: work.card.layer.minEdgeMm,
        max: null,
      },
      figures: ['minEdge'],
      wrong: [{ sign: 'Edge runs out to nothing', remedy: `Undercut it to ${edge}.` }],
    },
  );
};

const sweat = () =>
  own(
    'salts',
    'Sweat out the salts',
    90,
    () =>
      'Warm the casting slowly until oil and salt sweat out, wipe, let it cool, then clean again. Repeat until nothing comes.',
    {
      wrong: [
        { sign: 'Dark patches come back', remedy: 'Warm and clean once more before going on.' },
      ],
    },
  );

const reblast = (work: Work) =>
  own(
    're-blast',
    'Blast again after the sweating',
    gradeMinutes(work) / 2,
    () => 'The heat has brought scale and salt to the surface: blast once more to the same grade.',
  );

const engineered = ({ bodies }: Work) =>
  bodies.some(({ body }) => body.remainingMm !== null && body.remainingMm < 3);

export const rebuildMethod = defineMethod({
  family: 'F2',
  steps: (work: Work) => [
    isolate(work, { text: 'Drain and flush it. Entry permit where a person goes in.' }),
    ...(engineered(work)
      ? [
          approval(
            'wall-approval',
            'pressure-engineer',
            'Under 3 mm of wall is left: the lining must not be the wall.',
          ),
        ]
      : []),
    ...removeOld(work),
    degrease(work),
    openUp(work),
    ...(work.survey.parent.salts ? [sweat()] : []),
    gradeStep(work, work.site.extentMm),
    ...(work.survey.parent.salts ? [reblast(work)] : []),
    mask(work.site.extentMm),
    release(
      work,
      isRound(work)
        ? 'the former, the keyway, and all threads'
        : 'studs, bores and faces that must come apart',
    ),
    wipe(work),
    gate(work),
    ...mixSteps(work),
    ...coatSteps(work, {
      first:
        'Scrub a thin wetting coat hard into the profile with a stiff brush. Without waiting, build on it,',
      last: isRound(work)
        ? 'Close the former square.'
        : strikes(work)
          ? 'Strike it flush to the template while soft; pull the tape while wet.'
          : 'Leave it proud by the overfill, pull the tape while wet.',
    }),
    leave(work),
    ...postCure(work),
    lookAndTap(),
    ...hardness(work),
    ...(isLining(work)
      ? [
          thickness(
            work.buildMm,
            5,
            'Dry film gauge, five places or more, the thin edges among them.',
          ),
          inspect(
            'holiday',
            'Holiday test',
            15,
            () =>
              'Wet sponge under half a millimetre, high voltage over it; the material maker’s most governs. No spark, no bell.',
            {
              figures: ['holiday'],
              wrong: [
                { sign: 'It sparks', remedy: 'Mark, abrade, touch up in two coats, test again.' },
              ],
            },
          ),
        ]
      : []),
    ...(work.survey.parent.machined
      ? [
          inspect(
            'machine',
            'Machine to size',
            60,
            () =>
              'Cut to the finished size. Speeds and feeds are the machinist’s. Wet, or with extraction.',
          ),
        ]
      : strikes(work)
        ? []
        : [
            inspect(
              'dress',
              'Dress it',
              20,
              () => 'Grind flush to the template. Dust off, mask on.',
            ),
          ]),
    ...pressureSteps(work),
    tidy(work),
  ],
  needs: (work) => [
    { kind: 'aid', use: 'degreaser', for: 'the damage and round it', areaMm2: work.demand.prepMm2 },
    {
      kind: 'aid',
      use: 'release',
      for: 'what must come apart',
      areaMm2: work.demand.prepMm2 / 2,
      coats: 2,
    },
    { kind: 'aid', use: 'wipe', for: 'the prepared metal', areaMm2: work.demand.prepMm2 },
  ],
  removal: () => [
    'Grind it off, or warm it over its heat limit and chisel it away in pieces.',
    'Machine a seat back to the parent.',
  ],
  nextLookDays: { lasting: 90, stopgap: 7 },
});
