import type { Zone } from '@kelmot/core';
import { useSiteQuery } from '@/store/api';

/** Asking the platform takes its time, and many ask. */
let ofDevice: Zone | undefined;

/** The zone that clocks and calendars are shown in: of the site; of this device until that is known. */
export function useZone(): Zone {
  const { data } = useSiteQuery();
  if (data) return data.settings.zone;
  return (ofDevice ??= Intl.DateTimeFormat().resolvedOptions().timeZone);
}
