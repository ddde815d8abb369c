import { perDamage } from '../../methods/perDamage';
import { sentences } from '../../message/sentences';
import { t } from '../../text/text';
import { m, minutes, mm, q } from '../../message/message';
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

const prepSteps = ({ work, how, ports, all }: InjectedRounds): StepDraft[] => [
  isolate(work, {
    extra: sentences(`Lower the level to below the crack if you can.`),
  }),
  protect(work),
  ...removeOld(work),
  gradeStep(work, how?.sealWidthMm ?? 25, {
    extra: sentences(`Clean a band on each side of the crack.`),
  }),
  dustOff(
    sentences(`
      Blow the crack and the band clean with oil-free air.
      Vacuum them.
    `),
  ),
  step.prep('mark-ports', {
    does: 'look',
    title: t('Mark the ports'),
    minutes: 5 + ports,
    says: sentences(
      `
        Mark the ports on the crack, the lowest first. Number of ports: {n}.
        Distance between ports: {apart}.
        Measure the width of the crack at each port.
      `,
      {
        n: perDamage(all.map((i) => q(i.ports, 'count'))),
        apart: perDamage(all.map((i) => mm(i.spacingMm))),
      },
    ),
    hold: { kind: 'photo', label: m('Crack with its marks') },
    figures: ['ports', 'spacing'],
  }),
  step.prep('dry', {
    does: 'dry',
    title: t('Dry the band'),
    minutes: 10,
    says: [
      sentences(`Dry the surface on both sides of the crack.`),
      work.card.damp !== 'dry' && sentences(`The crack itself may stay wet.`),
    ],
  }),
  ...beforeMixing(work),
];

const portSteps = ({ work, paste, how, both }: InjectedRounds): StepDraft[] => [
  ...mixSteps(work, paste),
  step.touch(paste, 'ports', {
    title: t('Set the ports'),
    says: sentences(
      `
        Put {card} round the foot of each port. Keep its hole free.
        Press the port on its mark, the lowest port at the lowest point.
      `,
      { card: paste.card.code },
    ),
    uses: ['ports'],
    figures: ['ports', 'spacing'],
  }),
  step.touch(paste, 'band', {
    title: t('Seal the crack'),
    says: sentences(
      `
        Cover the crack with {card}{both, select, yes {, on both faces} other {}}.
        Make the band {wide} wide and {thick} thick.
        Do not press it into the crack.
      `,
      {
        card: paste.card.code,
        wide: mm(how?.sealWidthMm ?? 0),
        thick: mm(how?.sealThickMm ?? 0),
        both: both ? 'yes' : 'no',
      },
    ),
    figures: ['round.paste.total'],
    wrong: [wrong(t('A pinhole in the band'), t('Cover it with paste now.'))],
  }),
  waitFor(paste, 'tackFree', {
    title: t('Wait for the paste'),
    text: sentences(`
      Press a fingernail into the paste: it must leave no mark.
      Inject before the overcoat window of the paste closes.
    `),
  }),
  step.build(paste, 'flush', {
    does: 'wet',
    title: t('Flush'),
    minutes: 10,
    says: sentences(`
      Let water into the highest port.
      Look at the lower ports: water must come out of each.
      Note the ports that stay dry.
    `),
    wrong: [wrong(t('A port stays dry'), t('Drill it open, or set a port beside it.'))],
  }),
];

/** Minutes at one port of each crack. */
const eachPort = (all: InjectedRounds['all']): number[] =>
  all.map((i) => i.minutes / Math.max(1, i.ports));

const injectionSteps = (made: InjectedRounds): StepDraft[] => {
  const { work, main, paste, atPorts, ports, all } = made;
  // One clock counts all ports only where each takes the same time.
  const evenly = atPorts > 0 && new Set(eachPort(all)).size === 1;
  return [
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
      says: sentences(
        `
          Start at the lowest port and inject slowly.
          Time at each port: {port}.
          When resin shows at the next port, close this one and go up.
          One batch lasts {each}.
        `,
        {
          port: perDamage(eachPort(all).map(minutes)),
          each: minutes(atPorts / Math.max(1, main.batches.length)),
        },
      ),
      warns: sentences(
        `Wear a face shield and two pairs of gloves. Resin under pressure can spray.`,
      ),
      figures: ['resin', 'portMinutes'],
      ...(evenly
        ? { timed: { label: m('At a port'), minutes: atPorts / ports, times: ports } }
        : {}),
      wrong: [
        wrong(t('Resin blows out'), t('Stop and seal the place. Wait, then inject more slowly.')),
        wrong(
          t('A port takes resin without end'),
          t('Stop and let the resin foam. Then inject again.'),
        ),
      ],
    }),
    cleanTools(main),
  ];
};

const acceptSteps = ({ work, main, ports, ready }: InjectedRounds): StepDraft[] => [
  leave(work, main),
  step.during(main, 'strip-ports', {
    at: 'handle',
    title: t('Strip the ports'),
    minutes: 5 + ports,
    says: sentences(`
      Take the ports off when the foam has set.
      Scrape the paste off flush.
      Fill the holes of the ports with fresh paste.
    `),
  }),
  lookAndTap(
    ready,
    sentences(`
      Make sure that resin showed at every port.
      Look for damp lines: there must be none.
    `),
    [wrong(t('A damp line'), t('Set a port there and inject a fresh batch.'))],
  ),
  head(work),
];

/** All steps of the repair, in working order. */
export const injectedSteps = (made: InjectedRounds): StepDraft[] => [
  ...prepSteps(made),
  ...portSteps(made),
  ...injectionSteps(made),
  ...acceptSteps(made),
];
