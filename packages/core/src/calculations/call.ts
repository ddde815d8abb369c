import { t } from '../text/text';
import { z } from 'zod';
import { shortened } from '../calc/shortened';
import type { Report } from '../calc/calc';
import { issuesOf, type Issue } from '../calc/issues';
import { calcByName, calcs } from './registry';

export interface BadInput {
  error: string;
  issues: Issue[];
}
export type CallResult = { status: 'answer'; answer: object } | { status: 'bad'; bad: BadInput };

const bad = (error: string, issues: Issue[] = []): CallResult => ({
  status: 'bad',
  bad: { error, issues },
});

/**
 * Runs one calculation by name on unparsed input: an answer (also a refusal), or the errors of the input. Long ones
 * call `report` with their progress.
 */
export function call(name: string, input: unknown, report?: Report): CallResult {
  const calc = calcByName.get(name);
  if (!calc)
    return bad(t('no calculation "{name}"', { name: shortened(name) }), [
      {
        path: 'calc',
        message: t('one of {calcs}', { calcs: calcs.map((c) => c.name).join(', ') }),
      },
    ]);
  try {
    return { status: 'answer', answer: calc.run(input, report) };
  } catch (error) {
    if (error instanceof z.ZodError)
      return bad(t('bad input to {name}', { name }), issuesOf(error));
    throw error;
  }
}
