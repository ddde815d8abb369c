import { t } from '../../text/text';
import { m, minutes, mm } from '../../message/message';
import { lookAndTap } from '../../methods/accept';
import { isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools } from '../../methods/build';
import { leave, waitFor } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { dustOff, gradeStep } from '../../methods/prep';
import { wrong } from '../../methods/step';
import type { StepDraft } from '../../work/step';
import { head, step } from './common';
import type { InjectedRounds } from './injectedRounds';

const prepSteps = ({ work, how, ports, spacing }: InjectedRounds): StepDraft[] => [
  isolate(work, {
    extra: m(
      'Level in the basin below the crack where it can be; confined space where a person goes in.',
    ),
  }),
  protect(work),
  ...removeOld(work),
  gradeStep(work, how?.sealWidthMm ?? 25, {
    extra: m('A band brushed each side of the crack.'),
  }),
  dustOff(t('Crack and band blown out with oil-free air, then vacuumed.')),
  step.prep('mark-ports', {
    does: 'look',
    title: t('Mark the ports'),
    minutes: 5 + ports,
    text: m(
      'Lowest first, {n} ports, {apart} apart, centred on the crack; measure the width at each.',
      {
        n: ports,
        apart: mm(spacing),
      },
    ),
    hold: { kind: 'photo', label: m('Crack with its marks') },
    figures: ['ports', 'spacing'],
  }),
  step.prep('dry', {
    does: 'dry',
    title: t('Dry the band'),
    minutes: 10,
    text: m('The band dry for the paste; the crack may be wet where the card allows.'),
  }),
  ...beforeMixing(work),
];

const portSteps = ({ work, paste, ports, how, both }: InjectedRounds): StepDraft[] => [
  ...mixSteps(work, paste),
  step.touch(paste, 'ports', {
    title: t('Set the ports'),
    text: m(
      '{n} ports in all, the lowest at its lowest point. Paste round the foot, not into the port.',
      { n: ports },
    ),
    uses: ['ports'],
    figures: ['ports', 'spacing'],
  }),
  step.touch(paste, 'band', {
    title: t('Seal the crack'),
    text: m(
      '{card} in a band {wide} wide and {thick} thick over the crack{both, select, yes {, both faces} other {}}. Not into it.',
      {
        card: paste.card.code,
        wide: mm(how?.sealWidthMm ?? 0),
        thick: mm(how?.sealThickMm ?? 0),
        both: both ? 'yes' : 'no',
      },
    ),
    figures: ['round.paste.total'],
    wrong: [wrong(t('A pinhole in the band'), t('Paste over it now: it blows out there.'))],
  }),
  waitFor(paste, 'tackFree', {
    title: t('Wait for the paste'),
    text: m('Wait until a fingernail leaves no mark in the paste. Inject before its window ends.'),
  }),
  step.build(paste, 'flush', {
    does: 'wet',
    title: t('Flush'),
    minutes: 10,
    text: m(
      'Water in at the top until it shows at each lower port: the crack is open. Note the ones that stay dry.',
    ),
    wrong: [wrong(t('A port stays dry'), t('Drill it, or set one beside it.'))],
  }),
];

const injectionSteps = ({ work, main, paste, atPorts, ports }: InjectedRounds): StepDraft[] => [
  ...mixSteps(work, main, [
    {
      round: paste.id,
      at: 'tackFree',
      until: 'overcoatCloses',
      missed: 'abrade',
      why: m(
        'A fingernail must leave no mark in the paste, and its overcoat window must still be open.',
      ),
    },
  ]),
  step.touch(main, 'inject', {
    title: t('Inject from the lowest'),
    text: m(
      'From the lowest port, slow, about {port} at each, until it shows at the next; cap, go up. {each} a batch, {all} in all: patience on hairlines. Two pairs of gloves, a face shield, nobody below.',
      {
        port: minutes(atPorts / ports),
        each: minutes(atPorts / Math.max(1, main.batches.length)),
        all: minutes(atPorts),
      },
    ),
    figures: ['resin', 'portMinutes'],
    ...(atPorts > 0
      ? { timed: { label: m('At a port'), minutes: atPorts / ports, times: ports } }
      : {}),
    wrong: [
      wrong(t('It blows out'), t('Stop, seal the place, wait, go on slower.')),
      wrong(t('Takes and takes'), t('It runs into the ground: stop, let it foam, come back.')),
    ],
  }),
  cleanTools(main),
];

const acceptSteps = ({ work, main, ports, ready }: InjectedRounds): StepDraft[] => [
  leave(work, main),
  step.during(main, 'strip-ports', {
    at: 'handle',
    title: t('Strip the ports'),
    minutes: 5 + ports,
    text: m(
      'When the foam is set: ports off, paste scraped flush, holes filled with what is left of the paste or a stop.',
    ),
  }),
  lookAndTap(ready, t('Resin showed at every port. No damp line after the level is back.'), [
    wrong(
      t('A damp line'),
      t('Drill a port there, inject again with what is left of the life of the next pair.'),
    ),
  ]),
  head(work),
];

/** All steps of the repair, in working order. */
export const injectedSteps = (made: InjectedRounds): StepDraft[] => [
  ...prepSteps(made),
  ...portSteps(made),
  ...injectionSteps(made),
  ...acceptSteps(made),
];
