import { sentences } from '../message/sentences';
import { t } from '../text/text';
import { line } from '../calc/calc';
import { holidayVoltage } from '../inspect/holidayVoltage';
import type { SystemCard } from '../materials/card';
import type { Says } from '../message/sentences';
import { m, minutes, mm, q, type Message } from '../message/message';
import { figureOf, type Figure } from '../work/figure';
import type { After, StepDraft, Wrong } from '../work/step';
import type { Work } from '../work/work';
import { step, wrong, type Text } from './step';

const station = 'accept' as const;

/**
 * Look and tap with a coin: one colour, one sound. The first step of Accept: it waits for the milestone that the
 * service loads.
 */
export const lookAndTap = (
  after: readonly After[],
  says: Says = sentences(
    `
      Look for pinholes, lifted edges and places of another colour: there must be none.
      Tap all over with a coin: the sound must be the same everywhere.
    `,
  ),
  wrongs: readonly Wrong[] = [
    wrong(t('Pinholes'), t('Abrade them and fill them with fresh material. Let it cure.')),
    wrong(
      t('A hollow sound'),
      t('Cut that part out down to the parent material. Repair it again.'),
    ),
  ],
): StepDraft =>
  step('look', {
    station,
    does: 'look',
    title: t('Look and tap'),
    minutes: 10,
    says,
    wrong: wrongs,
    after,
  });

/** What was kept of a mix: it shows later whether the mix has cured. */
type Witness = 'sample' | 'purge' | 'none';
const witnessOf = ({ mix }: Pick<SystemCard, 'mix'>): Witness => {
  if (mix.kind === 'two-part') return 'sample';
  return mix.kind === 'cartridge' ? 'purge' : 'none';
};
const WITNESS: Record<Witness, Message[]> = {
  sample: sentences(`Press it into the kept sample of each batch too: it must leave no mark.`),
  purge: sentences(`Press it into the kept purge of each cartridge too: it must leave no mark.`),
  none: [],
};

/** The fingernail test of hardness, where no durometer is used. */
export const fingernail = (work: Work): StepDraft =>
  step('fingernail', {
    station,
    does: 'test',
    title: t('Fingernail'),
    minutes: 3,
    says: [
      sentences(`Press a fingernail into the repair: it must leave no mark.`),
      WITNESS[witnessOf(work.card)],
    ],
    wrong: [
      wrong(
        t('The fingernail leaves a mark'),
        t('Warm the repair and wait. If it stays soft, cut it out: the mix was wrong.'),
      ),
    ],
  });

/**
 * Hardness by the card: three readings or more, none below its minimum. A fingernail test if the card gives no
 * hardness.
 */
export function hardness(work: Work): StepDraft[] {
  const hard = work.card.service.hardness;
  if (!hard) return [fingernail(work)];
  return [
    step('hardness', {
      station,
      does: 'test',
      title: t('Hardness'),
      minutes: 10,
      says: sentences(
        `
          Take three readings on the repair with a Shore {scale} gauge.
          Each must be {least} or more.
        `,
        { scale: hard.scale, least: hard.least },
      ),
      hold: {
        kind: 'hardness',
        target: hard.least,
        minReadings: 3,
        minSharePct: 100,
        scale: hard.scale,
      },
      figures: ['hardness'],
      wrong: [
        wrong(t('A soft place'), t('Warm the repair and wait. If it stays soft, cut it out.')),
      ],
    }),
  ];
}

/** Stages of a pressure test as shares of service pressure, with the holding time of each, minutes. */
const PRESSURE_STEPS = [
  { name: 'pressure-half', figure: 'pressureHalf', share: 0.5, holdMin: 10, work: 15 },
  { name: 'pressure-full', figure: 'pressureFull', share: 1, holdMin: 30, work: 15 },
] as const;

/** Pressure in stages up to service; the governing code decides on more. */
export function pressureSteps({ demand }: Work, after: readonly After[]): StepDraft[] {
  const bar = demand.pressureBar;
  if (bar <= 0) return [];
  return PRESSURE_STEPS.map(({ name, figure, share, holdMin, work }) =>
    step(name, {
      station,
      does: 'test',
      title: share < 1 ? t('Half pressure') : t('Service pressure'),
      minutes: work + holdMin,
      warns: sentences(`Keep everybody out of line with the repair. It can burst.`),
      says: [
        sentences(
          `
            Raise the pressure slowly to {bar}.
            Hold it for {hold}.
            Look for drops: the repair must stay dry.
          `,
          { bar: q(bar * share, 'pressure'), hold: minutes(holdMin) },
        ),
        share === 1 &&
          sentences(`If the code for this line asks for a higher test pressure, test by the code.`),
      ],
      hold: {
        kind: 'reading',
        label: m('Pressure held'),
        quantity: 'pressure',
        min: bar * share,
        max: null,
      },
      timed: { label: m('Pressure held'), minutes: holdMin, times: 1 },
      after,
      figures: [figure],
      wrong: [
        wrong(
          t('It weeps'),
          t('Release all pressure and drain the line. Take the repair off and do it again.'),
        ),
      ],
    }),
  );
}
export const pressureFigures = ({ demand }: Work): Figure[] =>
  demand.pressureBar > 0
    ? PRESSURE_STEPS.map(({ figure, share }) =>
        figureOf({
          id: figure,
          label: share < 1 ? t('Half pressure') : t('Service pressure'),
          value: demand.pressureBar * share,
          quantity: 'pressure',
          working: [
            line({
              symbol: 'p',
              label: t('pressure in service'),
              expression: t('survey'),
              value: demand.pressureBar,
              unit: 'bar',
              source: 'survey',
            }),
            line({
              symbol: 'pt',
              label: t('held'),
              expression: `p·${share}`,
              value: demand.pressureBar * share,
              unit: 'bar',
            }),
          ],
          paths: demand.paths.pressureBar ? [demand.paths.pressureBar] : [],
        }),
      )
    : [];

/** Thickness against the plan: mean on target, none below a share of it. */
export const thickness = (
  { trade }: Pick<Work, 'trade'>,
  { targetMm, minReadings, text }: { targetMm: number; minReadings: number; text: Text },
): StepDraft =>
  step('thickness', {
    station,
    does: 'test',
    title: t('Thickness'),
    minutes: 10,
    says: text,
    hold: {
      kind: 'thickness',
      targetMm,
      minReadings,
      leastShare: trade.strength.leastThicknessShare,
    },
    wrong: [
      wrong(t('Too thin'), t('Abrade and wipe it. Add what is missing. The cure starts again.')),
    ],
  });

/** Voltage of a holiday test by thickness; null where a wet sponge is used. */
export const holidayVolts = (thicknessMm: number) => holidayVoltage({ thicknessMm });

/** Pinhole test of a lining, the last of its tests. */
export function holidayTest(thicknessMm: number): StepDraft {
  const { volts } = holidayVolts(thicknessMm);
  return step('holiday', {
    station,
    does: 'test',
    title: t('Holiday test'),
    minutes: 15,
    says:
      volts === null
        ? sentences(
            `
              Wipe all of the lining with the wet sponge of the tester. It is {thick} thick.
              The tester must not ring.
            `,
            { thick: mm(thicknessMm) },
          )
        : sentences(
            `
              Connect the ground lead. Set {volts} V for {thick}.
              Do not go over the highest voltage that the maker of the material allows.
              Move the electrode over all of the lining: there must be no spark.
            `,
            { volts: Math.round(volts), thick: mm(thicknessMm) },
          ),
    figures: volts === null ? [] : ['holiday'],
    wrong: [
      wrong(t('It sparks'), t('Mark and abrade the place. Apply two coats there. Test again.')),
    ],
  });
}

/** Tells people from when the repair may be used, and agrees the date of the next look, so many days later. */
export const agreeNextLook = (lookDays: number): StepDraft =>
  step('agree', {
    station,
    does: 'tidy',
    title: t('Say when, close the area'),
    minutes: 3,
    says: sentences(
      `
        Tell the people who use the area from when it may be used.
        Keep the area closed until then.
        Agree the next look in {days}.
      `,
      { days: minutes(lookDays * 1440) },
    ),
  });

/** The last steps of every repair: return to service, and tidying. */
export const returnToService = (work: Work, lookDays: number): StepDraft[] => [
  agreeNextLook(lookDays),
  step('tidy', {
    station,
    does: 'tidy',
    title: t('Tidy'),
    minutes: 10,
    says: [
      sentences(`
        Put leftovers and used rags into a labelled bag.
        Throw them away by the rules of your site.
      `),
      m('{pack}', { pack: work.card.openedPack }),
    ],
  }),
];
