import { t } from '../../text/text';
import { m, mm } from '../../message/message';
import { lookAndTap } from '../../methods/accept';
import { isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools } from '../../methods/build';
import { leave } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { gradeMinutes } from '../../methods/pace';
import { stepsOf, wrong } from '../../methods/step';
import type { StepDraft } from '../../work/step';
import { fittings, type Rounds, type W } from './rounds';

export const stepIds = [
  'try-dry',
  'clean',
  'peel-tools',
  'wet-out',
  'carry',
  'bed',
  'hold',
  'sample',
  'flow',
] as const;
const step = stepsOf(stepIds);

const dry = ({ schools, survey }: W) => schools.wet !== 'wet' && survey.sump.drainable;

const prepSteps = ({ work }: Rounds): StepDraft[] => [
  isolate(work, {
    extra: dry(work)
      ? m('Drain and dry it: dry bonds hold longer, and it can be drained here.')
      : m(
          'Stop the flow and the suction, and lock both. Nobody works alone over water. Keep a life-line and rescue ready.',
        ),
  }),
  protect(work),
  step.prep('try-dry', {
    does: 'look',
    title: t('Try it dry'),
    minutes: 10,
    text: m(
      'Fitting or patch tried in place without gel, above water first: it sits, it can be reached, it can be held.',
    ),
    hold: { kind: 'photo', label: m('Tried in place') },
  }),
  ...removeOld(work),
  step.prep('clean', {
    does: 'abrade',
    title: m('Clean to {grade}', { grade: work.grade ?? 'sound' }),
    minutes: gradeMinutes(work),
    text: m(
      'Scrape and scrub slime, scale and loose coating {lap} past it, under water too. New skin grows in an hour.',
      { lap: mm(work.trade.sump.lapMm) },
    ),
    wrong: [wrong(t('Slippery under the glove'), t('Scrub again: gel does not hold slime.'))],
  }),
  step.prep('wipe', {
    does: 'wipe',
    title: t('Wipe it clean'),
    minutes: 5,
    text: m('A clean cloth over it, one way; nothing but the gel touches it after.'),
  }),
  step.prep('peel-tools', {
    does: 'ready',
    title: t('Tools that peel clean'),
    minutes: 5,
    text: m(
      'Polypropylene spatulas and board, film on the board: gel does not stick to it. Gloves to the elbow, two pairs.',
    ),
    uses: ['board'],
  }),
  ...beforeMixing(work),
];

const buildSteps = ({ patch, work, bed, last }: Rounds): StepDraft[] => [
  ...(patch
    ? [
        ...mixSteps(work, patch),
        step.touch(patch, 'wet-out', {
          title: t('Wet out on the board'),
          text: m(
            '{cloths} cloths on the non-stick board, {lap} past the damage all round, gel through and on both faces, no dry place.',
            { cloths: work.trade.sump.cloths, lap: mm(work.trade.sump.lapMm) },
          ),
          figures: ['cloth'],
          uses: ['cloth'],
          people: 1,
        }),
        step.touch(patch, 'carry', {
          title: t('Carry and lay'),
          text: m(
            'Carried flat on the board, slid on from one edge so that the water goes out ahead. Press from the middle, feather. Few strokes: stop when it pulls.',
          ),
          wrong: [
            wrong(t('Water under it'), t('Lift that edge once, press it out; no second time.')),
          ],
        }),
      ]
    : []),
  ...(bed
    ? [
        ...mixSteps(work, bed),
        step.touch(bed, 'bed', {
          title: t('Bed the fitting'),
          text: m(
            'Gel in a ring on the fitting and in a ring on the old one. Down square with a twist until it comes out all round, {bed} thick. Feather the squeeze-out.',
            { bed: mm(work.buildMm) },
          ),
          figures: ['round.main.total'],
          wrong: [
            wrong(t('None comes out on one side'), t('Off at once, more gel there, down again.')),
          ],
        }),
        step.build(bed, 'hold', {
          does: 'form',
          title: t('Hold it'),
          minutes: 5 * fittings(work),
          text: m('A weight or a prop on it, square; nobody touches it till it sets.'),
        }),
      ]
    : []),
  cleanTools(last),
];

const acceptSteps = ({ work, last, ready }: Rounds): StepDraft[] => [
  leave(work, last, m('Keep the water still: no pump, no wave.')),
  lookAndTap(
    ready,
    t('Gel all round, no gap, feathered. Prod the edge with the spatula: it does not lift.'),
    [wrong(t('The edge lifts'), t('Scrub it, gel over it while the rest holds.'))],
  ),
  step.inspect('sample', {
    title: t('Feel the sample'),
    minutes: 3,
    text: m(
      'Press a fingernail into the sample that was kept in the same water. It is hard when no mark stays.',
    ),
    wrong: [wrong(t('It marks'), t('Cold water: wait twice as long, feel again.'))],
  }),
  step.inspect('flow', {
    title: t('Flow back on'),
    minutes: 15,
    text: m('Half flow, look; then full. Dye at the joint shows a leak.'),
    after: ready,
  }),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
