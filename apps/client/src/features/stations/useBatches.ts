import { mixedBatches, openHolds, type Mix, type RepairView } from '@kelmot/contract';
import {
  checkWeighed,
  openBatches,
  parseQuantity,
  STATIONS,
  weighing,
  type Batch,
  type Plan,
  type Weighing,
} from '@kelmot/core';
import type { MixCheck } from '@kelmot/core/mix/mixCheck';
import { useAppSelector } from '@/store/hooks';
import { useNow } from '@/ui/useNow';

export interface Weighed {
  aText: string;
  bText: string;
  aG: number | null;
  bG: number | null;
  check: MixCheck | null;
}

export interface Batches {
  running: { mix: Mix; batch: Batch } | null;
  next: Batch | null;
  /** What goes on the scale for the next batch; null where nothing is weighed. */
  weigh: Weighing | null;
  weighed: Weighed;
  /** Why the next batch may not start yet; null when it may. */
  held: string | null;
}

export const weightKey = (view: RepairView, part: 'a' | 'b'): string => `${view.id}/weigh/${part}`;

/** Where the mixing stands: the batch in the pail, the next one, what the scale shows, and what still holds it. */
export function useBatches(view: RepairView, plan: Plan): Batches {
  const texts = useAppSelector((s) => s.drafts.texts);
  const units = useAppSelector((s) => s.settings.units);
  const wet = view.mixes.find((m) => m.placedAt === null && m.binnedAt === null);
  const wetBatch = wet && plan.batches.find((b) => b.no === wet.batchNo);
  const nextNo = openBatches(plan, mixedBatches(view.mixes))[0];
  const next = plan.batches.find((b) => b.no === nextNo) ?? null;
  const grams = (text: string): number | null => {
    const parsed = parseQuantity(text, 'mass', units);
    return parsed.ok && parsed.value > 0 && parsed.value <= 1e6 ? parsed.value : null;
  };
  const aText = texts[weightKey(view, 'a')] ?? '';
  const bText = texts[weightKey(view, 'b')] ?? '';
  const [aG, bG] = [grams(aText), grams(bText)];
  const { slope } = plan.survey.surface;
  const weigh = next && next.aG !== null ? weighing(plan.card.mix, next.consistency, slope) : null;
  const check =
    next && aG !== null && bG !== null
      ? checkWeighed(plan.card.mix, { aG, bG }, next.consistency, slope)
      : null;
  const now = useNow(5000);
  const open = STATIONS.slice(0, STATIONS.indexOf('build')).flatMap((s) => openHolds(view, s, now));
  const earlier =
    next &&
    plan.batches
      .filter((b) => b.coat < next.coat)
      .some((b) => !view.mixes.some((m) => m.batchNo === b.no && m.placedAt !== null));
  const held =
    open.length > 0
      ? `${open.length} to do first: ${open[0]?.toLowerCase() ?? ''}`
      : earlier
        ? 'First place the coat before it'
        : weigh && check === null
          ? 'Weigh both parts first'
          : check?.verdict === 'out'
            ? 'Off ratio: put it right first'
            : null;
  return {
    running: wet && wetBatch ? { mix: wet, batch: wetBatch } : null,
    next,
    weigh,
    weighed: { aText, bText, aG, bG, check },
    held,
  };
}
