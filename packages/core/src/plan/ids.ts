import { familyOf } from '../families/registry';
import { FIGURE_PREFIXES, SHARED_FIGURES, SHARED_STEPS } from '../work/ids';
import type { Plan } from './plan';

/**
 * Ids of a plan that no list knows: the names of its steps and the ids of its figures are closed, those that families share
 * and those of its own family. Empty for every plan that was made here; one from elsewhere may hold others.
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
