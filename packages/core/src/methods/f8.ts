import type { WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { say } from '../units/format';
import { defineMethod } from './method';
import { fingernail, hardness, inspect, lookAndTap, tidy } from './parts/accept';
import { build, placeAll, strikes } from './parts/build';
import { crackFigures, filled, sandNeed } from './parts/crack';
import { during, leave } from './parts/cure';
import { mixSteps } from './parts/mix';
import { gate, gradeStep, isolate, mm, own, protect, removeOld } from './parts/prep';

type Work = WorkUp<SurveyOf<'F8'>>;

const made = (work: Work) =>
  filled(
    work,
    work.survey.damages,
    work.survey.damages.some((d) => d.shape === 'bottomless')
      ? work.site.workingDepthMm
      : Math.max(...work.survey.damages.map((d) => d.depthMm)),
  );
/** Finer than this it is not opened: thin resin runs in by itself. */
const HAIRLINE_MM = 1;
const isMortar = ({ card }: Work) => card.mix.kind === 'powder-water';
const isSealant = ({ card }: Work) => card.mix.kind === 'single';
const hairline = ({ survey }: Work) => survey.damages.every((d) => d.widthMm <= HAIRLINE_MM);
const stepped = ({ survey }: Work) => survey.damages.some((d) => d.shape === 'stepped');
const sanded = (work: Work) => made(work).sandBaseL > 0;

const openUp = (work: Work) =>
  isMortar(work)
    ? own(
        'break-out',
        'Break out to full depth',
        40,
        () =>
          `Break out the full depth, undercut the lower side${stepped(work) ? '; the sunk half must be borne from right under' : ''}. Both halves are to bear on it and be tied.`,
      )
    : own(
        hairline(work) ? 'blow' : 'chase',
        hairline(work) ? 'Blow it out' : 'Chase and blow out',
        8 + work.demand.longestMm / 500,
        () =>
          hairline(work)
            ? 'Oil-free air, along it, twice. Do not open it: it runs in by itself.'
            : 'Chase the crack to clean walls, vacuum, blow out with oil-free air. Dust is a release agent.',
      );

const buildSteps = (work: Work) => {
  const time = placeAll(work);
  if (isMortar(work))
    return [
      build('damp', 'Dampen', 8, () => 'To saturated, surface dry: dark, no shine, no puddle.'),
      build(
        'under',
        'Fill right under',
        time * 0.6,
        () =>
          'Ram it under both halves from one side until it comes up at the other: no hollow is left.',
        {
          people: 2,
          wrong: [{ sign: 'A hollow sound', remedy: 'Open it there while soft, ram again.' }],
        },
      ),
      build(
        'strike',
        'Strike flush',
        time * 0.4,
        () => 'Strike and float flush with both sides; feather a step into a gentle slope.',
        { people: 2 },
      ),
    ];
  if (isSealant(work))
    return [
      build(
        'backing',
        'Backing',
        10,
        () =>
          'Backing rod a quarter wider than the gap, so that the bead bonds to two sides only and is half as deep as wide.',
      ),
      build('gun', 'Gun it in', time, () => 'Gun held low, pushed along, full to the walls.'),
      build(
        'tool',
        'Tool it',
        10,
        () => 'A wet spatula, once, slightly hollow. Pull the tape at once.',
      ),
    ];
  return [
    ...(sanded(work)
      ? [
          build(
            'sand',
            'Sand first',
            10,
            () =>
              `Fine dry sand to leave ${mm(work.site.workingDepthMm)}; tapped down. The resin finds its way into it and does not drain.`,
            {
              figures: ['sandBed'],
            },
          ),
        ]
      : []),
    build(
      'fill',
      work.card.mix.kind === 'cartridge' ? 'Gun it in' : 'Pour it in',
      time,
      () =>
        work.card.mix.kind === 'cartridge'
          ? 'The tip kept in the crack, pressure kept on, slow; go back over it as it sinks.'
          : `Along the crack from a small bottle, again and again until it takes no more. Mix little: it goes hot in the bottle. ${strikes(work) ? '' : 'Leave it proud.'}`,
      {
        figures: ['resin', 'run'],
        wrong: [
          { sign: 'It keeps sinking', remedy: 'It drains: stop, sand, go on when that has set.' },
          { sign: 'Bottle warm', remedy: 'Bin it outside; mix less.' },
        ],
      },
    ),
    ...(strikes(work)
      ? [
          build(
            'scrape',
            'Scrape flush',
            6,
            () =>
              'A sharp scraper, flat, before it sets: what stands proud shows through the next coat.',
          ),
        ]
      : []),
  ];
};

export const floorCrackMethod = defineMethod({
  family: 'F8',
  steps: (work: Work) => [
    isolate(work, { minutes: 5, text: 'Close the aisle, re-route people.' }),
    protect(),
    ...removeOld(work),
    openUp(work),
    gradeStep(work, 20, { text: 'Wet, or with extraction: the dust is silica.' }),
    own('dry', isMortar(work) ? 'Wash it out' : 'Is it dry', 5, () =>
      isMortar(work)
        ? 'Wash out, no puddle left.'
        : `Tape a film over it, look under it: no fog.${work.card.damp === 'dry' ? '' : ' Damp is allowed by the card.'}`,
    ),
    gate(work),
    ...mixSteps(work),
    ...buildSteps(work),
    leave(work, isMortar(work) ? 'Film over it; no draught, no sun.' : 'Barriers up.'),
    ...(!strikes(work) && !isMortar(work) && !isSealant(work)
      ? [
          during(
            'grind',
            'handle',
            'Grind flush',
            5 + work.demand.longestMm / 800,
            () => 'Grind flush, with extraction. Cured resin is too shiny to coat: matt all over.',
          ),
        ]
      : []),
    lookAndTap('Full to both walls, flush, no pinholes. Drag a chain over it: one sound.', [
      { sign: 'Sunk', remedy: 'Abrade, fill again.' },
      {
        sign: 'A new hairline beside it',
        remedy: 'It moves more than this stands: cut it out, a flexible joint.',
      },
    ]),
    ...hardness(work),
    ...(work.card.service.hardness ? [] : [fingernail(work)]),
    inspect(
      'straight',
      'Straight edge',
      3,
      () => `Across it, a metre long: ${mm(1)} proud or hollow at most.`,
      {
        hold: { kind: 'reading', label: 'Widest gap', quantity: 'length', min: null, max: 1 },
      },
    ),
    tidy(work),
  ],
  needs: (work) => [
    ...sandNeed(made(work)),
    ...(isSealant(work)
      ? [
          {
            kind: 'plain' as const,
            id: 'rod',
            name: 'Backing rod',
            for: 'under the bead',
            amount: work.demand.longestMm,
            quantity: 'length' as const,
          },
        ]
      : []),
  ],
  figures: (work) => crackFigures(work, made(work), work.survey.damages),
  removal: (work) => [
    isSealant(work)
      ? 'Cut both sides, pull the bead out whole.'
      : `Chase it out with a crack blade; ${say(work.buildMm, 'length')} deep.`,
  ],
  cautions: ['silica'],
  nextLookDays: { lasting: 180, stopgap: 30 },
});
