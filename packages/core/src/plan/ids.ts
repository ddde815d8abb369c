import { familyOf } from '../families/registry';
import { FIGURE_PREFIXES, SHARED_FIGURES, SHARED_STEPS } from '../work/ids';
import type { Plan } from './plan';

/**
 * Unknown ids of a plan: names of steps and ids of figures are closed lists, shared or of its family. Empty for every
 * plan made here; a plan from elsewhere may have others.
 */
export function unknownIds(plan: Pick<Plan, 'survey' | 'steps' | 'figures'>): string[] {
  const { method } = familyOf(plan.survey.family);
  const steps = new Set<string>([...SHARED_STEPS, ...method.stepIds]);
  const figures = new Set<string>([...SHARED_FIGURES, ...method.figureIds]);
  const isFigure = (id: string) => figures.has(id) || FIGURE_PREFIXES.some((p) => id.startsWith(p));
  return [
    ...plan.steps.map((s) => s.name).filter((name) => !steps.has(name)),
    ...Object.keys(plan.figures).filter((id) => !isFigure(id)),
  ];
}
