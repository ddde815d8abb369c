import type { GateRefusal } from '@kelmot/contract';
import { word, t } from '@kelmot/core';
import { ProblemError } from '../common/problemError';

/** Refuses what a gate holds, with what would open it; nothing where it is open. */
export function refuseHeld(gate: GateRefusal | null): void {
  if (!gate) return;
  const { by, title, why, field } = gate;
  const says = why.map((w) => word(w));
  const [first = ''] = says;
  throw new ProblemError(by === 'state' ? 409 : 422, word(title), {
    detail: by === 'open' ? t('Still to do: {says}.', { says: says.join(', ') }) : ended(first),
    issues: field ? [{ path: field, message: first }] : undefined,
  });
}

/** Ends a text as a sentence. */
const ended = (text: string): string =>
  text === '' || text.endsWith('.') ? text : `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
