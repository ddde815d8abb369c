import { sentences } from '../../message/sentences';
import { t } from '../../text/text';
import { m, minutes, mm, q } from '../../message/message';
import { hardness, lookAndTap } from '../../methods/accept';
import { isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools, coatSteps } from '../../methods/build';
import { leave, waitFor } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { degrease, drillEnds, dustOff, gradeStep, sweat, wipe } from '../../methods/prep';
import { stepsOf, wrong } from '../../methods/step';
import type { StepDraft } from '../../work/step';
import { putty, type Rounds, type W } from './rounds';

export const stepIds = ['gouge', 'dry-fit', 'tack', 'bulk', 'wet', 'clearance', 'proof'] as const;
const step = stepsOf(stepIds);

const proof = ({ demand, trade }: W) =>
  step.inspect('proof', {
    title: t('Proof load'),
    minutes: 15,
    says: demand.load
      ? sentences(
          `
            Load the part slowly in steps up to {load}.
            Hold the load for {hold}.
            No crack may open and nothing may creep.
          `,
          {
            load: q(demand.load.newtons * trade.strength.proofTimes, 'force'),
            hold: minutes(trade.casting.proofMin),
          },
        )
      : sentences(`
        Press and shake the part by hand, harder than in service.
        No crack may open and nothing may creep.
      `),
    warns: sentences(`Keep everybody away from under the part. It can break.`),
    hold: demand.load
      ? {
          kind: 'reading',
          label: m('Load held'),
          quantity: 'force',
          min: demand.load.newtons * trade.strength.proofTimes,
          max: null,
        }
      : { kind: 'check' },
    ...(demand.load
      ? { timed: { label: m('Load held'), minutes: trade.casting.proofMin, times: 1 } }
      : {}),
    figures: demand.load ? ['bond', 'proof'] : [],
    wrong: [
      wrong(
        t('It cracks'),
        t(
          'Remove the repair. Repair it again with a tougher material and a longer overlap, or fit a new part.',
        ),
      ),
    ],
  });

const prepSteps = ({ work, survey, site, snapped, reduced }: Rounds): StepDraft[] => [
  isolate(work),
  protect(work, {
    extra: sentences(`Cover bushes and moving faces with removable putty.`),
    uses: ['putty'],
  }),
  ...removeOld(work),
  degrease(work),
  ...(survey.parent.material === 'cast-iron' || survey.parent.skin === 'oil-soaked'
    ? [sweat()]
    : []),
  step.prep('gouge', {
    does: 'abrade',
    title: t('Strip and gouge'),
    minutes: 20,
    says: sentences(
      `
        Remove all paint to {extent} past the break and past the edges of the build.
        Use coarse abrasive and leave deep scratches.
      `,
      { extent: mm(site.extentMm) },
    ),
    sparks: survey.site.area === 'safe',
    figures: ['extent'],
  }),
  gradeStep(work, site.extentMm),
  ...(snapped.length > 0 ? [drillEnds(snapped.length, survey.site.area === 'safe')] : []),
  dustOff(),
  step.prep('dry-fit', {
    does: 'look',
    title: t('Dry fit, check the clearances'),
    minutes: 15,
    says: [
      sentences(
        `
          Put the part together without material.
          Move the parts that pass it. Room there: {room}. Keep free: {free}.
        `,
        { room: mm(survey.load.clearanceMm), free: mm(site.clearanceMarginMm) },
      ),
      reduced.length > 0 &&
        sentences(`Build no higher than this: {places}.`, {
          places: reduced.map((s) =>
            m('{build} at {name}', { build: mm(s.buildMm), name: s.name.toLowerCase() }),
          ),
        }),
    ],
    figures: ['envelope'],
    hold: { kind: 'photo', label: m('Fitted dry') },
    wrong: [
      wrong(t('The break does not close'), t('Take the high spots off the broken faces only.')),
    ],
  }),
  wipe(work),
  ...beforeMixing(work),
];

const tackSteps = ({ tack, work }: Rounds): StepDraft[] => [
  ...(tack
    ? [
        ...mixSteps(work, tack),
        step.touch(tack, 'tack', {
          title: t('Tack the parts'),
          says: sentences(
            `
              Press the broken faces together.
              Put {card} along the break, {each} at a time, and filler powder on it in turns.
              Leave no powder dry.
              Hold the part until the tack is hard. The tack only holds the position.
            `,
            { card: tack.card.code, each: mm(work.trade.casting.tackEachMm) },
          ),
          people: 1,
          figures: ['round.tack.total'],
          wrong: [
            wrong(
              t('The part is out of line'),
              t('Break the tack, clean the faces and tack them again.'),
            ),
          ],
        }),
        waitFor(tack, 'tackFree', {
          title: t('Is the tack set'),
          text: sentences(`Release the part: nothing must move.`),
        }),
      ]
    : []),
];

const bulkSteps = ({ wetting, work, coats, last }: Rounds): StepDraft[] => [
  ...(wetting
    ? [
        ...mixSteps(work, wetting),
        step.touch(wetting, 'wet', {
          title: t('Wetting coat'),
          says: sentences(
            `
              Work a thin coat hard into the scratches. Thickness: {thick}.
              Leave it until it is firm.
              Look for bare places and cover them.
            `,
            { thick: mm(work.trade.casting.wetMm) },
          ),
          people: 1,
          figures: ['round.wet.total'],
        }),
      ]
    : []),
  ...coatSteps(work, coats, {
    words: {
      first: putty(work)
        ? sentences(`Press it through the hole, so that it grips on both faces.`)
        : sentences(`Shape the build so that it goes round the part.`),
      last: work.card.damp === 'dry' ? undefined : sentences(`Smooth it with a wet finger.`),
      people: 1,
    },
    firstAfter: wetting
      ? [
          {
            round: wetting.id,
            at: 'tackFree',
            until: 'overcoatCloses',
            missed: 'abrade',
            why: m('The wetting coat is tacky before it is built on, and not shiny.'),
          },
        ]
      : [],
  }),
  cleanTools(last),
];

const acceptSteps = ({ work, last, ready, site }: Rounds): StepDraft[] => [
  leave(work, last, sentences(`Keep the part on its prop: the bond carries no load yet.`)),
  step.during(last, 'dress', {
    at: 'handle',
    title: t('Dress the film'),
    minutes: 10,
    says: sentences(`
      Sand the shiny film off before you paint.
      Round every edge that a hand can touch.
      Brush the dust off.
    `),
  }),
  lookAndTap(ready),
  ...hardness(work),
  step.inspect('clearance', {
    title: t('Clearance again'),
    minutes: 5,
    says: sentences(
      `
        Turn the moving parts once by hand: they must touch nothing.
        Make sure that {free} stays free.
      `,
      { free: mm(site.clearanceMarginMm) },
    ),
  }),
  proof(work),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...tackSteps(made),
  ...bulkSteps(made),
  ...acceptSteps(made),
];
