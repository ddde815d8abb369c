import { fig, line } from '../../calc/calc';
import { crackFill } from '../../cracks/crackFill';
import { figureOf, type Figure } from '../../plan/figure';
import type { Need } from '../../plan/supplies';
import type { WorkUp } from '../../plan/workUp';

/** Loose dry sand, kg a litre. */
const SAND_KGL = 1.6;

interface Run {
  lengthMm: number;
  widthMm: number;
  depthMm: number;
}

/** Repair material over a bed of sand for a run of cracks: by the working depth, unless it is packed without. */
export function filled(work: WorkUp, runs: readonly Run[], workingMm: number) {
  const whole = work.context.schools?.sand === 'none';
  const deepest = Math.max(...runs.map((r) => r.depthMm));
  const workingDepthMm = whole ? deepest : workingMm;
  return crackFill({
    runs: runs.map((r) => ({
      lengthM: r.lengthMm / 1000,
      widthMm: r.widthMm,
      depthMm: r.depthMm,
    })),
    workingDepthMm,
    minDepthMm: Math.min(work.card.layer.minMm, workingDepthMm),
    wastePct: work.card.wastePct,
  });
}

type Filled = ReturnType<typeof filled>;

export const sandNeed = ({ sandBaseL }: Filled): Need[] =>
  sandBaseL > 0
    ? [
        {
          kind: 'plain',
          id: 'sand',
          name: 'Fine dry sand',
          for: 'the bed under the resin',
          amount: sandBaseL * SAND_KGL * 1000,
          quantity: 'mass',
          working: [
            line('Vs', 'bed', 'length · width · depth under the working depth', sandBaseL, 'l'),
            line('ρ', 'loose sand', 'usual', SAND_KGL, 'kg/l'),
            line('m', 'sand', `${fig(sandBaseL)}·ρ·1000`, sandBaseL * SAND_KGL * 1000, 'g'),
          ],
        },
      ]
    : [];

export function crackFigures(work: WorkUp, made: Filled, runs: readonly Run[]): Figure[] {
  const paths = work.bodies.flatMap((b) => b.body.paths);
  const metres = runs.reduce((sum, r) => sum + r.lengthMm, 0);
  return [
    figureOf(
      'resin',
      'Repair material',
      made.resinL * 1000,
      'volume',
      [...made.working, line('Vr', 'repair material', 'from above', made.resinL * 1000, 'ml')],
      paths,
    ),
    figureOf(
      'sandBed',
      'Sand bed',
      made.sandBaseL * 1000,
      'volume',
      [...made.working, line('Vs', 'sand bed', 'from above', made.sandBaseL * 1000, 'ml')],
      paths,
    ),
    figureOf(
      'run',
      'Crack in all',
      metres,
      'length',
      [
        line(
          'ΣL',
          'crack in all',
          runs.map((r) => fig(r.lengthMm)).join(' + '),
          metres,
          'mm',
          'survey',
        ),
      ],
      paths,
    ),
  ];
}
