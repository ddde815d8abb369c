import { batchesAt, mayMix, weighedFor, type Mix, type RepairView } from '@kelmot/contract';
import {
  parseQuantity,
  planBatches,
  planRound,
  type Message,
  type Plan,
  type PlanBatch,
  type PlanRound,
  type Weighing,
  t,
} from '@kelmot/core';
import type { MixCheck } from '@kelmot/core/mix/mixCheck';
import { useAppSelector } from '@/store/hooks';
import { useWords } from '@/shared/ui/useWords';
import { heldText } from './StepsStation';
import { useGateTime } from './useGateTime';

export interface Weighed {
  aText: string;
  bText: string;
  aG: number | null;
  bG: number | null;
  check: MixCheck | null;
}

export interface Batches {
  running: { mix: Mix; batch: PlanBatch } | null;
  next: PlanBatch | null;
  /** The current round: of the open batch, otherwise of the next batch. */
  round: PlanRound | null;
  /** The parts to weigh for the next batch; null if nothing is weighed. */
  weigh: Weighing | null;
  weighed: Weighed;
  /** Why the next batch may not start yet; null when it may. */
  held: string | null;
}

export const weightKey = (view: RepairView, part: 'a' | 'b'): string => `${view.id}/weigh/${part}`;
/** The key of the scale that sent the values; a typed value counts as typed. */
export const scaleKey = (view: RepairView): string => `${view.id}/weigh/scale`;

/** The name of a batch: its round, and its number if there are more: "Port paste, 1 of 2". */
export const batchName = (
  round: PlanRound,
  { no }: Pick<PlanBatch, 'no'>,
  say: (message: Message) => string,
): string => {
  const name = say(round.name);
  const { length } = round.batches;
  return length > 1
    ? t('{round}, {no} of {count}', {
        round: name,
        no: round.batches.findIndex((b) => b.no === no) + 1,
        count: length,
      })
    : name;
};

/** The state of mixing: the open batch, the next one, what the scale shows, and what holds it. */
export function useBatches(view: RepairView, plan: Plan): Batches {
  const texts = useAppSelector((s) => s.drafts.texts);
  const { units, say } = useWords();
  const { wet, next } = batchesAt(view);
  const wetBatch = wet && planBatches(plan).find((b) => b.no === wet.batchNo);
  const grams = (text: string): number | null => {
    const parsed = parseQuantity(text, 'mass', { system: units });
    return parsed.ok && parsed.value > 0 && parsed.value <= 1e6 ? parsed.value : null;
  };
  const aText = texts[weightKey(view, 'a')] ?? '';
  const bText = texts[weightKey(view, 'b')] ?? '';
  const [aG, bG] = [grams(aText), grams(bText)];
  const onScale = next && weighedFor(plan, next.no, { aG, bG });
  const now = useGateTime(view);
  const gate = next && mayMix(view, { batchNo: next.no, scale: { aG, bG }, now });
  const shown = wetBatch ?? next;
  return {
    running: wet && wetBatch ? { mix: wet, batch: wetBatch } : null,
    next,
    round: (shown && planRound(plan, shown.round)) ?? null,
    weigh: onScale?.weigh ?? null,
    weighed: { aText, bText, aG, bG, check: onScale?.found ?? null },
    held: gate && heldText(gate, say),
  };
}
