import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { positive, wastePct } from '../calc/number';

export const CrackRun = z.strictObject({
  lengthM: positive().meta(named(t('Length'), 'm')),
  widthMm: positive().meta(named(t('Width'), 'mm')),
  depthMm: positive().meta(named(t('Depth'), 'mm')),
});
export type CrackRun = z.infer<typeof CrackRun>;

export const CrackFillInput = z
  .strictObject({
    runs: z
      .array(CrackRun)
      .min(1)
      .max(10_000)
      .meta(named(t('Runs of crack'))),
    workingDepthMm: positive().meta(named(t('Working depth'), 'mm')),
    minDepthMm: z
      .number()
      .min(0)
      .max(1e12)
      .meta(named(t('Least depth'), 'mm')),
    wastePct: wastePct()
      .default(0)
      .meta(named(t('Waste'), '%')),
  })
  .refine((i) => i.minDepthMm <= i.workingDepthMm, {
    path: ['minDepthMm'],
    message: t('must be workingDepthMm or less'),
  });
export type CrackFillInput = z.output<typeof CrackFillInput>;
export interface FilledRun extends CrackRun {
  resinL: number;
  sandBaseL: number;
  note?: 'too-shallow';
}
export interface CrackFill {
  resinL: number;
  sandBaseL: number;
  runs: FilledRun[];
}

/**
 * Repair material and sand bed for runs of wide crack, in litres. A run shallower than the least depth is deepened to
 * it, and the result says so; below the working depth it is filled with sand. Waste applies to the material only. Never
 * refuses.
 */
export function crackFill({
  runs,
  workingDepthMm,
  minDepthMm,
  wastePct,
}: CrackFillInput): Worked<CrackFill> {
  const filled = runs.map((run): FilledRun => {
    const depthMm = Math.max(run.depthMm, minDepthMm);
    const fillMm = Math.min(depthMm, workingDepthMm);
    // One metre times one square millimetre is a thousandth of a litre.
    const litres = (mm: number) => (run.lengthM * run.widthMm * mm) / 1000;
    const done = {
      ...run,
      resinL: litres(fillMm) * (1 + wastePct / 100),
      sandBaseL: litres(depthMm - fillMm),
    };
    return run.depthMm < minDepthMm ? { ...done, note: 'too-shallow' } : done;
  });
  const total = (of: (run: FilledRun) => number) => filled.reduce((sum, run) => sum + of(run), 0);
  const resinL = total((r) => r.resinL);
  const sandBaseL = total((r) => r.sandBaseL);
  const shallow = filled.filter((r) => r.note).length;
  const working = [
    ...filled.slice(0, 12).map((r, i) =>
      line({
        symbol: `V${i + 1}`,
        label: r.note
          ? t('run {no}, deepen to {depth}', { no: i + 1, depth: formatFigure(minDepthMm) })
          : t('run {no}', { no: i + 1 }),
        expression: `${formatFigure(r.lengthM)}·${formatFigure(r.widthMm)}·${formatFigure(Math.min(Math.max(r.depthMm, minDepthMm), workingDepthMm))}/1000·(1 + ${formatFigure(wastePct)} %)`,
        value: r.resinL,
        unit: 'l',
      }),
    ),
    line({
      symbol: '',
      label: t('runs to deepen'),
      expression: t('shallower than {minDepth} mm', { minDepth: formatFigure(minDepthMm) }),
      value: shallow,
      unit: '',
      source: 'card',
    }),
    line({
      symbol: 'S',
      label: t('sand base'),
      expression: t('what is deeper than {workingDepth} mm', {
        workingDepth: formatFigure(workingDepthMm),
      }),
      value: sandBaseL,
      unit: 'l',
      source: 'card',
    }),
    line({
      symbol: 'V',
      label: t('repair material'),
      expression: `Σ of ${filled.length} runs`,
      value: resinL,
      unit: 'l',
    }),
  ];
  return worked({ resinL, sandBaseL, runs: filled }, working);
}

export const crackFillCalc = defineCalc({
  name: 'crack-fill',
  purpose: t('Material and sand base for runs of wide crack.'),
  input: CrackFillInput,
  run: crackFill,
  result: {
    resinL: named(t('Resin'), 'l'),
    sandBaseL: named(t('Sand'), 'l'),
    runs: {
      ...named(t('Runs of crack')),
      of: {
        lengthM: named(t('Length'), 'm'),
        widthMm: named(t('Width'), 'mm'),
        depthMm: named(t('Depth'), 'mm'),
        resinL: named(t('Resin'), 'l'),
        sandBaseL: named(t('Sand'), 'l'),
        note: named(t('Note')),
      },
    },
  },
  formula: [
    t('depth = max(depth, least); filled = min(depth, working)'),
    'material = Σ L·w·filled·(1 + waste)/1000; sand = Σ L·w·(depth − filled)/1000',
  ],
  source: t('Working and least depth from the card.'),
  limits: t('Crack walls taken as straight. A run that is too shallow must be deepened.'),
  example: {
    runs: [
      { lengthM: 24.2, widthMm: 37, depthMm: 60 },
      { lengthM: 6.5, widthMm: 20, depthMm: 12 },
    ],
    workingDepthMm: 40,
    minDepthMm: 20,
    wastePct: 10,
  },
});
