import type { Command, ReadingValues } from '@kelmot/contract';
import type { Hold, Plan } from '@kelmot/core';
/** A grey square in place of a picture, for the demo's photo holds. */
export const demoPhoto = {
  mime: 'image/png',
  data: 'iVBORw0KGgoAAAANSUhEUgAAAAgAAAAICAAAAADhZOFXAAAAE0lEQVR4nGOYtgoCGaD0NAayRACgkygB62CRfwAAAABJRU5ErkJggg==',
} as const;

type Draft<T extends Command['type']> = Omit<
  Extract<Command, { type: T }>,
  'id' | 'repairId' | 'at'
>;

function valuesFor(hold: Exclude<Hold, { kind: 'check' | 'photo' }>, plan: Plan): ReadingValues {
  switch (hold.kind) {
    case 'ambient':
      return { kind: 'ambient', ...plan.survey.readings };
    case 'hardness':
      return { kind: 'hardness', values: [hold.target + 1, hold.target + 2, hold.target + 1] };
    case 'thickness':
      return { kind: 'thickness', valuesMm: Array(hold.minReadings).fill(hold.targetMm * 1.02) };
    case 'countdown':
      return { kind: 'countdown' };
    case 'approval':
      return { kind: 'approval', name: 'M. Example', reference: 'EX-104', account: null };
    case 'reading': {
      const { min, max } = hold;
      const value = min !== null && max !== null ? (min + max) / 2 : (min ?? (max ?? 2) / 2);
      return { kind: 'reading', value };
    }
  }
}

/** The command that meets a hold, as a careful person would: the tick, the picture, or the reading. */
export function meets(
  hold: Hold,
  stepId: string,
  plan: Plan,
): Draft<'check.set'> | Draft<'photo.add'> | Draft<'reading.add'> {
  if (hold.kind === 'check')
    return { type: 'check.set', stepId, batchNo: null, done: true, note: '' };
  if (hold.kind === 'photo') return { type: 'photo.add', stepId, ...demoPhoto };
  return { type: 'reading.add', stepId, values: valuesFor(hold, plan) };
}
