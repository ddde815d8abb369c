import { t } from '../../text/text';
import { joined, m, minutes, mm, q } from '../../message/message';
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
    text: demand.load
      ? m(
          'Load it slowly in steps up to {load}. Nobody may stand under it. Hold the load for {hold}: no crack may open and nothing may creep.',
          {
            load: q(demand.load.newtons * trade.strength.proofTimes, 'force'),
            hold: minutes(trade.casting.proofMin),
          },
        )
      : m(
          'Press and shake it by hand, harder than it will be in service. No crack may open and nothing may creep.',
        ),
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
        t('Strip it, lap it further, use a tougher material. A new part may be due.'),
      ),
    ],
  });

const prepSteps = ({ work, survey, site, snapped, reduced }: Rounds): StepDraft[] => [
  isolate(work),
  protect(work, {
    extra: m(
      'Bushes and moving faces under a removable putty. Mind what the solvent would hurt close by.',
    ),
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
    text: m(
      'Paint off well past the break, {extent} and the laps of the build, with coarse grit: a glossy coat is no substrate, and gouges help.',
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
    text: joined([
      m('Put it together dry. Move what moves past it: {room} of room, {free} kept free.', {
        room: mm(survey.load.clearanceMm),
        free: mm(site.clearanceMarginMm),
      }),
      reduced.length > 0 &&
        m('Build at most {places}.', {
          places: reduced.map((s) =>
            m('{build} at {name}', { build: mm(s.buildMm), name: s.name.toLowerCase() }),
          ),
        }),
    ]),
    figures: ['envelope'],
    hold: { kind: 'photo', label: m('Fitted dry') },
    wrong: [wrong(t('It does not close'), t('Take high spots off the break, not off the part.'))],
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
          text: m(
            '{card} along the break, {each} at a time; filler powder and adhesive in turns, no bridge of powder left dry. Press, hold to its set. It only positions.',
            { card: tack.card.code, each: mm(work.trade.casting.tackEachMm) },
          ),
          people: 1,
          figures: ['round.tack.total'],
          wrong: [
            wrong(
              t('Out of line'),
              t('Break it, clean it, tack it again: it cannot be pushed over.'),
            ),
          ],
        }),
        waitFor(tack, 'tackFree', {
          title: t('Is the tack set'),
          text: m('It holds by itself, nothing moves. Seconds, by its card.'),
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
          text: m(
            'A thin coat, {thick}, worked hard into the scratches. Leave it until it is firm, look for bare places.',
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
        ? m('Press it through so that it keys on both faces, then build')
        : m('Build as thick as the clearance allows, shaped so that it clamps round the part:'),
      last: m('Smooth with a wet finger where the card stands water.'),
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
  leave(work, last, m('Prop it: the bond carries no load yet.')),
  step.during(last, 'dress', {
    at: 'handle',
    title: t('Dress the film'),
    minutes: 10,
    text: m(
      'Sand the surface film off before paint; round every edge that a hand can meet. Dust off.',
    ),
  }),
  lookAndTap(ready),
  ...hardness(work),
  step.inspect('clearance', {
    title: t('Clearance again'),
    minutes: 5,
    text: m('Move what moves, one full turn by hand: nothing touches, {free} stay free.', {
      free: mm(site.clearanceMarginMm),
    }),
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
