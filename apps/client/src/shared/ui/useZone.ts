import type { Zone } from '@kelmot/core';
import { useSiteQuery } from '@/store/api';

/** Asking the platform is slow, and many components ask. */
let ofDevice: Zone | undefined;

/** The time zone for clocks and calendars: the site's; the device's until that is known. */
export function useZone(): Zone {
  const { data } = useSiteQuery();
  if (data) return data.settings.zone;
  return (ofDevice ??= Intl.DateTimeFormat().resolvedOptions().timeZone);
}
