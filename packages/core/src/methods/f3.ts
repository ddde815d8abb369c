import { line } from '../calc/calc';
import { clearanceBuild } from '../geometry/clearanceBuild';
import { BOND_SHARE, bondHolds } from '../plan/bond';
import { figureOf, type Figure } from '../plan/figure';
import { helperCode } from '../plan/supplies';
import type { WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { say } from '../units/format';
import { defineMethod } from './method';
import { hardness, inspect, lookAndTap, tidy } from './parts/accept';
import { build, coatSteps } from './parts/build';
import { during, leave } from './parts/cure';
import { mixSteps } from './parts/mix';
import {
  degrease,
  gate,
  gradeStep,
  isolate,
  mm,
  own,
  protect,
  removeOld,
  wipe,
} from './parts/prep';

type Work = WorkUp<SurveyOf<'F3'>>;

/** Proof load over the load in service. */
const PROOF = 1.25;
/** Volume of tack adhesive and powder along a break, mm² of bead. */
const BEAD_MM2 = 6;

const envelope = ({ survey, site }: Work) =>
  clearanceBuild({
    stations: survey.damages.map((d, i) => ({
      name: `Place ${i + 1}`,
      clearanceMm: survey.load.clearanceMm,
      marginMm: site.clearanceMarginMm,
      wantedMm: d.shape === 'chip' ? d.depthMm : d.buildMm,
    })),
  });

const snapped = ({ survey }: Work) => survey.damages.some((d) => d.shape === 'snapped');
const putty = ({ card }: Work) => card.mix.kind === 'single';

function bond({ survey, demand, card }: Work): Figure[] {
  const shear = card.service.lapShearMPa;
  if (!demand.load || !shear) return [];
  const holds = bondHolds(demand.load.areaMm2, shear);
  const factor = holds / demand.load.newtons;
  return [
    figureOf(
      'bond',
      'Bond over load',
      factor,
      'count',
      [
        line(
          'A',
          'bonded area each side',
          'lap of three walls, by the survey',
          demand.load.areaMm2,
          'mm²',
        ),
        line('τ', 'lap shear strength', 'as on the card', shear, 'MPa', `card ${card.code}`),
        line('R', 'holds', `A·τ·${BOND_SHARE}`, holds, 'N'),
        line('F', 'load', 'survey', demand.load.newtons, 'N'),
        line('R/F', 'times the load', 'R/F', factor),
      ],
      ['load.loadN', 'damages.0.lengthMm', `damages.0.wallMm`],
    ),
    figureOf(
      'proof',
      'Proof load',
      demand.load.newtons * PROOF,
      'force',
      [
        line('F', 'load', 'survey', survey.load.loadN ?? 0, 'N'),
        line('P', 'proof load', `F·${PROOF}`, demand.load.newtons * PROOF, 'N'),
      ],
      ['load.loadN'],
    ),
  ];
}

const proof = ({ demand }: Work) =>
  inspect(
    'proof',
    'Proof load',
    15,
    () =>
      demand.load
        ? `Load it to ${say(demand.load.newtons * PROOF, 'force')}, slowly, nobody under it. Hold five minutes: no crack, no creep.`
        : 'Press and shake it by hand harder than it will be in service: no crack, no creep.',
    {
      ...(demand.load
        ? {
            hold: {
              kind: 'reading' as const,
              label: 'Load held',
              quantity: 'force' as const,
              min: demand.load.newtons * PROOF,
              max: null,
            },
          }
        : {}),
      figures: ['bond', 'proof'],
      wrong: [
        {
          sign: 'It cracks',
          remedy: 'Strip it, lap it further, use a tougher material. A new part may be due.',
        },
      ],
    },
  );

export const bracketMethod = defineMethod({
  family: 'F3',
  steps: (work: Work) => [
    isolate(work),
    protect({
      text: 'Bushes and moving faces under a removable putty. Mind what the solvent would hurt close by.',
    }),
    ...removeOld(work),
    own(
      'strip',
      'Strip and gouge',
      20,
      () =>
        `Paint off well past the break, ${mm(work.site.extentMm)} and the laps of the build, with coarse grit: a glossy coat is no substrate, and gouges help.`,
    ),
    degrease(work),
    gradeStep(work, work.site.extentMm),
    own(
      'dry-fit',
      'Dry fit, check the clearances',
      15,
      () => {
        const reduced = envelope(work).stations.filter((s) => s.verdict !== 'ok');
        return `Put it together dry. Move what moves past it: ${say(work.survey.load.clearanceMm, 'length')} of room, ${mm(work.site.clearanceMarginMm)} kept free.${
          reduced.length > 0
            ? ` Build at most ${reduced.map((s) => `${mm(s.buildMm)} at ${s.name.toLowerCase()}`).join(', ')}.`
            : ''
        }`;
      },
      {
        figures: ['envelope'],
        hold: { kind: 'photo', label: 'Fitted dry' },
        wrong: [
          { sign: 'It does not close', remedy: 'Take high spots off the break, not off the part.' },
        ],
      },
    ),
    wipe(work, { text: 'Clean fingers too.' }),
    gate(work),
    ...mixSteps(work),
    ...(snapped(work)
      ? [
          build(
            'tack',
            'Tack the parts',
            5,
            () =>
              `${helperCode(work, 'tack')} along the break; press, hold to its set. It only positions.`,
            {
              wrong: [
                {
                  sign: 'Out of line',
                  remedy: 'Break it, clean it, tack it again: it cannot be pushed over.',
                },
              ],
            },
          ),
          build(
            'bulk',
            'Bulk the line',
            5,
            () =>
              'Filler powder and adhesive, in turns, along the line. No bridge of powder left dry.',
          ),
        ]
      : []),
    build(
      'wet',
      'Wetting coat',
      10,
      () =>
        'A first thin coat, worked hard into the scratches. Leave it until it is tacky, look for bare places, then build.',
    ),
    ...coatSteps(work, {
      first: putty(work)
        ? 'Press it through so that it keys on both faces,'
        : 'Build as thick as the clearance allows, shaped so that it clamps round the part:',
      last: 'Smooth with a wet finger where the card stands water.',
      people: 1,
    }),
    leave(work, 'Prop it: no load hangs on the bond.'),
    during(
      'dress',
      'handle',
      'Dress the film',
      10,
      () => 'Sand the surface film off before paint; round every edge that a hand can meet.',
    ),
    lookAndTap(),
    ...hardness(work),
    inspect(
      'clearance',
      'Clearance again',
      5,
      () => 'Move what moves, one full turn by hand: nothing touches.',
    ),
    proof(work),
    tidy(work),
  ],
  needs: (work) => [
    { kind: 'aid', use: 'degreaser', for: 'the break and round it', areaMm2: work.demand.prepMm2 },
    { kind: 'aid', use: 'wipe', for: 'the prepared metal', areaMm2: work.demand.prepMm2 },
    ...(snapped(work)
      ? [
          {
            kind: 'help' as const,
            help: 'tack' as const,
            for: 'positioning the parts',
            ml: work.survey.damages.reduce(
              (sum, d) => sum + (d.shape === 'snapped' ? (d.lengthMm * BEAD_MM2) / 1000 : 0),
              0,
            ),
          },
        ]
      : []),
    {
      kind: 'plain',
      id: 'putty',
      name: 'Removable putty',
      for: 'bushes and moving faces',
      amount: 1,
      quantity: 'count',
    },
  ],
  figures: (work) => {
    const { stations, working } = envelope(work);
    const least = Math.min(...stations.map((s) => s.buildMm));
    return [
      figureOf(
        'envelope',
        'Build allowed',
        least,
        'length',
        [
          ...working,
          line('', 'least of them', stations.map((s) => s.buildMm).join(', '), least, 'mm'),
        ],
        ['load.clearanceMm', 'damages.0.buildMm'],
      ),
      ...bond(work),
    ];
  },
  removal: () => [
    'Grind or file it off; heat over its limit lets it go.',
    'A new part goes in as if nothing had been there.',
  ],
  nextLookDays: { lasting: 60, stopgap: 7 },
});
