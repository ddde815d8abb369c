import { t } from '../text/text';
import { line } from '../calc/calc';
import { holidayVoltage } from '../inspect/holidayVoltage';
import { joined, m, minutes, mm, q } from '../message/message';
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
  text = t('No pinholes, no lifted edge, one colour. Tap all over: one sound.'),
  wrongs: readonly Wrong[] = [
    wrong(t('Pinholes'), t('Abrade, fill with a wet coat, let it cure.')),
    wrong(t('Hollow sound'), t('Cut that part out to the parent and do it again.')),
  ],
): StepDraft =>
  step('look', {
    station,
    does: 'look',
    title: t('Look and tap'),
    minutes: 10,
    text: m(text),
    wrong: wrongs,
    after,
  });

/** The fingernail test of hardness, where no durometer is used. */
export const fingernail = (work: Work): StepDraft =>
  step('fingernail', {
    station,
    does: 'test',
    title: t('Fingernail'),
    minutes: 3,
    text: m(
      'Press a fingernail into the repair and into the kept sample: no mark on either. {cartridge, select, yes {The purge} other {The sample}} is the witness.',
      { cartridge: work.card.mix.kind === 'cartridge' ? 'yes' : 'no' },
    ),
    wrong: [
      wrong(t('It takes a mark'), t('Warm it, wait; still soft: cut it out, it was off ratio.')),
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
      text: m(
        'Shore {scale} {least} or more, three readings on the repair or on the batch sample.',
        {
          scale: hard.scale,
          least: hard.least,
        },
      ),
      hold: {
        kind: 'hardness',
        target: hard.least,
        minReadings: 3,
        minSharePct: 100,
        scale: hard.scale,
      },
      figures: ['hardness'],
      wrong: [wrong(t('Soft spot'), t('Bad mixing or too cold. Warm it; still soft: cut it out.'))],
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
      text: joined([
        m('Raise to {bar} slowly, nobody in line with the repair. Hold {hold}, look for weeping.', {
          bar: q(bar * share, 'pressure'),
          hold: minutes(holdMin),
        }),
        share < 1
          ? m('Dry: go on.')
          : m('The code that governs the line says how far past service it is tested.'),
      ]),
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
          t('Down to nothing, drain, take it off, do it again. Do not wrap over a leak.'),
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
    text,
    hold: {
      kind: 'thickness',
      targetMm,
      minReadings,
      leastShare: trade.strength.leastThicknessShare,
    },
    wrong: [
      wrong(t('Too thin'), t('Abrade, wipe, lay what is missing; it counts from the new coat.')),
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
    text:
      volts === null
        ? m('Wet sponge all over {thick}: no bell.', { thick: mm(thicknessMm) })
        : m(
            'High voltage, {volts} V over {thick}, ground and dust off before; the material maker’s most governs. No spark.',
            {
              volts: Math.round(volts),
              thick: mm(thicknessMm),
            },
          ),
    figures: volts === null ? [] : ['holiday'],
    wrong: [wrong(t('It sparks'), t('Mark, abrade, touch up in two coats, test again.'))],
  });
}

/** Tells people from when the repair may be used, and agrees the date of the next look, so many days later. */
export const agreeNextLook = (lookDays: number): StepDraft =>
  step('agree', {
    station,
    does: 'tidy',
    title: t('Say when, close the area'),
    minutes: 3,
    text: m(
      'Say from when what is allowed. The area stays closed until then. Agree the next look, in {days}.',
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
    text: m(
      'Cut off strings and flash. Bag and label leftovers, and throw them away by your site’s rules. {pack}',
      {
        pack: work.card.openedPack,
      },
    ),
  }),
];
