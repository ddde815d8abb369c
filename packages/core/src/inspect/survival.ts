import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';

const KM = 'Kaplan–Meier';

export const SurvivalInput = z.strictObject({
  lives: z
    .array(
      z.strictObject({
        days: z
          .number()
          .min(0)
          .max(1e6)
          .meta(named(t('Days'), 'd')),
        failed: z.boolean().meta(named(t('Failed'))),
      }),
    )
    .min(1)
    .max(100_000)
    .meta(named(t('Lives'))),
});
export type SurvivalInput = z.output<typeof SurvivalInput>;
export interface SurvivalStep {
  days: number;
  atRisk: number;
  failed: number;
  survival: number;
}
export interface Survival {
  steps: SurvivalStep[];
  medianDays: number | null;
}

/**
 * Share of repairs that still hold after so many days, from lives that ended in failure and lives that still run. A
 * life that stopped on a day counts as at risk on that day. The median is null while more than half still hold. Never
 * refuses.
 */
export function survival({ lives }: SurvivalInput): Worked<Survival> {
  const sorted = [...lives].sort((p, q) => p.days - q.days);
  const steps: SurvivalStep[] = [];
  let share = 1;
  for (let i = 0; i < sorted.length;) {
    const { days } = sorted[i] as { days: number };
    let next = i;
    let failed = 0;
    for (; sorted[next]?.days === days; next++) if (sorted[next]?.failed) failed += 1;
    if (failed > 0) {
      const atRisk = sorted.length - i;
      share *= 1 - failed / atRisk;
      steps.push({ days, atRisk, failed, survival: share });
    }
    i = next;
  }
  const medianDays = steps.find((s) => s.survival <= 0.5 + 1e-9)?.days ?? null;
  const shown = steps.slice(-12);
  const working = [
    line({
      symbol: 'N',
      label: t('lives'),
      expression: t('{n} failed, the rest still run or were stopped', {
        n: lives.filter((l) => l.failed).length,
      }),
      value: lives.length,
    }),
    ...shown.map((s) =>
      line({
        symbol: 'S',
        label: t('after {days} days', { days: formatFigure(s.days) }),
        expression: `S·(1 − ${s.failed}/${s.atRisk})`,
        value: s.survival,
        unit: '',
        source: KM,
      }),
    ),
    line({
      symbol: '',
      label: t('median life'),
      expression: t('first day with S ≤ 0.5'),
      value: medianDays ?? t('over half still hold'),
      unit: 'd',
      source: KM,
    }),
    line({
      symbol: '',
      label: t('steps'),
      expression: t('days with a failure'),
      value: steps.length,
    }),
  ];
  return worked({ steps, medianDays }, working);
}

export const survivalCalc = defineCalc({
  name: 'survival',
  purpose: t('How long repairs of a kind hold, from those that failed and those that still run.'),
  input: SurvivalInput,
  run: survival,
  result: {
    steps: {
      ...named(t('After each')),
      of: {
        days: named(t('After'), 'd'),
        atRisk: named(t('Still watched')),
        failed: named(t('Failed')),
        survival: named(t('Still holding'), 'share'),
      },
    },
    medianDays: named(t('Half hold for'), 'd'),
  },
  headline: 'medianDays',
  formula: [
    t('S(t) = Π(1 − failed/at risk) over the days with a failure'),
    t('median: the first day with S ≤ 0.5'),
  ],
  source: 'Kaplan–Meier.',
  limits: t(
    'Lives that were stopped for another reason count until that day. Few lives make a rough curve.',
  ),
  example: {
    lives: [
      { days: 180, failed: false },
      { days: 321, failed: true },
      { days: 488, failed: true },
      { days: 620, failed: false },
      { days: 1459, failed: true },
    ],
  },
});
