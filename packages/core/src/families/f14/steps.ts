import { perDamage } from '../../methods/perDamage';
import { sentences } from '../../message/sentences';
import { t } from '../../text/text';
import { celsius, m, mm, q } from '../../message/message';
import { fingernail, lookAndTap, thickness } from '../../methods/accept';
import { isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools, coatSteps, overcoat } from '../../methods/build';
import { leave } from '../../methods/cure';
import { wetUmOf } from '../../methods/film';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { dustOff, gradeStep, wipe } from '../../methods/prep';
import { stepsOf, wrong } from '../../methods/step';
import type { StepDraft } from '../../work/step';
import { BLOCK_GRIT, grits, paints, type Rounds } from './rounds';

export const stepIds = [
  'wash',
  're-mask',
  'level-fill',
  'demask',
  'sand',
  'topcoat',
  'polish',
] as const;
const step = stepsOf(stepIds);

const prepSteps = ({ work }: Rounds): StepDraft[] => [
  isolate(work, {
    minutes: 15,
    extra: sentences(`
      Stop and pin what turns.
      Stand on a platform, not on a ladder.
    `),
  }),
  protect(work),
  ...removeOld(work),
  step.prep('wash', {
    does: 'wet',
    title: t('Wash'),
    minutes: 8,
    says: sentences(`
      Wash the place with soap and water.
      Rinse it and let it dry.
    `),
  }),
  step.prep('mask', {
    does: 'mask',
    title: t('Mask tight'),
    minutes: 8,
    says: sentences(`
      Put masking tape round the place and press it down.
      Leave a pull tab at one end.
      Cover a hand’s width round it with paper.
    `),
  }),
  gradeStep(work, 20, {
    extra: sentences(`
      Sand loose edges down to a slope.
      Stop before fibre shows.
    `),
    wrong: [
      wrong(
        t('Fibre shows'),
        t('Stop. It is a laminate repair now. A structural engineer decides.'),
      ),
    ],
  }),
  dustOff(),
  wipe(work, {
    extra: sentences(`Wipe lightly, so that the edge of the film does not lift.`),
  }),
  step.prep('re-mask', {
    does: 'mask',
    title: t('Mask again'),
    minutes: 5,
    says: sentences(`
      Put fresh tape inside the sanded edge, with a pull tab.
      Do not touch the wiped place.
    `),
  }),
  ...beforeMixing(work),
];

const buildSteps = ({ work, fill, wetUm, main, survey, tops, end }: Rounds): StepDraft[] => [
  ...(paints(work)
    ? coatSteps(work, fill, {
        words: {
          first: sentences(
            `
              Apply a thin coat from the wet edge to the dry. Wet thickness: {wet}.
              Thin the edge out inside the tape.
            `,
            { wet: q(wetUm, 'thinFilm') },
          ),
          last: undefined,
          people: 1,
        },
      })
    : [
        ...mixSteps(work, main),
        step.touch(main, 'level-fill', {
          title: t('Fill it'),
          says: sentences(
            `
              Start at one end. Keep the nozzle in the paste, so that no air gets in.
              Draw it level over the tape. Depth: {deep}.
            `,
            { deep: perDamage(work.bodies.map((b) => mm(b.buildMm))) },
          ),
          people: 1,
          figures: ['coat'],
          wrong: [wrong(t('A pinhole'), t('Open it with a needle and fill it now.'))],
        }),
        step.touch(main, 'demask', {
          title: t('Demask wet'),
          says: sentences(`Pull the tape off by its tab while the paste is wet.`),
          people: 1,
        }),
        cleanTools(main),
        step.during(main, 'sand', {
          at: 'handle',
          title: t('Sand it level'),
          minutes: 10 * survey.damages.length,
          says: sentences(
            `
              Sand it level with the film round it, with {grit} on a block.
              Stop before fibre shows.
              Wash it, wipe it and mask it again.
            `,
            { grit: BLOCK_GRIT },
          ),
        }),
        ...tops.flatMap((top, i) => {
          const before = tops[i - 1];
          return [
            ...mixSteps(work, top, before ? [overcoat(work, before)] : []),
            step.touch(top, 'topcoat', {
              title: top.title,
              says: [
                sentences(
                  `
                    Apply {card} from the wet edge to the dry. Wet thickness: {wet}.
                    Thin the edge out inside the tape.
                  `,
                  { card: top.card.code, wet: q(wetUmOf(top), 'thinFilm') },
                ),
                i < tops.length - 1 && sentences(`Let it flash off before the next coat.`),
              ],
              people: 1,
              figures: ['wet', `round.${top.id}.total`],
            }),
          ];
        }),
      ]),
  cleanTools(end),
];

const acceptSteps = ({ work, end, card, ready }: Rounds): StepDraft[] => [
  leave(
    work,
    end,
    sentences(`Keep the surface below {most}.`, { most: celsius(card.ambient.maxSurfaceC) }),
  ),
  step.inspect('polish', {
    title: t('Sand and polish'),
    minutes: 15,
    says: sentences(
      `
        Wash the place.
        Sand with {grits}, each across the last.
        Polish it and wash it again.
      `,
      { grits: grits(work) },
    ),
    does: 'finish',
    figures: ['topcoatL'],
    uses: ['grit'],
    after: ready,
  }),
  lookAndTap(
    ready,
    sentences(`
      Draw a fingernail over the edge: you must feel no step.
      Look along it under a low light: it must have one gloss and no pinhole.
    `),
    [
      wrong(t('A fingernail feels an edge'), t('Sand the edge down from P320 on. Then polish it.')),
      wrong(t('A dull ring shows'), t('Sand a wider edge and apply one thin coat.')),
    ],
  ),
  fingernail(work),
  ...(paints(work)
    ? [
        thickness(work, {
          targetMm: work.buildMm,
          minReadings: 3,
          text: m('Measure the thickness with a gauge for this material in three places or more.'),
        }),
      ]
    : []),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
