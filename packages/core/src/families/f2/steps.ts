import { t } from '../../text/text';
import { m, mm } from '../../message/message';
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
          m('Under {least} of wall is left: the lining must not be the wall.', {
            least: mm(work.trade.rebuild.thinWallMm),
          }),
        ),
      ]
    : []),
  isolate(work, { extra: m('Drain and flush it. Entry permit where a person goes in.') }),
  protect(work),
  ...removeOld(work),
  degrease(work),
  step.prep('open-up', {
    does: 'open-up',
    title: t('Cut the edge square'),
    minutes: gradeMinutes(work) * 0.7,
    text: m(
      'Cut back to sound metal. Edge square, {edge} deep or more all round: no feather edge.',
      {
        edge: mm(edge),
      },
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
    wrong: [wrong(t('Edge runs out to nothing'), m('Undercut it to {edge}.', { edge: mm(edge) }))],
  }),
  ...(drank(work) ? [sweat()] : []),
  gradeStep(work, site.extentMm, {
    extra: drank(work) && m('Blast again after the sweating: the heat brings scale and salt up.'),
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
                text: m('Close it square round the seat, squeeze-out all round; trim it.'),
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
          text: m(
            'Cut to the finished size. Speeds and feeds are the machinist’s. Wet, or with extraction.',
          ),
          does: 'finish',
          after: card.cure.milestones.machine ? [notBefore(last, 'machine')] : [],
        }),
      ]
    : grinds
      ? [
          step.inspect('dress', {
            title: t('Grind it flush'),
            minutes: 20,
            text: m('Grind flush to the template. Mask on. Then dust off and wipe.'),
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
          text: m('Dry film gauge, five places or more, {target}; the thin edges among them.', {
            target: mm(work.buildMm),
          }),
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
