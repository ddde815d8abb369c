import { sentences } from '../../message/sentences';
import { t } from '../../text/text';
import { m, mm, q } from '../../message/message';
import { hardness, holidayTest, lookAndTap, pressureSteps, thickness } from '../../methods/accept';
import { approval, isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools, coatSteps, isStruckFlush } from '../../methods/build';
import { leave } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { gradeMinutes } from '../../methods/pace';
import { degrease, dustOff, gradeStep, mask, release, sweat, wipe } from '../../methods/prep';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import type { StepDraft } from '../../work/step';
import { isLining, type Rounds, type W } from './rounds';

export const stepIds = ['open-up', 'close-former', 'machine'] as const;
export const step = stepsOf(stepIds);

const engineered = ({ bodies, trade }: W) =>
  bodies.some(
    ({ body }) => body.remainingMm !== null && body.remainingMm < trade.rebuild.thinWallMm,
  );
/** Whether the casting may have absorbed salt or oil, which must be driven out by heat. */
const drank = ({ survey }: W) =>
  survey.parent.salts ||
  survey.parent.skin === 'oil-soaked' ||
  (survey.parent.material === 'cast-iron' && survey.service.medium === 'oil');

const prepSteps = ({ work, edge, survey, site, formed }: Rounds): StepDraft[] => [
  ...(engineered(work)
    ? [
        approval(
          'pressure-engineer',
          m('Less than {least} of the wall is left. The lining must not carry the pressure.', {
            least: mm(work.trade.rebuild.thinWallMm),
          }),
        ),
      ]
    : []),
  isolate(work, {
    extra: sentences(`Drain it and flush it.`),
  }),
  protect(work),
  ...removeOld(work),
  degrease(work),
  step.prep('open-up', {
    does: 'open-up',
    title: t('Cut the edge square'),
    minutes: gradeMinutes(work) * 0.7,
    says: sentences(
      `
        Cut back to sound metal.
        Cut the edge square, at least {edge} deep all round.
      `,
      { edge: mm(edge) },
    ),
    sparks: survey.site.area === 'safe',
    hold: {
      kind: 'reading',
      label: m('Edge depth'),
      quantity: 'length',
      min: edge,
      max: null,
    },
    figures: ['minEdge'],
    wrong: [wrong(t('The edge is not deep enough'), m('Cut it to {edge}.', { edge: mm(edge) }))],
  }),
  ...(drank(work) ? [sweat()] : []),
  gradeStep(work, site.extentMm, {
    extra:
      drank(work) && sentences(`Do this after the sweating: the heat brings scale and salt up.`),
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
];

const builtSteps = ({ work, rounds, formed, machined, site, last }: Rounds): StepDraft[] => {
  const coats = coatSteps(work, rounds, {
    words: {
      first: sentences(`
        Scrub a thin wetting coat hard into the profile with a stiff brush.
        Build on it at once.
      `),
      last: formed
        ? undefined
        : machined
          ? sentences(`Leave {allowance} more than the finished size.`, {
              allowance: mm(site.machiningMm),
            })
          : isStruckFlush(work)
            ? sentences(`
              Strike it flush while it is soft.
              Pull the masking tape off while it is wet.
            `)
            : sentences(
                `
                  Leave it {over} proud.
                  Pull the masking tape off while it is wet.
                `,
                { over: q(site.overfillPct, 'percent') },
              ),
    },
  });
  // The former is closed on each coat while the coat is wet, within its working life.
  return formed
    ? coats.flatMap((s) =>
        s.name === 'place' && s.round
          ? [
              s,
              step.touch(rounds.find((r) => r.id === s.round?.id) ?? last, 'close-former', {
                title: t('Close the former'),
                says: sentences(`
                  Put the former round the seat, square.
                  Press it down until material comes out all round.
                  Trim what came out.
                `),
              }),
            ]
          : [s],
      )
    : coats;
};

const buildSteps = ({ last }: Rounds): StepDraft[] => [cleanTools(last)];

const acceptSteps = ({ work, last, ready, machined, card, grinds }: Rounds): StepDraft[] => [
  leave(work, last),
  lookAndTap(ready),
  ...hardness(work),
  ...(machined
    ? [
        step.inspect('machine', {
          title: t('Machine to size'),
          minutes: 60,
          says: sentences(`
            Machine the repair to the finished size.
            Take speeds and feeds from the machinist.
          `),
          warns: sentences(`Work wet or with dust extraction. The dust harms the lungs.`),
          does: 'finish',
          after: card.cure.milestones.machine ? [notBefore(last, 'machine')] : [],
        }),
      ]
    : grinds
      ? [
          step.inspect('dress', {
            title: t('Grind it flush'),
            minutes: 20,
            says: sentences(`
              Grind the repair flush with the surface beside it.
              Brush the dust off and wipe the repair.
            `),
            warns: sentences(`Wear a dust mask and eye protection. The dust harms the lungs.`),
            does: 'finish',
            sparks: true,
          }),
        ]
      : []),
  ...(isLining(work)
    ? [
        thickness(work, {
          targetMm: work.buildMm,
          minReadings: 5,
          text: m(
            'Measure the thickness in five places or more, the thin edges too: {target} on average.',
            {
              target: mm(work.buildMm),
            },
          ),
        }),
        holidayTest(work.buildMm),
      ]
    : []),
  ...pressureSteps(work, ready),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...builtSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
