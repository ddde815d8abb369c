import { mixedBatches, openHolds, type Mix, type RepairView } from '@kelmot/contract';
import { openBatches, parseQuantity, STATIONS, type Batch, type Plan } from '@kelmot/core';
import { mixCheck, type MixCheck } from '@kelmot/core/mix/mixCheck';
import { useAppSelector } from '@/store/hooks';

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
  const { mix } = plan.card;
  const check =
    aG !== null && bG !== null && mix.kind === 'two-part'
      ? mixCheck({
          ratio: mix.ratio,
          densityA: mix.densityA,
          densityB: mix.densityB,
          tolerancePct: mix.tolerancePct,
          weighed: { aG, bG },
        })
      : null;
  const open = STATIONS.slice(0, STATIONS.indexOf('build')).flatMap((s) => openHolds(view, s));
  const earlier =
    next &&
    plan.batches
      .filter((b) => b.coat < next.coat)
      .some((b) => !view.mixes.some((m) => m.batchNo === b.no && m.placedAt !== null));
  const held =
    open.length > 0
      ? `First: ${open.join(', ').toLowerCase()}`
      : earlier
        ? 'First place the coat before it'
        : check === null
          ? 'Weigh both parts first'
          : check.verdict === 'out'
            ? 'Off ratio: put it right first'
            : null;
  return {
    running: wet && wetBatch ? { mix: wet, batch: wetBatch } : null,
    next,
    weighed: { aText, bText, aG, bG, check },
    held,
  };
}
