import { joined } from '@kelmot/core/message/message';
import { m, type Message } from '@kelmot/core';
import type { Recorded } from './done';
import { HANDOVER_TITLES, type Reading, type ReadingValues } from './records';

/** The place of handover records, instead of a step: they belong to the repair. */
export const HANDOVER = 'handover';

const KINDS = ['handed-over', 'taken-over'] as const;
export type HandoverValues = Extract<ReadingValues, { kind: (typeof KINDS)[number] }>;
type HandedOver = Extract<HandoverValues, { kind: 'handed-over' }>;

export const isOfHandover = (values: ReadingValues): values is HandoverValues =>
  KINDS.some((kind) => kind === values.kind);

/** The text of a handover record, as it was told. */
export function handoverText(values: HandoverValues): Message {
  if (values.kind === 'taken-over') return m('The handover was read.');
  const parts = values.parts.map(({ part, lines }) =>
    m('{title}: {lines}', { title: HANDOVER_TITLES[part], lines: lines.join(' ') }),
  );
  const note = values.note === '' ? [] : [m('{note}', { note: values.note })];
  return joined([...parts, ...note]);
}

export const titleOfHandover = ({ kind }: HandoverValues): Message =>
  kind === 'handed-over' ? m('Handed over') : m('Taken over');

/** A handover at the end of somebody's work, with person and time. */
export type HandoverRecord = Pick<Reading, 'id' | 'by' | 'byId' | 'takenAt'> &
  Pick<HandedOver, 'parts' | 'note'>;

/**
 * The last handover of this repair, until another person takes over or goes on with it; null if none waits to be read.
 */
export function lastHandover({
  checks,
  readings,
  mixes,
}: Omit<Recorded, 'plan'>): HandoverRecord | null {
  const last = readings.filter((r) => isOfHandover(r.values)).at(-1);
  if (last?.values.kind !== 'handed-over') return null;
  const { id, by, byId, takenAt } = last;
  const since = Date.parse(takenAt);
  const all = [
    ...checks,
    ...readings.map((r) => ({ byId: r.byId, at: r.takenAt })),
    ...mixes.map((x) => ({ byId: x.byId, at: x.startedAt })),
  ];
  const gone = all.some((r) => r.byId !== byId && Date.parse(r.at) > since);
  return gone ? null : { id, by, byId, takenAt, parts: last.values.parts, note: last.values.note };
}
