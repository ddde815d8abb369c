import { issuesOf, Plan, unknownIds, t } from '@kelmot/core';
import { z } from 'zod';

/** The version that is written and read. */
export const PLAN_FILE_VERSION = 2;

/** The open format of a plan: the whole job as data, with its working, to keep, send and read back. */
export const PlanFile = z.strictObject({
  format: z.literal('kelmot-plan'),
  version: z.literal(PLAN_FILE_VERSION),
  plan: Plan,
});
export type PlanFile = z.infer<typeof PlanFile>;

/** A plan as a file of the open format. */
export const planFile = (plan: Plan): PlanFile => ({
  format: 'kelmot-plan',
  version: PLAN_FILE_VERSION,
  plan,
});

/**
 * Reads a plan file. Checks the version first: a file of another version is reported by its number and never read as
 * this one. When the format changes, the reader of version N stays and returns N + 1.
 */
export function readPlanFile(
  given: unknown,
): { ok: true; file: PlanFile } | { ok: false; say: string } {
  const head = z
    .looseObject({ format: z.literal('kelmot-plan'), version: z.int() })
    .safeParse(given);
  if (!head.success) return { ok: false, say: t('This is not a plan file of Kelmot.') };
  const { version } = head.data;
  if (version !== PLAN_FILE_VERSION)
    return {
      ok: false,
      say: t(
        'This plan file is of version {version}; this Kelmot reads version {reads}. {age, select, older {Plan it again from its survey.} other {Open it with a newer Kelmot.}}',
        { version, reads: PLAN_FILE_VERSION, age: version < PLAN_FILE_VERSION ? 'older' : 'newer' },
      ),
    };
  const read = PlanFile.safeParse(given);
  if (read.success) {
    const unknown = unknownIds(read.data.plan);
    if (unknown.length === 0) return { ok: true, file: read.data };
    return {
      ok: false,
      say: t('This plan file names steps or figures that this Kelmot does not know: {slice}.', {
        slice: unknown.slice(0, 5).join(', '),
      }),
    };
  }
  const [first] = issuesOf(read.error);
  return {
    ok: false,
    say: t('This plan file is incomplete: {path} {message}.', {
      path: first?.path ?? 'plan',
      message: first?.message ?? '',
    }),
  };
}
