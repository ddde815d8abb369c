import { t } from '../text/text';
import { z } from 'zod';
import { named, type Named } from '../calc/field';

/** Refuses a time that is not after the one before it, and names the entry. */
function rising<T>(at: (entry: T) => number, field: string) {
  return (entries: T[], ctx: z.RefinementCtx): void => {
    entries.forEach((entry, i) => {
      const before = entries[i - 1];
      if (before !== undefined && !(at(entry) > at(before))) {
        ctx.addIssue({
          code: 'custom',
          path: [i, field],
          message: t('must be over {at}, the time before it', { at: at(before) }),
        });
      }
    });
  };
}

/** A logged or forecast temperature history: one entry or more, times strictly rising. */
export function historyOf<K extends string>(timeField: K, time: Named, most: number) {
  const entry = z.strictObject({
    [timeField]: z.number().min(-most).max(most).meta(time),
    tempC: z
      .number()
      .min(-60)
      .max(250)
      .meta(named(t('Temperature'), '°C')),
  } as { [P in K | 'tempC']: z.ZodNumber });
  type Entry = z.infer<typeof entry>;
  return z
    .array(entry)
    .min(1)
    .max(100_000)
    .superRefine(
      rising<Entry>((e) => (e as Record<string, number>)[timeField] as number, timeField),
    );
}
