import type { RepairView } from '@kelmot/contract';
import { useMemo } from 'react';
import type { Base } from '@/store/drafts';
import { useAppSelector } from '@/store/hooks';

/**
 * What a survey that is typed was begun on, against what is stored by now. `moved`: what somebody typed was begun on
 * another survey than the present one. `stale`: so was one in which nobody has typed anything: it is filled anew.
 */
export function useBase(
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
