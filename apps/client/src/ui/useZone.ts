import type { Zone } from '@kelmot/core';
import { useSiteQuery } from '@/store/api';

/** The zone that clocks and calendars are shown in: of the site; of this device until that is known. */
export function useZone(): Zone {
  const { data } = useSiteQuery();
  return data?.settings.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
}
