import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { positive, wastePct } from '../calc/number';

export const CrackRun = z.strictObject({
  lengthM: positive().meta(named('Length', 'm')),
  widthMm: positive().meta(named('Width', 'mm')),
  depthMm: positive().meta(named('Depth', 'mm')),
});
export type CrackRun = z.infer<typeof CrackRun>;

export const CrackFillInput = z
  .strictObject({
    runs: z.array(CrackRun).min(1).max(10_000).meta(named('Runs of crack')),
    workingDepthMm: positive().meta(named('Working depth', 'mm')),
    minDepthMm: z.number().min(0).max(1e12).meta(named('Least depth', 'mm')),
    wastePct: wastePct().default(0).meta(named('Waste', '%')),
  })
  .refine((i) => i.minDepthMm <= i.workingDepthMm, {
    path: ['minDepthMm'],
    message: 'must be workingDepthMm or less',
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
    ...filled
      .slice(0, 12)
      .map((r, i) =>
        line(
          `V${i + 1}`,
          `run ${i + 1}${r.note ? `, deepen to ${formatFigure(minDepthMm)}` : ''}`,
          `${formatFigure(r.lengthM)}·${formatFigure(r.widthMm)}·${formatFigure(Math.min(Math.max(r.depthMm, minDepthMm), workingDepthMm))}/1000·(1 + ${formatFigure(wastePct)} %)`,
          r.resinL,
          'l',
        ),
      ),
    line(
      '',
      'runs to deepen',
      `shallower than ${formatFigure(minDepthMm)} mm`,
      shallow,
      '',
      'card',
    ),
    line(
      'S',
      'sand base',
      `what is deeper than ${formatFigure(workingDepthMm)} mm`,
      sandBaseL,
      'l',
      'card',
    ),
    line('V', 'repair material', `Σ of ${filled.length} runs`, resinL, 'l'),
  ];
  return worked({ resinL, sandBaseL, runs: filled }, working);
}

export const crackFillCalc = defineCalc({
  name: 'crack-fill',
  purpose: 'Material and sand base for runs of wide crack.',
  input: CrackFillInput,
  run: crackFill,
  result: {
    resinL: named('Resin', 'l'),
    sandBaseL: named('Sand', 'l'),
    runs: {
      ...named('Runs of crack'),
      of: {
        lengthM: named('Length', 'm'),
        widthMm: named('Width', 'mm'),
        depthMm: named('Depth', 'mm'),
        resinL: named('Resin', 'l'),
        sandBaseL: named('Sand', 'l'),
        note: named('Note'),
      },
    },
  },
  formula: [
    'depth = max(depth, least); filled = min(depth, working)',
    'material = Σ L·w·filled·(1 + waste)/1000; sand = Σ L·w·(depth − filled)/1000',
  ],
  source: 'Working and least depth from the card.',
  limits: 'Crack walls taken as straight. A run that is too shallow must be deepened.',
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
