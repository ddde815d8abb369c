import { sentences } from '../../message/sentences';
import { t } from '../../text/text';
import { m, minutes, mm } from '../../message/message';
import { fingernail, lookAndTap } from '../../methods/accept';
import { isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools, coatSteps } from '../../methods/build';
import { leave } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { degrease, drillEnds, dustOff, gradeStep, wipe } from '../../methods/prep';
import { stepsOf, wrong } from '../../methods/step';
import { momentText } from '../../methods/when';
import type { StepDraft } from '../../work/step';
import { dissolved, holes, type Rounds, type W } from './rounds';

export const stepIds = [
  'which-plastic',
  'vee',
  'own-wipe',
  'plug-outlets',
  'back-hole',
  'lid',
  'fill',
] as const;
const step = stepsOf(stepIds);

const cracks = ({ survey }: W) => survey.damages.filter((d) => d.shape === 'crack').length;

const openSteps = ({ work, wet, survey, lap }: Rounds): StepDraft[] => [
  isolate(work, {
    extra: wet
      ? sentences(`
        Leave the level as it is.
        Close the inlet and the outlet.
      `)
      : sentences(`
        Empty the tank and flush it until pH paper shows 7.
        Blank the outlets.
      `),
  }),
  protect(
    work,
    dissolved(work)
      ? {
          extra: sentences(`Blow fresh air over the work place.`),
          warns: sentences(`Keep flames, sparks and hot parts away. The solvent burns.`),
        }
      : undefined,
  ),
  ...removeOld(work),
  step.prep('which-plastic', {
    does: 'look',
    title: t('Which plastic is it'),
    minutes: 5,
    says: dissolved(work)
      ? sentences(`
        Put a drop of the solvent on a hidden place.
        It must become sticky. If it does not, do not use this filler.
      `)
      : sentences(
          `Read the mark of the plastic on the tank. Make sure that it is the one in the survey.`,
        ),
  }),
  degrease(work, {
    extra: sentences(`Remove mould release too.`),
  }),
  ...(cracks(work) > 0 ? [drillEnds(cracks(work), false)] : []),
  step.prep('vee', {
    does: 'open-up',
    title: t('Open it up'),
    minutes: 10 * survey.damages.length,
    says: sentences(`
      Cut the damage open to a V from the outside.
      Do not cut through the wall.
    `),
  }),
  gradeStep(work, lap),
  dustOff(),
  step.prep('plug-outlets', {
    does: 'dam',
    title: t('Plug every outlet'),
    minutes: 10,
    says: sentences(`Plug each outlet and each hole below the damage.`),
    uses: ['plugs'],
  }),
];

const coatingSteps = ({ work, wet, rounds, lap }: Rounds): StepDraft[] => [
  ...(holes(work) > 0
    ? [
        step.prep('back-hole', {
          does: 'dam',
          title: t('Back the hole'),
          minutes: 5 * holes(work),
          says: sentences(
            `Hold a backing with film tightly behind {n, plural, one {the hole} other {each hole}}.`,
            { n: holes(work) },
          ),
          uses: ['plugs'],
        }),
      ]
    : []),
  wet
    ? step.prep('own-wipe', {
        does: 'wipe',
        title: t('Wipe what it stands'),
        minutes: 5,
        says: sentences(`
          Wipe the place with a clean cloth, under water too.
          Leave no slime.
        `),
      })
    : wipe(work, {
        extra:
          dissolved(work) && sentences(`Wipe once with the solvent of the filler and let it dry.`),
      }),
  ...beforeMixing(work),
  ...coatSteps(work, rounds, {
    words: {
      first: dissolved(work)
        ? sentences(`
          Press a thin coat into the V.
          Close the lid of the filler between coats.
        `)
        : sentences(`Press it into the V, so that it grips behind the wall.`),
      last: sentences(
        `
          Lay it {lap} past the damage.
          Thin the edge out.
        `,
        { lap: mm(lap) },
      ),
      people: 1,
    },
  }),
];

const buildSteps = ({ work, last }: Rounds): StepDraft[] => [
  ...(dissolved(work)
    ? [
        step.build(last, 'lid', {
          does: 'tidy',
          title: t('Lid on'),
          minutes: 2,
          says: sentences(`Close the lid of the filler at once.`),
        }),
      ]
    : []),
  cleanTools(last),
];

const acceptSteps = ({ work, last, ready }: Rounds): StepDraft[] => [
  leave(
    work,
    last,
    dissolved(work)
      ? sentences(`It gets hard soon, but it cures slowly. Keep water off it until {when}.`, {
          when: momentText(last, 'immersion'),
        })
      : sentences(`This is a stop-gap: plan a lasting repair.`),
  ),
  lookAndTap(
    ready,
    sentences(`
      Look for pits, white edges and bubbles: there must be none.
      Tap it: it must sound like the wall of the tank.
    `),
    [
      ...(dissolved(work)
        ? [wrong(t('It is soft under the skin'), t('Solvent is still in it. Wait longer.'))]
        : []),
      wrong(
        t('The edge is white and brittle'),
        t('It is another plastic. Take the filler off and find out which.'),
      ),
    ],
  ),
  fingernail(work),
  step.inspect('fill', {
    title: t('Fill and watch'),
    minutes: work.trade.tank.watchMin,
    says: sentences(
      `
        Fill the tank with water to half, then to the top.
        Wait {wait}: the outside must stay dry.
        Then fill in the product.
      `,
      { wait: minutes(work.trade.tank.watchMin) },
    ),
    timed: { label: m('Full of water'), minutes: work.trade.tank.watchMin, times: 1 },
    after: ready,
    wrong: [
      wrong(
        t('Drops show'),
        t('Empty and dry the tank. Abrade the place and repair over it from the outside.'),
      ),
    ],
  }),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...openSteps(made),
  ...coatingSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
