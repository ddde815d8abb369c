import { line } from '../calc/calc';
import { film } from '../film/film';
import { gritLadder } from '../film/gritLadder';
import { figureOf } from '../plan/figure';
import { helperCode, helperFor } from '../plan/supplies';
import type { WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { defineMethod } from './method';
import { fingernail, hardness, inspect, lookAndTap, thickness, tidy } from './parts/accept';
import { build, coatSteps, placeAll } from './parts/build';
import { during, leave } from './parts/cure';
import { mixSteps } from './parts/mix';
import { helpMinutes } from './parts/pace';
import { gate, gradeStep, isolate, mm, own, protect, removeOld, wipe } from './parts/prep';

type Work = WorkUp<SurveyOf<'F14'>>;

/** Topcoat over a filled spot, µm, in two coats. */
const TOP_UM = 80;
const TOP_COATS = 2;
const LADDER = { from: 320, to: 1500, maxStep: 2 } as const;

const coats = ({ card }: Work) => card.layer.volumeSolidsPct < 100;
const areaMm2 = ({ survey }: Work) =>
  survey.damages.reduce((sum, d) => sum + d.lengthMm * d.widthMm, 0);
const grits = () =>
  gritLadder({ ...LADDER })
    .grits.map((g) => `P${g}`)
    .join(', ');
const top = (work: Work) => {
  const card = coats(work) ? work.card : helperFor(work, 'topcoat');
  const dftUm = coats(work) ? work.buildMm * 1000 : TOP_UM;
  return film({
    areaM2: areaMm2(work) / 1e6,
    dftUm,
    volumeSolidsPct: card?.layer.volumeSolidsPct ?? 100,
    lossPct: 20,
    coats: coats(work) ? work.coats : TOP_COATS,
  });
};

const fillSteps = (work: Work) => [
  build(
    'place',
    'Fill it',
    placeAll(work),
    () =>
      `From one end, the nozzle in it, no air under it. Squeegee level over the tape, ${mm(work.buildMm)} deep.`,
    {
      people: 1,
      figures: ['coat'],
      wrong: [{ sign: 'A pinhole', remedy: 'Prick and fill it now.' }],
    },
  ),
  build('demask', 'Demask wet', 3, () => 'Tape off by its tab while it is wet, back on itself.'),
];

export const panelMethod = defineMethod({
  family: 'F14',
  steps: (work: Work) => [
    isolate(work, {
      minutes: 15,
      text: 'Stopped and pinned where it turns; a platform, no ladder, for two hands’ work.',
    }),
    protect(),
    ...removeOld(work),
    own(
      'wash',
      'Wash',
      8,
      () =>
        'Water and soap, rinse, dry. Only the solvent the film stands touches it: try it on a corner.',
    ),
    own(
      'mask',
      'Mask tight',
      8,
      () => 'Tape pressed tight, pull tabs on, a hand’s breadth of paper round it.',
    ),
    gradeStep(work, 20, {
      text: 'Loose edges feathered with a fine-middle grit. Stop before the fibre shows; slight whitening is fine.',
      wrong: [
        {
          sign: 'Fibre shows',
          remedy: 'Stop: it is a laminate repair now, a structural engineer decides.',
        },
      ],
    }),
    wipe(work, { text: 'Lightly: a wet cloth lifts the film’s edge.' }),
    own('re-mask', 'Mask again', 5, () => 'Fresh tape, inside the sanded edge.'),
    gate(work),
    ...mixSteps(work),
    ...(coats(work)
      ? coatSteps(work, {
          first: 'Thin, from wet to dry, feathered inside the tape line;',
          last: 'Flash off between coats.',
          people: 1,
        })
      : fillSteps(work)),
    leave(work, 'A lamp speeds it: half a metre off, never over the card’s heat.'),
    ...(coats(work)
      ? []
      : [
          during(
            'sand',
            'handle',
            'Sand it level',
            10,
            () => 'Block and P240, level with the film round it. Wash.',
          ),
          during(
            'topcoat',
            'handle',
            'Topcoat',
            25 + helpMinutes(work, 'topcoat', 'handle'),
            () =>
              `${helperCode(work, 'topcoat')}, ${TOP_COATS} thin coats with flash-off between, feathered inside the tape line.`,
            {
              hold: {
                kind: 'countdown',
                label: 'Topcoat flashing off',
                minutes: helpMinutes(work, 'topcoat', 'tackFree'),
              },
            },
          ),
        ]),
    inspect(
      'polish',
      'Sand and polish',
      15,
      () => `Wash, then ${grits()}, each crosswise to the last, then polish. Wash.`,
      {
        figures: ['wet', 'topcoatL'],
        waitsFor: 'handle',
      },
    ),
    lookAndTap('No edge to the nail, no pinhole, one gloss under a low light.', [
      { sign: 'An edge to the nail', remedy: 'Sand it down from P320, polish.' },
      { sign: 'Dull ring', remedy: 'Feather wider, one thin coat.' },
    ]),
    fingernail(work),
    ...hardness(work),
    ...(coats(work)
      ? [thickness(work.buildMm, 3, 'Film gauge for this parent, three places or more.')]
      : []),
    tidy(work),
  ],
  needs: (work) => [
    { kind: 'aid', use: 'wipe', for: 'the sanded spot', areaMm2: work.demand.prepMm2 },
    ...(coats(work)
      ? []
      : [
          {
            kind: 'help' as const,
            help: 'topcoat' as const,
            for: `${TOP_UM} µm in ${TOP_COATS} coats`,
            ml: top(work).litres * 1000,
          },
        ]),
    {
      kind: 'plain',
      id: 'grit',
      name: `Paper ${grits()}`,
      for: 'sanding and polish',
      amount: gritLadder({ ...LADDER }).grits.length,
      quantity: 'count',
    },
  ],
  figures: (work) => {
    const made = top(work);
    const paths = work.bodies.flatMap((b) => b.body.paths);
    return [
      figureOf(
        'wet',
        'Wet film a coat',
        made.wftUm,
        'thinFilm',
        [...made.working, line('WFT', 'wet film a coat', 'from above', made.wftUm, 'µm')],
        paths,
      ),
      figureOf(
        'topcoatL',
        'Topcoat',
        made.litres * 1000,
        'volume',
        [...made.working, line('V', 'topcoat', 'from above', made.litres * 1000, 'ml')],
        paths,
      ),
    ];
  },
  removal: () => ['Sand it off to the old film from P120; stop before the fibre.'],
  cautions: ['height', 'lamp-heat'],
  nextLookDays: { lasting: 180, stopgap: 30 },
});
