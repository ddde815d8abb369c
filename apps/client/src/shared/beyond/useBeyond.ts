import { useEffect, useState } from 'react';
import { later } from '@/store/later';
import type * as rest from './rest';

export type Beyond = typeof rest;

let here: Beyond | null = null;

/** What is beyond the bench, once it is there; rejects where it is neither on the device nor within reach. */
export async function beyond(): Promise<Beyond> {
  here ??= await later<Beyond>();
  return here;
}

/** The same for what is drawn: null until it is there, and fetched where it is `needed`. */
export function useBeyond(needed: boolean): Beyond | null {
  const [all, setAll] = useState(here);
  useEffect(() => {
    if (needed && !all) void beyond().then(setAll, () => undefined);
  }, [needed, all]);
  return all;
}
