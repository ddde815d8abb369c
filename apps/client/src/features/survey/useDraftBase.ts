import type { RepairView } from '@kelmot/contract';
import { useMemo } from 'react';
import type { Base } from '@/store/drafts';
import { useAppSelector } from '@/store/hooks';

/**
 * Compares the survey that a draft was begun on with the stored one. `moved`: typed answers are based on an older
 * survey. `stale`: the same, but nobody typed anything, so it is filled in again.
 */
export function useDraftBase(
  view: RepairView | undefined,
  draftKey: string,
): { base: Base | undefined; moved: Base | null; stale: boolean } {
  const begunOn = useAppSelector((s) => s.drafts.bases[draftKey]);
  const touched = useAppSelector((s) => s.drafts.touched[draftKey] === true);
  const base = useMemo(
    () => view && { version: view.version, survey: JSON.stringify(view.survey) },
    [view],
  );
  const differs = begunOn !== undefined && base !== undefined && begunOn.survey !== base.survey;
  return { base, moved: differs && touched ? begunOn : null, stale: differs && !touched };
}
