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
    extra: m('Stopped and pinned where it turns; a platform, no ladder, for two hands’ work.'),
  }),
  protect(work),
  ...removeOld(work),
  step.prep('wash', {
    does: 'wet',
    title: t('Wash'),
    minutes: 8,
    text: m(
      'Water and soap, rinse, dry. Only the solvent the film stands touches it: try it on a corner.',
    ),
  }),
  step.prep('mask', {
    does: 'mask',
    title: t('Mask tight'),
    minutes: 8,
    text: m('Tape pressed tight, pull tabs on, a hand’s breadth of paper round it.'),
  }),
  gradeStep(work, 20, {
    extra: m(
      'Loose edges feathered with a fine-middle grit. Stop before the fibre shows; slight whitening is fine.',
    ),
    wrong: [
      wrong(
        t('Fibre shows'),
        t('Stop: it is a laminate repair now, a structural engineer decides.'),
      ),
    ],
  }),
  dustOff(),
  wipe(work, { extra: m('Lightly: a wet cloth lifts the film’s edge.') }),
  step.prep('re-mask', {
    does: 'mask',
    title: t('Mask again'),
    minutes: 5,
    text: m('Fresh tape, inside the sanded edge, with its tab. No hand on what is wiped.'),
  }),
  ...beforeMixing(work),
];

const buildSteps = ({ work, fill, wetUm, main, survey, tops, end }: Rounds): StepDraft[] => [
  ...(paints(work)
    ? coatSteps(work, fill, {
        words: {
          first: m('Thin, from wet to dry, feathered inside the tape line, {wet} wet;', {
            wet: q(wetUm, 'thinFilm'),
          }),
          last: m('Let each coat flash off before the next.'),
          people: 1,
        },
      })
    : [
        ...mixSteps(work, main),
        step.touch(main, 'level-fill', {
          title: t('Fill it'),
          text: m(
            'From one end, the nozzle in it, no air under it. Squeegee level over the tape, {deep} deep.',
            { deep: mm(work.buildMm) },
          ),
          people: 1,
          figures: ['coat'],
          wrong: [wrong('A pinhole', t('Open the bubble with a point and fill it now.'))],
        }),
        step.touch(main, 'demask', {
          title: t('Demask wet'),
          text: m('Tape off by its tab while it is wet, back on itself.'),
          people: 1,
        }),
        cleanTools(main),
        step.during(main, 'sand', {
          at: 'handle',
          title: t('Sand it level'),
          minutes: 10 * survey.damages.length,
          text: m(
            'Block and {grit}, level with the film round it, never into the fibre. Wash, dust off, wipe, mask again.',
            { grit: BLOCK_GRIT },
          ),
        }),
        ...tops.flatMap((top, i) => {
          const before = tops[i - 1];
          return [
            ...mixSteps(work, top, before ? [overcoat(work, before)] : []),
            step.touch(top, 'topcoat', {
              title: top.title,
              text: m(
                '{card}, {wet} wet, from wet to dry, feathered inside the tape line.{more, select, yes { Flash off before the next.} other {}}',
                {
                  card: top.card.code,
                  wet: q(wetUmOf(top), 'thinFilm'),
                  more: i < tops.length - 1 ? 'yes' : 'no',
                },
              ),
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
    m('A lamp speeds it: half a metre off, the surface never over {most}.', {
      most: celsius(card.ambient.maxSurfaceC),
    }),
  ),
  step.inspect('polish', {
    title: t('Sand and polish'),
    minutes: 15,
    text: m('Wash, then {grits}, each crosswise to the last, then polish. Wash.', {
      grits: grits(work),
    }),
    does: 'finish',
    figures: ['topcoatL'],
    uses: ['grit'],
    after: ready,
  }),
  lookAndTap(
    ready,
    t('No edge to the nail, no pinhole, one gloss under a low light. The witness felt beside it.'),
    [
      wrong(t('An edge to the nail'), t('Sand it down, starting with P320, then polish.')),
      wrong(t('Dull ring'), t('Feather a wider edge and apply one thin coat.')),
    ],
  ),
  fingernail(work),
  ...(paints(work)
    ? [
        thickness(work, {
          targetMm: work.buildMm,
          minReadings: 3,
          text: m('Film gauge for this parent, three places or more.'),
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
